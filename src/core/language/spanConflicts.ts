import type { FindingId } from '../schema/common.ts';

/** A reading of some words of a text as a finding. */
export interface Reading {
  readonly finding: FindingId;
  /** Only readings of one sort compete: what happened, what stands around, what is there and what is not. */
  readonly sort: 'context' | 'around' | 'seen' | 'denied' | 'lacking';
  /** Places of its words in the token list, the least and the greatest of them. */
  readonly positions: readonly number[];
  readonly first: number;
  readonly last: number;
  /** Those of them that tell it from others: no word for a part of the plant, no denial. */
  readonly contentWords: readonly number[];
  readonly far: boolean;
  readonly sentence: number;
}

/** What readings are weighed by. */
export interface Weights {
  readonly implied: (id: FindingId) => readonly FindingId[];
  /** How informative the word at a place is: more than 0, more for rarer words. */
  readonly idf: (position: number) => number;
  /** Log-odds of the finding by all words of the sentence; 0 where nothing was learned. */
  readonly logOdds: (reading: Reading) => number;
  /** How commonly the plant spoken of shows the finding; only ratios count. */
  readonly common: (id: FindingId) => number;
}

/** Whether one of two findings implies the other, or they are the same. */
export const relatedBy =
  (implied: Weights['implied']) =>
  (a: FindingId, b: FindingId): boolean =>
    a === b || implied(a).includes(b) || implied(b).includes(a);

/** Worth of a word for a part, of a word left out between, and of being e times as common, beside the rarity of words. */
const PART_WORD = 0.5;
const GAP = 0.25;
const COMMONNESS = 0.3;
const MIN_COMMON = 0.01;
/** Worth of a unit of log-odds by all words of the sentence. */
const WORDS = 0.5;

const totalOf = (places: readonly number[], rarity: Weights['idf']): number => {
  let sum = 0;
  for (const place of places) sum += rarity(place);
  return sum;
};

function weigh(reading: Reading, { idf, common, logOdds }: Weights): number {
  const { finding, positions, contentWords, first, last } = reading;
  return (
    totalOf(contentWords, idf) +
    PART_WORD * (positions.length - contentWords.length) -
    GAP * (last - first + 1 - positions.length) +
    WORDS * logOdds(reading) +
    COMMONNESS * Math.log(Math.max(MIN_COMMON, common(finding)))
  );
}

/** Sentence by sentence what stands near each other first, then what weighs more; of equals the earlier one. Words of two sentences never compete. */
function weightiestFirst<R extends Reading>(
  readings: readonly R[],
  weights: Weights,
): readonly R[] {
  return readings
    .map((reading) => ({ reading, weight: weigh(reading, weights) }))
    .sort(
      (a, b) =>
        a.reading.sentence - b.reading.sentence ||
        Number(a.reading.far) - Number(b.reading.far) ||
        b.weight - a.weight,
    )
    .map(({ reading }) => reading);
}

/**
 * Resolves span conflicts: each content word supports one finding and those it implies. Readings of the highest
 * weight (a log-odds of probability) own their words first; a reading must own more than half of its content words to
 * stay. Keeps the order.
 */
export function withoutClaimedWords<R extends Reading>(
  readings: readonly R[],
  weights: Weights,
): readonly R[] {
  const { implied, idf } = weights;
  const claims = new Map<number, R[]>();
  const related = relatedBy(implied);
  const isClaimed = (owners: readonly R[] | undefined, { sort, finding }: R): boolean => {
    if (owners === undefined) return false;
    for (const owner of owners)
      if (owner.sort === sort && !related(owner.finding, finding)) return true;
    return false;
  };
  const kept = new Set<R>();
  for (const reading of weightiestFirst(readings, weights)) {
    const { contentWords, far } = reading;
    let [owned, worth, whole] = [0, 0, 0];
    for (const place of contentWords) {
      const one = idf(place);
      whole += one;
      if (isClaimed(claims.get(place), reading)) continue;
      owned++;
      worth += one;
    }
    const losesMost = owned < contentWords.length && (far || 2 * worth <= whole);
    if (losesMost) continue;
    kept.add(reading);
    for (const place of contentWords) {
      const owners = claims.get(place);
      if (owners) owners.push(reading);
      else claims.set(place, [reading]);
    }
  }
  return readings.filter((reading) => kept.has(reading));
}
