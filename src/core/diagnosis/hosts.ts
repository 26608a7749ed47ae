import { commonnessOf, popularityOf, type Compiled } from '../knowledge/compile.ts';
import type { Cause } from '../knowledge/schema/cause.ts';
import type { PlantId } from '../knowledge/schema/common.ts';
import type { Almanac } from '../timing/almanac.ts';
import type { Day } from '../timing/calendar.ts';
import { learnedFactors, type Experience } from './learning.ts';

/** A plant that the enquiry may be about, with its share; shares of a list sum to 1. */
export interface HostShare {
  readonly plant: PlantId;
  readonly share: number;
}

/** A named group stands for a kind of its own that the library does not list, beside those it does. */
const UNLISTED_KIND = 0.5;

const isLeaf = (library: Compiled, plant: PlantId): boolean =>
  library.taxonomy.below(plant).length === 0;

/**
 * The plants that an enquiry may be about: one when it is known exactly; the kinds of a group ("some maple")
 * and the group itself; every kind of the library when nothing is known.
 */
export function hostsOf(library: Compiled, plant: PlantId | null): readonly HostShare[] {
  if (plant !== null && isLeaf(library, plant)) return [{ plant, share: 1 }];
  const kinds = (plant === null ? [...library.plants.keys()] : library.taxonomy.below(plant))
    .filter((one) => isLeaf(library, one))
    .map((one) => ({ plant: one, share: popularityOf(library, one) }));
  const listed = kinds.reduce((sum, { share }) => sum + share, 0);
  const all = plant === null ? kinds : [...kinds, { plant, share: UNLISTED_KIND * listed }];
  const total = all.reduce((sum, { share }) => sum + share, 0);
  return all.map((one) => ({ ...one, share: one.share / total }));
}

/** Factor on a cause out of the season in which it is seen; by days away from that season. */
function seasonFactor(cause: Cause, almanac: Almanac, today: Day): number {
  const days = almanac.daysOutside(cause.seen, today);
  if (days === null) return 0.1;
  if (days === 0) return 1;
  return Math.max(0.12, Math.exp(-days / 30));
}

/** When and where, and what the clinic has seen. */
export interface Circumstances {
  readonly almanac: Almanac;
  readonly today: Day;
  readonly experience: Experience;
}

/** Causes of some hosts with their weights before any evidence: common x host x season x the clinic's own cases. */
export interface HostWeights {
  readonly causes: readonly Cause[];
  /** For each host its weights, by cause position; 0 where it is no host. */
  readonly weights: readonly (readonly number[])[];
  /** What the clinic's own cases do to each weight, as a factor. */
  readonly learned: readonly (readonly number[])[];
}

/** Weighs the causes of each host; causes that no host takes are left out. */
export function weighHosts(
  library: Compiled,
  hosts: readonly HostShare[],
  { almanac, today, experience }: Circumstances,
): HostWeights {
  const factors = hosts.map(({ plant }) => library.hosting(plant));
  const weighed = [...library.causes.values()].flatMap((cause) => {
    if (!factors.some((taken) => taken.has(cause.id))) return [];
    const common = commonnessOf(cause) * seasonFactor(cause, almanac, today);
    return [{ cause, byHost: factors.map((taken) => (taken.get(cause.id) ?? 0) * common) }];
  });
  const causes = weighed.map(({ cause }) => cause);
  const ids = causes.map(({ id }) => id);
  const plain = hosts.map((_, h) => weighed.map(({ byHost }) => byHost[h] ?? 0));
  const learned = plain.map((weights) => learnedFactors(ids, weights, experience));
  const weights = plain.map((row, h) => row.map((weight, i) => weight * (learned[h]?.[i] ?? 1)));
  return { causes, weights, learned };
}
