import { makeDecision, type Decision } from '../advice/decision.ts';
import type { Compiled } from '../knowledge/compile.ts';
import type { FindingId } from '../knowledge/schema/common.ts';
import { entropyNats, tabulate } from '../maths.ts';
import { reliabilityOf, reportLikelihood, type Report } from './evidence.ts';
import { presenceAt, type FindingNode, type Network } from './network.ts';
import type { Posterior } from './posterior.ts';

/** A question that could be asked next. */
export interface Question {
  /** Finding id, or group id when one choice of several is asked for. */
  readonly finding: string;
  readonly question: string;
  readonly how: string | null;
  readonly seconds: number;
  /** Expected fall of the advice's loss, in harm points, less the cost of asking. */
  readonly worth: number;
  /** Expected fall of uncertainty, in bits; decides between questions of equal worth. */
  readonly bits: number;
  readonly choices: readonly { readonly finding: FindingId; readonly label: string }[];
}

/** Loss of a minute of the caller's time, in harm points; our own estimate. */
export const LOSS_PER_MINUTE = 0.3;
/** How sure an answer to a question is taken to be. */
export const ANSWER_SURE = 0.85;
/** Hypotheses looked at: the likeliest that together hold nearly all probability, and never more than a few dozen. */
const HYPOTHESES_WEIGHED = 80;
const PROBABILITY_WEIGHED = 0.995;
/** Smaller probabilities are not even sorted; thousands of pairs stand below it. */
const LEAST_WEIGHED = 1e-5;
/** What a bit counts in the order of questions, though not in whether they are worth asking: it decides where no answer changes the advice. */
const WORTH_PER_BIT = 0.05;

interface Shortlist {
  readonly positions: readonly number[];
  readonly probabilities: Float64Array;
  readonly entropy: number;
}

/** The likeliest hypotheses, their probabilities brought to a sum of 1. */
export function shortlist(posterior: Posterior): Shortlist {
  const chance = (h: number): number => posterior.hypotheses[h] ?? 0;
  const sorted = [...posterior.hypotheses.keys()]
    .filter((h) => chance(h) >= LEAST_WEIGHED)
    .sort((a, b) => chance(b) - chance(a))
    .slice(0, HYPOTHESES_WEIGHED);
  let held = 0;
  const positions = sorted.filter((h) => {
    const wanted = held < PROBABILITY_WEIGHED;
    held += chance(h);
    return wanted;
  });
  const total = positions.reduce((sum, h) => sum + (posterior.hypotheses[h] ?? 0), 0);
  const probabilities = tabulate(positions.length, (k) => chance(positions[k] ?? 0) / total);
  return { positions, probabilities, entropy: entropyNats(probabilities) };
}

/** Likelihood of each answer under each hypothesis of the list. */
type Answers = readonly Float64Array[];

function binaryAnswers(network: Network, node: FindingNode, list: Shortlist): Answers {
  const reliability = reliabilityOf(ANSWER_SURE, node.background);
  const yes = tabulate(list.positions.length, (k) =>
    reportLikelihood(presenceAt(network, node, list.positions[k] ?? 0), true, reliability),
  );
  return [yes, yes.map((p) => 1 - p)];
}

function choiceAnswers(network: Network, nodes: readonly FindingNode[], list: Shortlist): Answers {
  const all = nodes.map((node) =>
    tabulate(list.positions.length, (k) => presenceAt(network, node, list.positions[k] ?? 0)),
  );
  return all.map((one) =>
    one.map((p, k) => {
      const total = all.reduce((sum, other) => sum + (other[k] ?? 0), 0);
      return (ANSWER_SURE * p) / total + (1 - ANSWER_SURE) / nodes.length;
    }),
  );
}

/** Probabilities times likelihoods, and their sum: the chance of the answer. */
function joinWith(
  probabilities: Float64Array,
  likelihood: Float64Array,
): { joint: Float64Array; chance: number } {
  const joint = new Float64Array(probabilities.length);
  let chance = 0;
  for (let k = 0; k < joint.length; k++) {
    const weight = (probabilities[k] ?? 0) * (likelihood[k] ?? 0);
    joint[k] = weight;
    chance += weight;
  }
  return { joint, chance };
}

/** Expected loss of the advice once the question is answered. */
function lossAfter(probabilities: Float64Array, answers: Answers, decision: Decision): number {
  let loss = 0;
  for (const likelihood of answers)
    loss += decision.bestLoss(joinWith(probabilities, likelihood).joint);
  return loss;
}

/** Expected entropy in nats once the question is answered. */
function entropyAfter(probabilities: Float64Array, answers: Answers): number {
  let nats = 0;
  for (const likelihood of answers) {
    const { joint, chance } = joinWith(probabilities, likelihood);
    // H(joint / chance) x chance, without dividing each part.
    if (chance > 0) nats += entropyNats(joint) + chance * Math.log(chance);
  }
  return nats;
}

/** Findings about which an answer is known or implied, so that they are never asked. */
function settledFindings(library: Compiled, reports: readonly Report[]): Set<FindingId> {
  const known = new Set<FindingId>();
  const denied = new Set<FindingId>();
  for (const { finding, value } of reports) {
    known.add(finding);
    if (!value) {
      denied.add(finding);
      continue;
    }
    for (const one of library.implied(finding)) known.add(one);
    const group = library.findings.get(finding)?.group;
    if (group !== undefined)
      for (const { id } of library.groupMembers.get(group) ?? []) known.add(id);
  }
  if (denied.size > 0) {
    for (const id of library.findings.keys()) {
      if (library.implied(id).some((one) => denied.has(one))) known.add(id);
    }
  }
  return known;
}

/** A question before it is valued: one finding, or the choices of a group in one breath. */
interface Draft extends Omit<Question, 'worth' | 'bits'> {
  readonly answers: (list: Shortlist) => Answers;
}

function draftFinding(library: Compiled, network: Network, id: FindingId): Draft | null {
  const finding = library.findings.get(id);
  const node = network.node(id);
  if (!finding?.askable || !node) return null;
  const group = finding.group === undefined ? undefined : library.groups.get(finding.group);
  if (!group) {
    const { question, how = null, seconds } = finding;
    return {
      finding: id,
      question,
      how,
      seconds,
      choices: [],
      answers: (list) => binaryAnswers(network, node, list),
    };
  }
  const members = library.groupMembers.get(group.id) ?? [];
  const nodes = members.map((member) => network.node(member.id)).filter((one) => one !== null);
  const { question, how = null, seconds } = group;
  const choices = members.map((member) => ({ finding: member.id, label: member.label }));
  return {
    finding: group.id,
    question,
    how,
    seconds,
    choices,
    answers: (list) => choiceAnswers(network, nodes, list),
  };
}

function draftQuestions(
  library: Compiled,
  network: Network,
  reports: readonly Report[],
  skipped: ReadonlySet<string>,
): readonly Draft[] {
  const known = settledFindings(library, reports);
  const drafts = new Map<string, Draft>();
  for (const id of network.findingIds) {
    if (known.has(id)) continue;
    const draft = draftFinding(library, network, id);
    if (draft && !skipped.has(draft.finding)) drafts.set(draft.finding, draft);
  }
  return [...drafts.values()];
}

const bitsOf = (nats: number): number => nats / Math.LN2;
const costOf = ({ seconds }: { readonly seconds: number }): number =>
  (LOSS_PER_MINUTE * seconds) / 60;

/** A draft with what one answer to it would bring. */
interface Valued {
  readonly draft: Draft;
  readonly answers: Answers;
  readonly worth: number;
  readonly bits: number;
}

/** Questions looked at two answers ahead, and follow-ups tried for each of their answers. */
const LOOKED_FURTHER = 4;
const FOLLOW_UPS = 12;

/** What the best follow-up brings after each answer, weighted by the chance of that answer; never below 0. */
function followUpWorth(
  list: Shortlist,
  first: Valued,
  others: readonly Valued[],
  decision: Decision,
): number {
  let worth = 0;
  for (const likelihood of first.answers) {
    const { joint, chance } = joinWith(list.probabilities, likelihood);
    if (chance <= 0) continue;
    const now = decision.bestLoss(joint);
    const gains = others.map(
      (next) => now - lossAfter(joint, next.answers, decision) - chance * costOf(next.draft),
    );
    worth += Math.max(0, ...gains);
  }
  return worth;
}

/** Where one answer would not change the advice, two together may: the most telling questions are tried in pairs. */
function lookFurther(
  list: Shortlist,
  valued: readonly Valued[],
  decision: Decision,
): readonly Valued[] {
  const telling = [...valued].sort((a, b) => b.bits - a.bits).slice(0, FOLLOW_UPS);
  const first = new Set(telling.slice(0, LOOKED_FURTHER));
  return valued.map((one) => {
    if (!first.has(one)) return one;
    const others = telling.filter((other) => other !== one);
    const inPairs = one.worth + followUpWorth(list, one, others, decision);
    return { ...one, worth: inPairs };
  });
}

/**
 * All questions that can be asked, the best first. `worth` above 0 means that the answer, or the answer and
 * the best follow-up, is expected to improve the advice by more than asking costs. `skipped` are findings or
 * groups the enquirer cannot tell.
 */
export function rankQuestions(
  library: Compiled,
  network: Network,
  posterior: Posterior,
  reports: readonly Report[],
  skipped: ReadonlySet<string>,
): readonly Question[] {
  const list = shortlist(posterior);
  const decision = makeDecision(library, network, posterior, list.positions);
  const now = decision.bestLoss(list.probabilities);
  const valued = draftQuestions(library, network, reports, skipped).map((draft): Valued => {
    const answers = draft.answers(list);
    return {
      draft,
      answers,
      worth: now - lossAfter(list.probabilities, answers, decision) - costOf(draft),
      bits: bitsOf(list.entropy - entropyAfter(list.probabilities, answers)),
    };
  });
  return lookFurther(list, valued, decision)
    .map(({ draft: { finding, question, how, seconds, choices }, worth, bits }) => ({
      finding,
      question,
      how,
      seconds,
      choices,
      worth,
      bits,
    }))
    .sort((a, b) => b.worth + WORTH_PER_BIT * b.bits - (a.worth + WORTH_PER_BIT * a.bits));
}
