import type { Circumstances } from '../core/diagnosis/hosts.ts';
import type { Compiled } from '../core/library/compile.ts';
import {
  causeIdSchema,
  plantIdSchema,
  findingIdSchema,
  type CauseId,
  type FindingId,
  type PlantId,
} from '../core/schema/common.ts';
import { createAlmanacs, type Almanac } from '../core/timing/almanac.ts';
import { parseDay, type Day } from '../core/timing/calendar.ts';

export const day = (text: string): Day => {
  const parsed = parseDay(text);
  if (!parsed.ok) throw new Error(`${text}: ${parsed.error}`);
  return parsed.value;
};
export const plantId = (id: string): PlantId => plantIdSchema.parse(id);
export const causeId = (id: string): CauseId => causeIdSchema.parse(id);
export const findingId = (id: string): FindingId => findingIdSchema.parse(id);

/** Almanac at a latitude near the reference place. */
export const almanacAt = (library: Pick<Compiled, 'places'>, lat: number, lon = -83): Almanac =>
  createAlmanacs(library.places)({ lat, lon });

/** 13 June at the reference place, with no cases of the clinic's own. */
export const circumstancesAt = (library: Pick<Compiled, 'places'>): Circumstances => ({
  almanac: almanacAt(library, 40),
  today: day('2026-06-13'),
  since: null,
  experience: new Map(),
  region: null,
});
