import { makeDecision, type Decision } from './decision.ts';
import type { Compiled } from '../library/compile.ts';
import type { Report } from '../diagnosis/evidence.ts';
import { isAsking } from '../knowledge/careTopics.ts';
import {
  candidateQuestions,
  candidatePlant,
  knownFindings,
  PLANT_QUESTION,
  type CandidateQuestion,
  type QuestionKind,
} from './candidates.ts';
import { candidateChange, CHANGE_QUESTION } from './candidateChange.ts';
import type { Network } from '../diagnosis/network.ts';
import { posteriorOverHosts, type Posterior } from '../diagnosis/posterior.ts';
import { shortlist, type Shortlist } from '../diagnosis/shortlist.ts';
import type { Span } from '../language/tokens.ts';
import type { Look } from '../schema/look.ts';
import { valueLooks, type ValuedLook } from './looks.ts';
import { valueQuestions, type Valued } from './netValue.ts';

/** A question that could be asked next. */
export interface Question {
  readonly kind: QuestionKind;
  /** Finding id, group id when one choice of several is asked for, `plant`, or `change`. */
  readonly finding: string;
  readonly question: CandidateQuestion['question'];
  readonly how: string | null;
  readonly seconds: number;
  /** Expected fall of the advice's loss, in harm points, less the cost of asking. */
  readonly netValue: number;
  /** Expected fall of uncertainty, in bits; decides between questions that are worth asking. */
  readonly informationGainBits: number;
  readonly choices: CandidateQuestion['choices'];
  /** The act of looking that answers it together with others of the list; null where it is asked by itself. */
  readonly look: Look | null;
  /** Where the text may have said it already, half understood; null elsewhere. */
  readonly saidAt: Span | null;
}

function toQuestion(
  { candidate, netValue, informationGainBits }: Valued,
  look: Look | null,
): Question {
  const { kind, finding, question, how, seconds, choices } = candidate;
  return {
    kind,
    finding,
    question,
    how,
    seconds,
    choices,
    netValue,
    informationGainBits,
    look,
    saidAt: null,
  };
}

/** Questions with the hypotheses, the decision and the likelihoods they were valued by. */
export interface Inquiry {
  readonly list: Shortlist;
  readonly decision: Decision;
  readonly valued: readonly Valued[];
  /** Laboratory tests, not valued yet. */
  readonly tests: readonly CandidateQuestion[];
  /** The best first. */
  readonly questions: readonly Question[];
}

/** Questions that bring no more than this beyond their time barely pay; measured together with what is gained later (worth.ts). */
const BARELY_PAYS = 0.0036;

/** A question with what decides its place: for one of a look what all of the look bring together. */
interface Placed extends Valued {
  readonly look: Look | null;
  readonly ownBits: number;
}

function placed(valued: readonly Valued[], looks: readonly ValuedLook[]): readonly Placed[] {
  const paying = looks.filter(({ together }) => together.netValue > BARELY_PAYS);
  return valued.map((one) => {
    const ownBits = one.informationGainBits;
    const part = paying.find(({ members }) => members.includes(one));
    if (!part) return { ...one, look: null, ownBits };
    const { together, look } = part;
    const netValue = Math.max(one.netValue, together.netValue);
    return { ...one, netValue, informationGainBits: together.informationGainBits, look, ownBits };
  });
}

/**
 * Of those plainly worth asking the most informative first, the others behind them by worth. What one look answers is
 * worth what it brings together, and is asked together.
 */
function inOrder(
  valued: readonly Valued[],
  looks: readonly ValuedLook[] = [],
): readonly Question[] {
  const order = [...placed(valued, looks)].sort((a, b) => {
    if (a.netValue > BARELY_PAYS && b.netValue > BARELY_PAYS)
      return b.informationGainBits - a.informationGainBits || b.ownBits - a.ownBits;
    return b.netValue - a.netValue;
  });
  return order.map((one) => toQuestion(one, one.look));
}

/** Whether a report is of something seen, or asks for care; what happened alone leaves open what is wrong. */
const saysSomething = (library: Compiled, { finding, value }: Report): boolean =>
  value && (isAsking(finding) || library.findings.get(finding)?.kind !== 'context');

/**
 * All questions that can be asked. A `netValue` above 0 harm points means that the answer, alone or with those that
 * can follow, is expected to improve the advice by more than asking costs. `skipped` are findings or groups that the
 * enquirer cannot tell. Answers are weighted by their probability.
 */
export function findQuestions(
  library: Compiled,
  network: Network,
  posterior: Posterior,
  reports: readonly Report[],
  skipped: ReadonlySet<string>,
): Inquiry {
  const list = shortlist(network, posterior);
  const plant = skipped.has(PLANT_QUESTION)
    ? null
    : candidatePlant(library, network, list, posteriorOverHosts(network, posterior));
  const isAnswered = reports.some((one) => saysSomething(library, one));
  const change =
    isAnswered || skipped.has(CHANGE_QUESTION)
      ? null
      : candidateChange(library, network, list, posterior, [
          ...knownFindings(library, reports),
          ...skipped,
        ]);
  const open = [plant, change].filter((one) => one !== null);
  const { questions, samples } = candidateQuestions(library, network, list, reports, skipped);
  const decision = makeDecision(library, network, posterior, list.positions);
  const valued = valueQuestions(list, [...open, ...questions], decision);
  return {
    list,
    decision,
    valued,
    tests: samples,
    questions: inOrder(valued, valueLooks(library, list, valued, decision)),
  };
}

/** The questions of {@link findQuestions}, the best first. */
export function rankQuestions(...given: Parameters<typeof findQuestions>): readonly Question[] {
  return findQuestions(...given).questions;
}

/**
 * Laboratory tests by descending net value in harm points, expected over the probability of each result. A net value
 * above 0 means that a sample is worth sending.
 */
export function rankSamples({ list, decision, tests }: Inquiry): readonly Question[] {
  return inOrder(valueQuestions(list, tests, decision));
}
