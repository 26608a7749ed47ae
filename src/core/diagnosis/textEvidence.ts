import { numberAt } from '../util/entryAt.ts';
import { isCareTopic } from '../knowledge/careTopics.ts';
import type { Cause } from '../schema/cause.ts';
import type { FindingId } from '../schema/common.ts';
import { findingIdSchema } from '../schema/common.ts';
import type { SimilarityOf } from '../language/textSimilarity.ts';
import { NONE } from './likelihood.ts';
import type { Network } from './network.ts';
import type { Weighed } from './weigh.ts';

/** Stands among the arguments for a text that only asks; no finding of the library. */
export const REQUEST_PSEUDO_FINDING: FindingId = findingIdSchema.parse('asks-only');

/** Stands among the arguments for a text that reports a trouble; no finding of the library. */
export const TROUBLE_PSEUDO_FINDING: FindingId = findingIdSchema.parse('reports-trouble');

/** Stands among the arguments for the likeness of the words as a whole; no finding of the library. */
export const TEXT_SIMILARITY_PSEUDO_FINDING: FindingId = findingIdSchema.parse('like-words');

/**
 * What words count beside what was understood from them: words are far from independent and most were
 * already heard as findings. Judgement: of 0.2 to 0.45 it ranked 75 judged cases best that nothing was corrected by.
 */
const WORTH_OF_LIKENESS = 0.3;
/** However alike, words move a cause by no more than this, in nats: less than one telltale sign. */
const MAX_NATS = 4;

/** A text as a whole, as a piece of evidence. */
export interface Wording extends Weighed {
  /** What it makes of each cause, as a factor, by position; a pair takes the greater of its members'. */
  readonly factors: Float64Array;
}

/** What is taken from a text as a whole. */
export interface Words {
  readonly similarity: SimilarityOf;
  /** How well a topic of care fits what is asked, in nats of at least 0. */
  readonly fit: SimilarityOf;
  /** It asks how or when a thing is done, and reports nothing seen. */
  readonly asks: boolean;
  /** It reports something seen on the plant. */
  readonly reportsTrouble: boolean;
}

/** Likelihood of a text that only asks, given a question of care, over that given a trouble; judgement. */
const ASKS_OF_CARE = 15;

/**
 * What the fit of a topic to what is asked counts: nothing else tells one question from another. Of 0.3 to 1.2 these
 * lost none of 110 questions and found most of those worked with.
 */
const WORTH_OF_FIT = 0.6;
const MAX_NATS_OF_FIT = 10;

/**
 * Likelihood of a text that reports a trouble, given a question of care, over that given a trouble; judgement. What is
 * asked beside it is answered on its own.
 */
const REPORT_FROM_CARE = 0.001;

/** What speaks against every question of care, alone or beside a trouble; null where the plant has none. */
function troubleReported(network: Network): Wording | null {
  const support = network.causes.flatMap((cause, i) => (isCareTopic(cause) ? [i] : []));
  if (support.length === 0) return null;
  const care = new Set(support);
  const of = (i: number): number => (care.has(i) ? REPORT_FROM_CARE : 1);
  return {
    finding: TROUBLE_PSEUDO_FINDING,
    value: true,
    sure: 1,
    likelihood: { support, unknown: 1, given: (i, j) => of(i) * of(j), inhibitions: null },
    factors: new Float64Array(network.causes.length).fill(1),
  };
}

function wordingOf(
  network: Network,
  finding: FindingId,
  factorOf: (cause: Cause) => number,
): Wording | null {
  const factors = Float64Array.from(network.causes, factorOf);
  const support = [...factors.keys()].filter((i) => factors[i] !== 1);
  if (support.length === 0) return null;
  const of = (i: number): number => (i === NONE ? 1 : numberAt(factors, i));
  return {
    finding,
    value: true,
    sure: 1,
    likelihood: { support, unknown: 1, given: (i, j) => Math.max(of(i), of(j)), inhibitions: null },
    factors,
  };
}

/**
 * Evidence of the text as a whole: how similar its words are to each cause's description, and whether it only asks or reports a trouble.
 * Empty when neither changes a probability.
 */
export function weighWords(
  network: Network,
  { similarity, fit, asks, reportsTrouble }: Words,
): readonly Wording[] {
  const alike = ({ id }: Cause): number =>
    Math.exp(Math.min(MAX_NATS, WORTH_OF_LIKENESS * Math.max(0, similarity(id))));
  const asked = (cause: Cause): number =>
    isCareTopic(cause)
      ? ASKS_OF_CARE * Math.exp(Math.min(MAX_NATS_OF_FIT, WORTH_OF_FIT * fit(cause.id)))
      : 1;
  return [
    wordingOf(network, TEXT_SIMILARITY_PSEUDO_FINDING, alike),
    asks ? wordingOf(network, REQUEST_PSEUDO_FINDING, asked) : null,
    reportsTrouble ? troubleReported(network) : null,
  ].filter((one) => one !== null);
}
