import type { FindingId } from '../schema/common.ts';
import type { Span } from './tokens.ts';

/**
 * Readings of the same words. Of two findings that are never told together only one is meant, so that a likely rival makes a
 * reading less likely; two that enquirers often tell in one breath ("yellow and dropping") bear each other out.
 */

/** A reading as others see it. */
export interface Contender {
  readonly finding: FindingId;
  readonly value: boolean;
  readonly sentence: number;
  readonly span: Span;
  /** Places of the words that tell it; null where the sentence as a whole does. */
  readonly contentWords: readonly number[] | null;
  /** Log-odds that it is right, apart from its rivals. */
  readonly logOdds: number;
}

/** What is known of two findings. */
export interface FindingRelations {
  /** One implies the other. */
  readonly related: (a: FindingId, b: FindingId) => boolean;
  /** Enquirers tell both in one sentence. */
  readonly reportedTogether: (a: FindingId, b: FindingId) => boolean;
}

/** Readings of lower log-odds are neither rivals nor heard. */
export const FAINT = -1.5;

/** Log-odds of a reading and of the likeliest others of its words, {@link FAINT} where there are none. */
export interface Rivalry {
  readonly own: number;
  /** Of those that are not told together with it. */
  readonly rival: number;
  /** Of these, of those that have all of its words. */
  readonly whole: number;
  /** Of those that are told together with it. */
  readonly together: number;
}

export const RIVALRY_NAMES: readonly (keyof Rivalry)[] = ['own', 'rival', 'whole', 'together'];

/** Chance of log-odds. */
const probabilityOf = (odds: number): number => 1 / (1 + Math.exp(-odds));

/**
 * Probability that each reading is right once its competitors are known, in the order given. With empty `weights`
 * each stands by its own log-odds.
 */
export function probabilitiesOf(
  readings: readonly Contender[],
  relations: FindingRelations,
  weights: ReadonlyMap<string, number>,
): readonly number[] {
  if (weights.size === 0) return readings.map(({ logOdds }) => probabilityOf(logOdds));
  const weight = (name: string): number => weights.get(name) ?? 0;
  return rivalriesOf(readings, relations).map((rivalry) =>
    probabilityOf(
      RIVALRY_NAMES.reduce((sum, name) => sum + weight(name) * rivalry[name], weight('always')),
    ),
  );
}

/** Whether a reading has all words of another. */
function hasAllOf(one: Contender, { contentWords, span }: Contender): boolean {
  if (one.contentWords && contentWords) {
    const words = one.contentWords;
    return contentWords.length > 0 && contentWords.every((place) => words.includes(place));
  }
  return one.span.start <= span.start && one.span.end >= span.end;
}

function rivalryOf(
  reading: Contender,
  others: readonly Contender[],
  { related, reportedTogether }: FindingRelations,
): Rivalry {
  let [rival, whole, together] = [FAINT, FAINT, FAINT];
  for (const other of others) {
    if (related(other.finding, reading.finding)) continue;
    if (reading.value && other.value && reportedTogether(other.finding, reading.finding)) {
      together = Math.max(together, other.logOdds);
      continue;
    }
    rival = Math.max(rival, other.logOdds);
    if (hasAllOf(other, reading)) whole = Math.max(whole, other.logOdds);
  }
  return { own: reading.logOdds, rival, whole, together };
}

/** What each reading has to reckon with, in the order given. Time grows with the number of readings of the same words. */
export function rivalriesOf(
  readings: readonly Contender[],
  relations: FindingRelations,
): readonly Rivalry[] {
  const contenders = readings
    .filter(({ logOdds }) => logOdds >= FAINT)
    .sort((a, b) => a.span.start - b.span.start);
  const longest = Math.max(0, ...contenders.map(({ span }) => span.end - span.start));
  const near = ({ span, sentence, finding }: Contender): readonly Contender[] => {
    const found: Contender[] = [];
    for (let i = firstFrom(contenders, span.start - longest); i < contenders.length; i++) {
      const other = contenders[i];
      if (!other || other.span.start >= span.end) break;
      if (other.span.end > span.start && other.sentence === sentence && other.finding !== finding)
        found.push(other);
    }
    return found;
  };
  return readings.map((reading) => rivalryOf(reading, near(reading), relations));
}

/** The first of readings in the order of the text that starts there or later. */
function firstFrom(readings: readonly Contender[], start: number): number {
  let [low, high] = [0, readings.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((readings[middle]?.span.start ?? Infinity) < start) low = middle + 1;
    else high = middle;
  }
  return low;
}
