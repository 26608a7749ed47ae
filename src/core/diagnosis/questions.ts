import { type Compiled } from '../knowledge/compile.ts';
import type { FindingId } from '../knowledge/schema/common.ts';
import { entropyNats } from '../maths.ts';
import { reliabilityOf, reportLikelihood, type Report } from './evidence.ts';
import { presence, type FindingNode, type Network } from './network.ts';
import type { Posterior } from './posterior.ts';

/** A question that could be asked next. */
export interface Question {
  /** Finding id, or group id when one choice of several is asked for. */
  readonly finding: FindingId | string;
  readonly question: string;
  readonly how: string | null;
  readonly seconds: number;
  /** Expected fall of uncertainty, in bits, less the cost of asking. */
  readonly worth: number;
  readonly choices: readonly { readonly finding: FindingId; readonly label: string }[];
}

/** Bits that a minute of the caller's time must bring to be worth it; our own estimate. */
const BITS_PER_MINUTE = 0.35;
/** Hypotheses looked at; the rest hold too little probability to change the order of questions. */
const HYPOTHESES_WEIGHED = 60;
const ANSWER_SURE = 0.8;

interface Shortlist {
  readonly positions: readonly number[];
  readonly probabilities: readonly number[];
  readonly entropy: number;
}

function shortlist(posterior: Posterior): Shortlist {
  const positions = [...posterior.hypotheses.keys()]
    .sort((a, b) => (posterior.hypotheses[b] ?? 0) - (posterior.hypotheses[a] ?? 0))
    .slice(0, HYPOTHESES_WEIGHED);
  const total = positions.reduce((sum, h) => sum + (posterior.hypotheses[h] ?? 0), 0);
  const probabilities = positions.map((h) => (posterior.hypotheses[h] ?? 0) / total);
  return { positions, probabilities, entropy: entropyNats(probabilities) };
}

/** Expected entropy after an answer, given the chance of each answer under each hypothesis. */
function entropyAfter(list: Shortlist, answers: readonly (readonly number[])[]): number {
  let expected = 0;
  for (const likelihood of answers) {
    const joint = list.probabilities.map((p, k) => p * (likelihood[k] ?? 0));
    const chance = joint.reduce((sum, value) => sum + value, 0);
    if (chance > 0) expected += chance * entropyNats(joint.map((value) => value / chance));
  }
  return expected;
}

function binaryAnswers(network: Network, node: FindingNode, list: Shortlist): number[][] {
  const reliability = reliabilityOf(ANSWER_SURE, node.background);
  const present = presence(network, node);
  const yes = list.positions.map((h) => reportLikelihood(present[h] ?? 0, true, reliability));
  return [yes, yes.map((p) => 1 - p)];
}

function choiceAnswers(
  network: Network,
  nodes: readonly FindingNode[],
  list: Shortlist,
): number[][] {
  const all = nodes.map((node) => presence(network, node));
  return all.map((one) =>
    list.positions.map((h) => {
      const total = all.reduce((sum, other) => sum + (other[h] ?? 0), 0);
      return ANSWER_SURE * ((one[h] ?? 0) / total) + (1 - ANSWER_SURE) / nodes.length;
    }),
  );
}

const bits = (nats: number): number => nats / Math.LN2;

function worthOf(
  list: Shortlist,
  answers: readonly (readonly number[])[],
  seconds: number,
): number {
  const gain = bits(list.entropy - entropyAfter(list, answers));
  return gain - (BITS_PER_MINUTE * seconds) / 60;
}

/** Findings about which an answer is known or implied, so that they are never asked. */
function settledFindings(library: Compiled, reports: readonly Report[]): Set<FindingId> {
  const known = new Set<FindingId>();
  for (const report of reports) {
    if (report.value) for (const one of library.implied(report.finding)) known.add(one);
    known.add(report.finding);
    const group = library.findings.get(report.finding)?.group;
    if (group !== undefined && report.value) {
      for (const member of library.groupMembers.get(group) ?? []) known.add(member.id);
    }
    if (!report.value) {
      for (const other of library.findings.keys()) {
        if (library.implied(other).includes(report.finding)) known.add(other);
      }
    }
  }
  return known;
}

/** All questions worth asking, the best first. `skipped` are findings the enquirer cannot tell. */
export function rankQuestions(
  library: Compiled,
  network: Network,
  posterior: Posterior,
  reports: readonly Report[],
  skipped: ReadonlySet<string>,
): readonly Question[] {
  const list = shortlist(posterior);
  const known = settledFindings(library, reports);
  const open = network.findingIds.filter((id) => !known.has(id) && !skipped.has(id));
  const questions: Question[] = [];
  const groupsSeen = new Set<string>();
  for (const id of open) {
    const finding = library.findings.get(id);
    const node = network.node(id);
    if (!finding?.askable || !node) continue;
    const group = finding.group === undefined ? undefined : library.groups.get(finding.group);
    if (group === undefined) {
      const worth = worthOf(list, binaryAnswers(network, node, list), finding.seconds);
      const { question, how = null, seconds } = finding;
      questions.push({ finding: id, question, how, seconds, worth, choices: [] });
      continue;
    }
    if (groupsSeen.has(group.id) || skipped.has(group.id)) continue;
    groupsSeen.add(group.id);
    const members = library.groupMembers.get(group.id) ?? [];
    const nodes = members.map((member) => network.node(member.id)).filter((one) => one !== null);
    questions.push({
      finding: group.id,
      question: group.question,
      how: group.how ?? null,
      seconds: group.seconds,
      worth: worthOf(list, choiceAnswers(network, nodes, list), group.seconds),
      choices: members.map((member) => ({ finding: member.id, label: member.label })),
    });
  }
  return questions.filter(({ worth }) => worth > 0).sort((a, b) => b.worth - a.worth);
}
