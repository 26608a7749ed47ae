import { numberAt } from '../util/entryAt.ts';
import type { Decision } from './decision.ts';
import { entropyNats, multiplyInto } from '../util/maths.ts';
import type { CandidateQuestion, PossibleAnswer } from './candidates.ts';
import type { Shortlist } from '../diagnosis/shortlist.ts';

/** Loss of a minute of the caller's time, in harm points; our own estimate. */
export const LOSS_PER_MINUTE = 0.3;

/** What knowing the truth would save, as far as a run of questions gains, by the share of the uncertainty they end; see docs/diagnosis.md. */
const SAVED_BY_KNOWING = 1;
/** Below this uncertainty, in nats, there is nothing to end. */
const MIN_ENTROPY = 0.02;

/**
 * What a question gains further on in a run, beyond the two answers looked at; measured: asking on while a question falls
 * short of its time by less than this brings the least loss with the caller's time counted (docs/benchmarks.md).
 */
export const GAINED_LATER = 0.0156;

/** Likelihoods that differ by less are taken as equal. */
const FLAT = 1e-6;

/** Questions looked at two answers ahead, and follow-ups tried for each of their answers. */
const LOOKED_FURTHER = 2;
const FOLLOW_UPS = 6;

/** A draft with what its answer would bring. */
export interface Valued {
  readonly candidate: CandidateQuestion;
  /** Expected fall of the advice's loss less the cost of asking, in harm points. */
  readonly netValue: number;
  /** Expected fall of uncertainty about the causes, in bits. */
  readonly informationGainBits: number;
}

/** The answer is as likely under every hypothesis looked at, so it is uninformative. */
function isFlat({ likelihood }: PossibleAnswer): boolean {
  const [first = 0] = likelihood;
  for (let k = 1; k < likelihood.length; k++)
    if (Math.abs(numberAt(likelihood, k) - first) > FLAT) return false;
  return true;
}

const costOf = ({ seconds, tedium }: CandidateQuestion): number =>
  (LOSS_PER_MINUTE * (seconds + tedium)) / 60;

/**
 * Expected value of sample information of each question in harm points, less the cost of its seconds: what one answer
 * gains, and its part in a longer run. Every answer is weighted by its probability. Unsorted.
 */
export function valueEach(
  list: Shortlist,
  drafts: readonly CandidateQuestion[],
  decision: Decision,
): readonly Valued[] {
  const { probabilities, entropy } = list;
  const now = decision.bestLoss(probabilities);
  const saved = SAVED_BY_KNOWING * (now - decision.leastLoss(probabilities));
  const lossOfParts = decision.lossOfParts(probabilities);
  const joint = list.column();
  return drafts.map((candidate): Valued => {
    const { answers } = candidate;
    if (answers.every(isFlat))
      return { candidate, netValue: -costOf(candidate), informationGainBits: 0 };
    let [gain, nats] = [now, entropy];
    answers.forEach(({ likelihood }, n) => {
      const chance = multiplyInto(joint, probabilities, likelihood);
      // H(joint / chance) x chance, without dividing each part.
      if (chance > 0) nats -= entropyNats(joint) + chance * Math.log(chance);
      if (candidate.kind !== 'finding') gain -= decision.bestLoss(joint);
      else if (n === 0) gain -= lossOfParts(joint);
    });
    const inRun = (saved * nats) / Math.max(entropy, MIN_ENTROPY);
    return {
      candidate,
      netValue: Math.max(gain, inRun) + GAINED_LATER - costOf(candidate),
      informationGainBits: nats / Math.LN2,
    };
  });
}

/** The worth of each question as {@link valueEach} gives it, or what two answers gain where that is more. Unsorted. */
export function valueQuestions(
  list: Shortlist,
  drafts: readonly CandidateQuestion[],
  decision: Decision,
): readonly Valued[] {
  const now = decision.bestLoss(list.probabilities);
  return lookFurther(list, valueEach(list, drafts, decision), decision, now);
}

/** Expected loss after one answer of a question, times the chances in `weights`. */
function lossAfter(
  weights: Float64Array,
  answers: readonly PossibleAnswer[],
  decision: Decision,
  joint: Float64Array,
): number {
  let loss = 0;
  for (const { likelihood } of answers) {
    multiplyInto(joint, weights, likelihood);
    loss += decision.bestLoss(joint);
  }
  return loss;
}

/** Expected loss after an answer and the best follow-up to it, the cost of the follow-up included. */
function lossAfterTwo(
  list: Shortlist,
  first: Valued,
  others: readonly Valued[],
  decision: Decision,
): number {
  const [joint, further] = [list.column(), list.column()];
  let loss = 0;
  for (const { likelihood } of first.candidate.answers) {
    const chance = multiplyInto(joint, list.probabilities, likelihood);
    let least = decision.bestLoss(joint);
    for (const { candidate } of others) {
      const after = lossAfter(joint, candidate.answers, decision, further);
      least = Math.min(least, after + chance * costOf(candidate));
    }
    loss += least;
  }
  return loss;
}

/** Where one answer would not change the advice, two together may: the most informative questions are tried in pairs. */
function lookFurther(
  list: Shortlist,
  valued: readonly Valued[],
  decision: Decision,
  now: number,
): readonly Valued[] {
  const telling = [...valued].sort((a, b) => b.netValue - a.netValue).slice(0, FOLLOW_UPS);
  const first = new Set(telling.slice(0, LOOKED_FURTHER));
  return valued.map((one) => {
    if (!first.has(one)) return one;
    const others = telling.filter((other) => other !== one);
    const inPairs =
      now - lossAfterTwo(list, one, others, decision) + GAINED_LATER - costOf(one.candidate);
    return { ...one, netValue: Math.max(one.netValue, inPairs) };
  });
}
