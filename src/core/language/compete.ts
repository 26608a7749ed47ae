import type { FindingId } from '../knowledge/schema/common.ts';

/** A reading of some words of a text as a finding. */
export interface Reading {
  readonly finding: FindingId;
  /** Only readings of one sort compete: what happened, what stands around, what is there and what is not. */
  readonly sort: 'context' | 'around' | 'seen' | 'denied' | 'lacking';
  /** Places of its words in the token list. */
  readonly positions: readonly number[];
  /** Those of them that tell it from others: no word for a part of the plant, no denial. */
  readonly telling: readonly number[];
  readonly far: boolean;
  readonly sentence: number;
}

/** What readings are weighed by. */
export interface Weights {
  readonly implied: (id: FindingId) => readonly FindingId[];
  /** How much the word at a place tells: more than 0, more for rarer words. */
  readonly rarity: (position: number) => number;
  /** Log-odds of the finding by all words of the sentence; 0 where nothing was learned. */
  readonly odds: (reading: Reading) => number;
  /** How commonly the plant spoken of shows the finding; only ratios count. */
  readonly common: (id: FindingId) => number;
}

/** Worth of a word for a part, of a word left out between, and of being e times as common, beside the rarity of words. */
const PART_WORD = 0.5;
const GAP = 0.25;
const COMMONNESS = 0.3;
const LEAST_COMMON = 0.01;
/** Worth of a unit of log-odds by all words of the sentence. */
const WORDS = 0.5;

function weigh(reading: Reading, { rarity, common, odds }: Weights): number {
  const { finding, positions, telling } = reading;
  const stretch = Math.max(...positions) - Math.min(...positions) + 1;
  return (
    telling.reduce((sum, place) => sum + rarity(place), 0) +
    PART_WORD * (positions.length - telling.length) -
    GAP * (stretch - positions.length) +
    WORDS * odds(reading) +
    COMMONNESS * Math.log(Math.max(LEAST_COMMON, common(finding)))
  );
}

/**
 * Each telling word speaks for one finding and those it implies: the readings that weigh most take theirs first,
 * and what is left must still own more than half of what it tells. Keeps the order of what stays.
 */
export function withoutClaimedWords<R extends Reading>(
  readings: readonly R[],
  weights: Weights,
): readonly R[] {
  const { implied, rarity } = weights;
  const claims = new Map<number, R[]>();
  const related = (a: FindingId, b: FindingId): boolean =>
    a === b || implied(a).includes(b) || implied(b).includes(a);
  const isClaimed = (place: number, reading: R): boolean =>
    (claims.get(place) ?? []).some(
      (owner) => owner.sort === reading.sort && !related(owner.finding, reading.finding),
    );
  const total = (places: readonly number[]): number =>
    places.reduce((sum, place) => sum + rarity(place), 0);
  const kept = new Set<R>();
  const weighed = readings.map((reading) => ({ reading, weight: weigh(reading, weights) }));
  for (const { reading } of weighed.sort(
    (a, b) => Number(a.reading.far) - Number(b.reading.far) || b.weight - a.weight,
  )) {
    const own = reading.telling.filter((place) => !isClaimed(place, reading));
    if (
      reading.telling.length > 0 &&
      (reading.far ? own.length < reading.telling.length : 2 * total(own) <= total(reading.telling))
    )
      continue;
    kept.add(reading);
    for (const place of reading.telling) claims.set(place, [...(claims.get(place) ?? []), reading]);
  }
  return readings.filter((reading) => kept.has(reading));
}
