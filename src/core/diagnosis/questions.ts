import { makeDecision } from '../advice/decision.ts';
import type { Compiled } from '../knowledge/compile.ts';
import type { Report } from './evidence.ts';
import { draftFindings, draftPlant, type Draft, type QuestionKind } from './drafts.ts';
import type { Network } from './network.ts';
import { hostChances, type Posterior } from './posterior.ts';
import { shortlist } from './shortlist.ts';
import { valueDrafts, type Valued } from './worth.ts';

/** A question that could be asked next. */
export interface Question {
  readonly kind: QuestionKind;
  /** Finding id, group id when one choice of several is asked for, or `plant`. */
  readonly finding: string;
  readonly question: string;
  readonly how: string | null;
  readonly seconds: number;
  /** Expected fall of the advice's loss, in harm points, less the cost of asking. */
  readonly worth: number;
  /** Expected fall of uncertainty, in bits; decides between questions of equal worth. */
  readonly bits: number;
  readonly choices: Draft['choices'];
}

/** What a bit counts in the order of questions, though not in whether they are worth asking: it breaks ties. */
const WORTH_PER_BIT = 0.002;

function toQuestion({ draft, worth, bits }: Valued): Question {
  const { kind, finding, question, how, seconds, choices } = draft;
  return { kind, finding, question, how, seconds, choices, worth, bits };
}

function ranked(
  library: Compiled,
  network: Network,
  posterior: Posterior,
  drafts: readonly Draft[],
): readonly Question[] {
  const list = shortlist(posterior);
  const decision = makeDecision(library, network, posterior, list.positions);
  return valueDrafts(list, drafts, decision)
    .map(toQuestion)
    .sort((a, b) => b.worth + WORTH_PER_BIT * b.bits - (a.worth + WORTH_PER_BIT * a.bits));
}

/**
 * All questions that can be asked, the best first. `worth` above 0 means that the answer, alone or with
 * those that can follow it, is expected to improve the advice by more than asking costs. `skipped` are
 * findings or groups the enquirer cannot tell.
 */
export function rankQuestions(
  library: Compiled,
  network: Network,
  posterior: Posterior,
  reports: readonly Report[],
  skipped: ReadonlySet<string>,
): readonly Question[] {
  const plant = skipped.has('plant')
    ? null
    : draftPlant(library, network, hostChances(network, posterior));
  const findings = draftFindings(library, network, reports, skipped, false);
  return ranked(library, network, posterior, plant ? [plant, ...findings] : findings);
}

/** Laboratory tests in the same order; `worth` above 0 means that a sample is worth sending. */
export function rankSamples(
  library: Compiled,
  network: Network,
  posterior: Posterior,
  reports: readonly Report[],
): readonly Question[] {
  const drafts = draftFindings(library, network, reports, new Set(), true);
  return drafts.length === 0 ? [] : ranked(library, network, posterior, drafts);
}
