import { entryAt, indexAt, numberAt } from '../util/entryAt.ts';
import type { Compiled } from '../library/compile.ts';
import type { Finding } from '../schema/finding.ts';
import type { FindingId, PlantId } from '../schema/common.ts';
import type { Strengths } from '../knowledge/strengths.ts';
import { suits } from '../schema/kinds.ts';
import { RELIED_ON } from '../schema/reliedOn.ts';
import { tabulate } from '../util/maths.ts';
import { reliabilityOf, reportLikelihood, type Report } from '../diagnosis/evidence.ts';
import type { Network } from '../diagnosis/network.ts';
import type { FindingNode } from '../diagnosis/nodes.ts';
import { presenceIn, type Shortlist } from '../diagnosis/shortlist.ts';
import {
  affirmedBy,
  affirmedGeneral,
  groupNodes,
  probabilityGivenMore,
} from '../diagnosis/weigh.ts';

/** What a question stands for: one finding, the choices of a group, which plant it is, or what is to be seen at all. */
export type QuestionKind = 'finding' | 'group' | 'plant' | 'change';

/** One possible answer, and its likelihood under each hypothesis of a list. */
export interface PossibleAnswer {
  /** Finding id, or plant id, that the answer names. */
  readonly names: string;
  readonly label: string;
  readonly value: boolean;
  readonly likelihood: Float64Array;
}

/** An open question: which plant, which kind of the group that was named, or what is to be seen. */
export type OpenQuestion =
  | { readonly code: 'which-plant' | 'what-is-seen' }
  | { readonly code: 'which-kind'; readonly of: string };

/** A question before it is valued. */
export interface CandidateQuestion {
  readonly kind: QuestionKind;
  /** Finding id, group id, {@link PLANT_QUESTION}, or the id of the question what is to be seen. */
  readonly finding: string;
  /** Words of the library, or an open question. */
  readonly question: string | OpenQuestion;
  /** How to look, in the words of the library. */
  readonly how: string | null;
  readonly seconds: number;
  /** What asking costs besides its time, in seconds: a broad or noticeable finding would have been mentioned. */
  readonly tedium: number;
  readonly choices: readonly { readonly finding: string; readonly label: string }[];
  readonly answers: readonly PossibleAnswer[];
}

/** Id of the question for the plant, in the place of a finding. */
export const PLANT_QUESTION = 'plant';

/** How sure an answer to a question is taken to be. */
export const ANSWER_SURE = 0.85;
/** A laboratory is wrong less often. */
const LABORATORY_SURE = 0.98;

/** A finding that so many causes show is broad: an enquirer who sees it mentions it unasked. */
const BROAD_CAUSES = 25;
/** Cost in seconds of a question about a broad finding that was not mentioned; measured on played callers. */
const BROAD_TEDIUM = 15;

/** Plants offered as choices; the others can be typed. */
const PLANTS_OFFERED = 6;

/** Findings about which an answer is known or implied, so that they are never asked. */
export function knownFindings(
  library: Compiled,
  reports: readonly Report[],
): ReadonlySet<FindingId> {
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

function yesOrNo(
  list: Shortlist,
  finding: Finding,
  node: FindingNode,
  above: FindingNode | null,
): CandidateQuestion['answers'] {
  const reliability = reliabilityOf(
    finding.needs === 'lab' ? LABORATORY_SURE : ANSWER_SURE,
    node.background,
  );
  const general = above ? presenceIn(list, above) : null;
  const yes = presenceIn(list, node);
  const no = list.column();
  for (let k = 0; k < yes.length; k++) {
    const own = numberAt(yes, k);
    const present = general ? probabilityGivenMore(own, numberAt(general, k)) : own;
    const heard = reportLikelihood(present, true, reliability);
    yes[k] = heard;
    no[k] = 1 - heard;
  }
  const { id: names, label } = finding;
  return [
    { names, label, value: true, likelihood: yes },
    { names, label, value: false, likelihood: no },
  ];
}

/** Answers that name one of several findings, with the probability of each under each hypothesis: its share of what is present. */
export function oneOfChoices(
  list: Shortlist,
  members: readonly Finding[],
  nodes: readonly FindingNode[],
): CandidateQuestion['answers'] {
  const { yesWhenTrue, yesWhenFalse } = reliabilityOf(ANSWER_SURE, 1 / nodes.length);
  const anyAnswer = yesWhenTrue + (nodes.length - 1) * yesWhenFalse;
  const all = nodes.map((node) => presenceIn(list, node));
  for (let k = 0; k < list.positions.length; k++) {
    let total = 0;
    for (const one of all) total += numberAt(one, k);
    for (const one of all) {
      const share = numberAt(one, k) / total;
      one[k] = (share * yesWhenTrue + (1 - share) * yesWhenFalse) / anyAnswer;
    }
  }
  return all.map((likelihood, m) => {
    const { id: names = '', label = '' } = members[m] ?? {};
    return { names, label, value: true, likelihood };
  });
}

/** Below this a report is too doubtful to rule out causes that do not show it. */
const SURELY_REPORTED = 0.6;

/** Share of all probability that what explains the complaint holds before nothing else is asked about; measured on played callers. */
const EXPLAINED = 0.8;

/** What is reported to be seen, with all that it implies; what happened around the plant explains no question. */
function complaintOf(library: Compiled, reports: readonly Report[]): ReadonlySet<FindingId> {
  return new Set(
    reports
      .filter(({ value, sure }) => value && sure >= SURELY_REPORTED)
      .filter(({ finding }) => library.findings.get(finding)?.kind !== 'context')
      .flatMap(({ finding }) => library.implied(finding)),
  );
}

/**
 * Findings that some likely cause shows; whatever is answered about the others, nothing would follow from it. Where
 * nearly all probability is with causes that explain something of the complaint, no others are asked about.
 */
function shownByLikely(
  library: Compiled,
  network: Network,
  { held, probabilities, first, second }: Shortlist,
  complaint: ReadonlySet<FindingId>,
): Set<FindingId> {
  const strengthsAt = (position: number): Strengths | undefined => {
    const cause = network.causes[position];
    return cause && library.strengths.get(cause.id);
  };
  const explains = (position: number): boolean => {
    const strengths = strengthsAt(position);
    return strengths !== undefined && [...complaint].some((id) => (strengths.get(id) ?? 0) > 0);
  };
  const explaining = [...held].filter(explains);
  const among = new Set(explaining);
  const explained = probabilities.reduce((sum, one, k) => {
    const holds = among.has(indexAt(first, k)) || among.has(indexAt(second, k));
    return holds ? sum + one : sum;
  }, 0);
  const asked = explained >= EXPLAINED ? explaining : [...held];
  return new Set(
    asked.flatMap((position) =>
      [...(strengthsAt(position) ?? [])].flatMap(([id, strength]) => (strength > 0 ? [id] : [])),
    ),
  );
}

function candidateFinding(
  library: Compiled,
  network: Network,
  list: Shortlist,
  finding: Finding,
  affirmed: ReadonlySet<FindingId>,
): CandidateQuestion | null {
  const node = network.node(finding.id);
  if (!node) return null;
  const group = finding.group === undefined ? undefined : library.groups.get(finding.group);
  if (!group) {
    const general = affirmedGeneral(library, finding.id, affirmed);
    const { id, question, how = null, seconds } = finding;
    const above = general === null ? null : network.node(general);
    const answers = yesOrNo(list, finding, node, above);
    const isBroad = (library.shownBy.get(id)?.size ?? 0) >= BROAD_CAUSES || finding.noticeable;
    const tedium = isBroad ? BROAD_TEDIUM : 0;
    return { kind: 'finding', finding: id, question, how, seconds, tedium, choices: [], answers };
  }
  const members = library.groupMembers.get(group.id) ?? [];
  const { id, question, how = null, seconds } = group;
  const choices = members.map((member) => ({ finding: member.id, label: member.label }));
  const answers = oneOfChoices(list, members, groupNodes(library, network, group.id));
  return { kind: 'group', finding: id, question, how, seconds, tedium: 0, choices, answers };
}

/**
 * The question for the plant. `chances` are the posterior probabilities of the network's hosts. Returns null when
 * only one host is possible.
 */
export function candidatePlant(
  library: Compiled,
  network: Network,
  { positions }: Shortlist,
  chances: readonly number[],
): CandidateQuestion | null {
  if (network.hosts.length < 2) return null;
  const named = network.hosts.map(({ plant, probability, at }, h) => ({
    plant,
    share: probability,
    at,
    chance: entryAt(chances, h),
    label: library.plants.get(plant)?.name ?? plant,
  }));
  // A group stands among its own kinds for those not listed; naming it again would tell nothing.
  const isGroup = ({ plant }: { plant: PlantId }): boolean =>
    library.taxonomy.below(plant).length > 0;
  const group = named.find(isGroup);
  const offered = named
    .filter((one) => !isGroup(one))
    .sort((a, b) => b.chance - a.chance)
    .slice(0, PLANTS_OFFERED);
  return {
    kind: 'plant',
    finding: PLANT_QUESTION,
    question: group ? { code: 'which-kind', of: group.label } : { code: 'which-plant' },
    how: null,
    seconds: 10,
    tedium: 0,
    choices: offered.map(({ plant, label }) => ({ finding: plant, label })),
    answers: named.map(({ plant, label, share, at }) => ({
      names: plant,
      label,
      value: true,
      likelihood: tabulate(positions.length, (k) => {
        const prior = numberAt(network.prior, entryAt(positions, k));
        return prior > 0 ? (share * at(entryAt(positions, k))) / prior : 0;
      }),
    })),
  };
}

/** Questions for the enquirer, and tests for a laboratory. */
export interface CandidateQuestions {
  readonly questions: readonly CandidateQuestion[];
  readonly samples: readonly CandidateQuestion[];
}

/**
 * Everything that can still be asked or tested about a plant, with the likelihood (a probability) of each answer
 * under each hypothesis. `skipped` are findings or groups that the enquirer cannot tell.
 */
export function candidateQuestions(
  library: Compiled,
  network: Network,
  list: Shortlist,
  reports: readonly Report[],
  skipped: ReadonlySet<string>,
): CandidateQuestions {
  const known = knownFindings(library, reports);
  const affirmed = affirmedBy(library, reports);
  const [questions, samples]: [CandidateQuestion[], CandidateQuestion[]] = [[], []];
  const drafted = new Set<string>();
  const shown = shownByLikely(library, network, list, complaintOf(library, reports));
  const hosts = network.hosts.map(({ plant }) => library.taxonomy.lineage(plant));
  const isPotted =
    affirmed.has(RELIED_ON.findings.potted) ||
    hosts.some((kinds) => kinds.includes(RELIED_ON.plants.indoors));
  for (const id of network.findingIds) {
    if (!shown.has(id) || known.has(id)) continue;
    const finding = library.findings.get(id);
    if (!finding?.askable || !hosts.some((kinds) => suits(finding, kinds))) continue;
    if (finding.inPot && !isPotted) continue;
    const inLaboratory = finding.needs === 'lab';
    const asked = finding.group ?? id;
    // Whoever cannot tell can still send a sample.
    if (drafted.has(asked) || (skipped.has(asked) && !inLaboratory)) continue;
    const draft = candidateFinding(library, network, list, finding, affirmed);
    if (!draft) continue;
    drafted.add(asked);
    (inLaboratory ? samples : questions).push(draft);
  }
  return { questions, samples };
}
