import { entryAt } from '../util/entryAt.ts';
import { commonnessOf, popularityOf, type Compiled } from '../library/compile.ts';
import { isSeasonless, type Cause } from '../schema/cause.ts';
import type { Presence } from '../schema/range.ts';
import type { PlantId } from '../schema/common.ts';
import { multiplyInto, tabulate } from '../util/maths.ts';
import type { Almanac } from '../timing/almanac.ts';
import type { Day } from '../timing/calendar.ts';
import { learnedFactors, type Experience } from './learning.ts';

/** A plant that the enquiry may be about, with its share; shares of a list sum to 1. */
export interface HostProbability {
  readonly plant: PlantId;
  readonly probability: number;
}

/** A named group stands for a kind of its own that the library does not list, beside those it does. */
const UNLISTED_KIND = 0.5;

const isLeaf = (library: Compiled, plant: PlantId): boolean =>
  library.taxonomy.below(plant).length === 0;

/**
 * The plants that an enquiry may be about, with probabilities that sum to 1: one plant when it is known exactly; the
 * kinds of a group ("some maple") and the group itself; every kind of the library with `plant` null.
 */
export function hostsOf(library: Compiled, plant: PlantId | null): readonly HostProbability[] {
  if (plant !== null && isLeaf(library, plant)) return [{ plant, probability: 1 }];
  const kinds = (plant === null ? [...library.plants.keys()] : library.taxonomy.below(plant))
    .filter((one) => isLeaf(library, one))
    .map((one) => ({ plant: one, probability: popularityOf(library, one) }));
  const listed = kinds.reduce((sum, { probability }) => sum + probability, 0);
  const all = plant === null ? kinds : [...kinds, { plant, probability: UNLISTED_KIND * listed }];
  const total = all.reduce((sum, { probability }) => sum + probability, 0);
  return all.map((one) => ({ ...one, probability: one.probability / total }));
}

/** Factor on a cause out of the season in which it is seen; by days away from that season, today or when it began. */
function seasonFactor(
  cause: Cause,
  { almanac, today, since }: Pick<Circumstances, 'almanac' | 'today' | 'since'>,
): number {
  const now = almanac.daysOutside(cause.seen, today);
  const then = since === null ? now : almanac.daysOutside(cause.seen, since);
  if (now === null || then === null) return 0.1;
  const days = Math.min(now, then);
  if (days === 0) return 1;
  return Math.max(0.12, Math.exp(-days / 30));
}

/** When and where, and what the clinic has seen. */
export interface Circumstances {
  readonly almanac: Almanac;
  readonly today: Day;
  /** When the trouble began, where that was said. */
  readonly since: Day | null;
  readonly experience: Experience;
  /** By ISO 3166; null where it is not known. */
  readonly region: string | null;
}

/**
 * What the range of a cause does to its weight: where it is not known it is not ruled out, but must be shown by much
 * (judgement).
 */
const RANGE_FACTOR: Readonly<Record<Presence, number>> = {
  established: 1,
  spreading: 0.5,
  absent: 0.02,
};

/** The causes that some hosts can have. */
export interface HostCauses {
  readonly causes: readonly Cause[];
  /** For each host and cause, by position, how common it is there without season; 0 where it is no host. */
  readonly common: readonly Float64Array[];
  /** The hosts, in the order of their weights. */
  readonly plants: readonly PlantId[];
}

/** Causes that no host takes are left out. */
export function causesOfHosts(library: Compiled, hosts: readonly HostProbability[]): HostCauses {
  const taken = hosts.map(({ plant }) => library.hosting(plant));
  const ids = new Set(taken.flatMap((factors) => [...factors.keys()]));
  const causes = [...library.causes.values()].filter(({ id }) => ids.has(id));
  const commonness = causes.map(commonnessOf);
  const common = taken.map((factors) =>
    tabulate(causes.length, (i) => {
      const id = causes[i]?.id;
      return id === undefined ? 0 : (factors.get(id) ?? 0) * entryAt(commonness, i);
    }),
  );
  return { causes, common, plants: hosts.map(({ plant }) => plant) };
}

function productsOf(a: Float64Array, b: Float64Array): Float64Array {
  const products = new Float64Array(a.length);
  multiplyInto(products, a, b);
  return products;
}

/** Weights of the causes before any evidence: common x host x season x the clinic's own cases. */
export interface HostWeights {
  /** For each host its weights, by cause position. */
  readonly weights: readonly Float64Array[];
  /** What the clinic's own cases do to each weight, as a factor. */
  readonly learned: readonly Float64Array[];
}

/**
 * Prior weights of the causes on each host at a place and date, before normalisation; each is at least 0, and only
 * their ratios are probability ratios.
 */
export function weighHosts(
  { causes, common, plants }: HostCauses,
  { experience, region, ...when }: Circumstances,
  { presenceOf, traitsIn }: Pick<Compiled, 'presenceOf' | 'traitsIn'>,
): HostWeights {
  const indoors = plants.map((plant) => traitsIn(plant, region).indoors === true);
  const ranges = causes.map((cause) => RANGE_FACTOR[presenceOf(cause, region) ?? 'established']);
  const inSeason = (i: number, season: (cause: Cause) => number): number => {
    const cause = causes[i];
    return cause ? season(cause) * entryAt(ranges, i) : 0;
  };
  const seasons = tabulate(causes.length, (i) => inSeason(i, (cause) => seasonFactor(cause, when)));
  const indoorSeasons = tabulate(causes.length, (i) =>
    inSeason(i, (cause) => (isSeasonless(cause.category, true) ? 1 : seasonFactor(cause, when))),
  );
  const plain = common.map((row, h) =>
    productsOf(row, indoors[h] === true ? indoorSeasons : seasons),
  );
  if (experience.size === 0) {
    const unmoved = new Float64Array(causes.length).fill(1);
    return { weights: plain, learned: plain.map(() => unmoved) };
  }
  const learned = plain.map((weights) => learnedFactors(causes, weights, experience));
  return { weights: plain.map((row, h) => productsOf(row, entryAt(learned, h))), learned };
}
