import type { Compiled } from '../../src/core/knowledge/compile.ts';
import {
  plantIdSchema,
  findingIdSchema,
  type FindingId,
  type PlantId,
} from '../../src/core/knowledge/schema/common.ts';
import { createAlmanacs, type Almanac } from '../../src/core/timing/almanac.ts';
import { parseDay, type Day } from '../../src/core/timing/calendar.ts';

export const day = (text: string): Day => {
  const parsed = parseDay(text);
  if (!parsed.ok) throw new Error(`${text}: ${parsed.error}`);
  return parsed.value;
};
export const plantId = (id: string): PlantId => plantIdSchema.parse(id);
export const findingId = (id: string): FindingId => findingIdSchema.parse(id);

/** Almanac at a latitude near the reference place. */
export const almanacAt = (library: Pick<Compiled, 'places'>, lat: number, lon = -83): Almanac =>
  createAlmanacs(library.places)({ lat, lon });

/** A generator of numbers in [0, 1) from a seed (mulberry32, T. Ettinger, public domain). */
export function seeded(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}
