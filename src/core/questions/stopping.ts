import { numberAt } from '../util/entryAt.ts';
import { isCareTopic } from '../knowledge/careTopics.ts';
import type { Network } from '../diagnosis/network.ts';
import type { Posterior } from '../diagnosis/posterior.ts';
import type { Question } from './questions.ts';

/** A cause by name with its probability, 0 to 1. */
export interface LikelyCause {
  readonly name: string;
  readonly probability: number;
}

/** Why the questions are done, or are not. */
export type StoppingReason =
  | { readonly code: 'request-answered' }
  | { readonly code: 'nothing-reported' | 'question-open' | 'no-trouble' | 'not-in-library' }
  | { readonly code: 'leader-clear' | 'leader'; readonly first: LikelyCause }
  | { readonly code: 'two-open'; readonly first: LikelyCause; readonly second: LikelyCause };

/** Whether anything is left to ask, and why. */
export interface StoppingDecision {
  readonly settled: boolean;
  readonly reason: StoppingReason;
  /** What to send or measure when only that would help; null when it would not. */
  readonly sample: string | null;
}

/** Above this the leader is said to stand clear. */
const CLEAR = 0.8;
/** Causes below this are not named as rivals. */
const RIVAL = 0.12;
/** Above this probability, without a rival, nothing more is asked: an answer could only find a second trouble that was not reported. */
const CERTAIN = 0.97;

interface Standing extends LikelyCause {
  readonly confirm: string | undefined;
}

function leaders(network: Network, posterior: Posterior): readonly Standing[] {
  return posterior.ranking.slice(0, 3).flatMap((position, rank) => {
    const cause = network.causes[position];
    const probability = numberAt(posterior.causes, position);
    if (!cause || (rank > 0 && probability < RIVAL)) return [];
    return [{ name: cause.name, confirm: cause.confirm, probability }];
  });
}

/** The laboratory test that is worth its errand, or what confirms the leader when no answer can. */
function sampleFor(
  samples: readonly Question[],
  [first]: readonly Standing[],
  open: boolean,
): string | null {
  const best = samples.find(({ netValue }) => netValue > 0);
  if (best) return best.how ?? (typeof best.question === 'string' ? best.question : null);
  return open ? (first?.confirm ?? null) : null;
}

function reasonFor(standing: readonly Standing[], posterior: Posterior): StoppingReason {
  const [first, second] = standing;
  if (!first || posterior.nothingWrong > first.probability) return { code: 'no-trouble' };
  if (first.probability >= CLEAR) return { code: 'leader-clear', first };
  if (posterior.notInLibrary > first.probability) return { code: 'not-in-library' };
  return second ? { code: 'two-open', first, second } : { code: 'leader', first };
}

/** Share of all that may be meant that questions of care must have, for a text that only asks to need no question. */
const ASKED_SURELY = 0.6;

/**
 * The decision on a text that only asks how or when something is done: nothing is ill, so no sign is asked about.
 * Returns null when it may be about a trouble all the same.
 */
export function stopsAtRequest({ causes }: Network, posterior: Posterior): StoppingDecision | null {
  const care = causes.reduce(
    (sum, cause, i) => sum + (isCareTopic(cause) ? numberAt(posterior.causes, i) : 0),
    0,
  );
  const [first] = posterior.ranking;
  const leads = first === undefined ? undefined : causes[first];
  if (!leads || !isCareTopic(leads) || care < ASKED_SURELY) return null;
  return { settled: true, reason: { code: 'request-answered' }, sample: null };
}

/**
 * Decides whether to stop asking: no question has a positive net value. `samples` are laboratory tests valued the
 * same way; `reports` is how many findings are reported. The reason names causes with their probability.
 */
export function applyStoppingRule(
  network: Network,
  posterior: Posterior,
  questions: readonly Question[],
  samples: readonly Question[],
  reports: number,
): StoppingDecision {
  const standing = leaders(network, posterior);
  if (reports === 0) return { settled: false, reason: { code: 'nothing-reported' }, sample: null };
  const isCertain = standing.length === 1 && (standing[0]?.probability ?? 0) >= CERTAIN;
  if (!isCertain && questions.some(({ netValue }) => netValue > 0))
    return { settled: false, reason: { code: 'question-open' }, sample: null };
  const open = (standing[0]?.probability ?? 0) < CLEAR;
  return {
    settled: true,
    reason: reasonFor(standing, posterior),
    sample: sampleFor(samples, standing, open),
  };
}
