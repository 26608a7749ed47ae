import type { Network } from '../diagnosis/network.ts';
import type { Posterior } from '../diagnosis/posterior.ts';
import type { Question } from './questions.ts';
import { midSentence } from '../util/midSentence.ts';

/** Whether anything is left to ask, and why. */
export interface StoppingDecision {
  readonly settled: boolean;
  readonly reason: string;
  /** What to send or measure when only that would help; null when it would not. */
  readonly sample: string | null;
}

/** Above this the leader is said to stand clear. */
const CLEAR = 0.8;
/** Causes below this are not named as rivals. */
const RIVAL = 0.12;

/** A description never proves anything, so nothing is said to stand at 100 %. */
const percent = (p: number): string => (p > 0.99 ? 'over 99 %' : `${Math.round(100 * p)} %`);

interface Standing {
  readonly name: string;
  readonly probability: number;
  readonly confirm: string | undefined;
}

function leaders(network: Network, posterior: Posterior): readonly Standing[] {
  return posterior.ranking.slice(0, 3).flatMap((position, rank) => {
    const cause = network.causes[position];
    const probability = posterior.causes[position] ?? 0;
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
  if (best) return best.how ?? best.question;
  return open ? (first?.confirm ?? null) : null;
}

function reasonFor(standing: readonly Standing[], posterior: Posterior): string {
  const [first, second] = standing;
  if (!first || posterior.nothingWrong > first.probability)
    return 'Nothing reported points to a trouble, and no question asked now would change that advice.';
  if (first.probability >= CLEAR)
    return `${first.name} stands at ${percent(first.probability)}; no answer still open would change the first step.`;
  if (posterior.notInLibrary > first.probability)
    return 'What is reported fits no cause in the library well, and no question would mend that.';
  return second
    ? `${first.name} (${percent(first.probability)}) and ${midSentence(second.name)} (${percent(second.probability)}) stay open; no answer over the telephone would change the first step by more than asking costs.`
    : `${first.name} leads at ${percent(first.probability)}; no answer would change the first step by more than asking costs.`;
}

/**
 * Says whether the questions are done: nothing that can be asked is worth its time. `samples` are laboratory
 * tests valued in the same way.
 */
export function applyStoppingRule(
  network: Network,
  posterior: Posterior,
  questions: readonly Question[],
  samples: readonly Question[],
  heard: number,
): StoppingDecision {
  const standing = leaders(network, posterior);
  if (heard === 0) return { settled: false, reason: 'Nothing is reported yet.', sample: null };
  if (questions.some(({ netValue }) => netValue > 0))
    return {
      settled: false,
      reason: 'The first question can still change the advice.',
      sample: null,
    };
  const open = (standing[0]?.probability ?? 0) < CLEAR;
  return {
    settled: true,
    reason: reasonFor(standing, posterior),
    sample: sampleFor(samples, standing, open),
  };
}
