import type { Compiled } from '../knowledge/compile.ts';
import type { Finding } from '../knowledge/schema/finding.ts';
import type { FindingId } from '../knowledge/schema/common.ts';
import { tabulate } from '../maths.ts';
import { reliabilityOf, reportLikelihood, type Report } from './evidence.ts';
import type { Network } from './network.ts';
import type { FindingNode } from './nodes.ts';
import { presenceIn, type Shortlist } from './shortlist.ts';
import { affirmedBy, affirmedGeneral, groupNodes, shareOf } from './weigh.ts';

/** What a question stands for: one finding, the choices of a group, or which plant it is. */
export type QuestionKind = 'finding' | 'group' | 'plant';

/** One possible answer, and its likelihood under each hypothesis of a list. */
export interface PossibleAnswer {
  /** Finding id, or plant id, that the answer names. */
  readonly names: string;
  readonly label: string;
  readonly value: boolean;
  readonly likelihood: Float64Array;
}

/** A question before it is valued. */
export interface Draft {
  readonly kind: QuestionKind;
  /** Finding id, group id, or {@link PLANT_QUESTION}. */
  readonly finding: string;
  readonly question: string;
  readonly how: string | null;
  readonly seconds: number;
  readonly choices: readonly { readonly finding: string; readonly label: string }[];
  readonly answers: readonly PossibleAnswer[];
}

/** Id of the question for the plant, in the place of a finding. */
export const PLANT_QUESTION = 'plant';

/** How sure an answer to a question is taken to be. */
export const ANSWER_SURE = 0.85;
/** A laboratory is wrong less often. */
const LABORATORY_SURE = 0.98;

/** Plants offered as choices; the others can be typed. */
const PLANTS_OFFERED = 6;

/** Findings about which an answer is known or implied, so that they are never asked. */
function settledFindings(library: Compiled, reports: readonly Report[]): ReadonlySet<FindingId> {
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
): Draft['answers'] {
  const reliability = reliabilityOf(
    finding.needs === 'lab' ? LABORATORY_SURE : ANSWER_SURE,
    node.background,
  );
  const general = above ? presenceIn(list, above) : null;
  const present = presenceIn(list, node);
  const yes = tabulate(present.length, (k) => {
    const own = present[k] ?? 0;
    return reportLikelihood(general ? shareOf(own, general[k] ?? 0) : own, true, reliability);
  });
  const { id: names, label } = finding;
  return [
    { names, label, value: true, likelihood: yes },
    { names, label, value: false, likelihood: tabulate(yes.length, (k) => 1 - (yes[k] ?? 0)) },
  ];
}

function oneOfChoices(
  list: Shortlist,
  members: readonly Finding[],
  nodes: readonly FindingNode[],
): Draft['answers'] {
  const { yesWhenTrue, yesWhenFalse } = reliabilityOf(ANSWER_SURE, 1 / nodes.length);
  const anyAnswer = yesWhenTrue + (nodes.length - 1) * yesWhenFalse;
  const all = nodes.map((node) => presenceIn(list, node));
  const totals = tabulate(list.positions.length, (k) =>
    all.reduce((total, one) => total + (one[k] ?? 0), 0),
  );
  return all.map((one, m) => ({
    names: members[m]?.id ?? '',
    label: members[m]?.label ?? '',
    value: true,
    likelihood: tabulate(one.length, (k) => {
      const share = (one[k] ?? 0) / (totals[k] ?? 1);
      return (share * yesWhenTrue + (1 - share) * yesWhenFalse) / anyAnswer;
    }),
  }));
}

/** Findings that some likely cause shows; whatever is answered about the others, nothing would follow from it. */
function shownByLikely(library: Compiled, network: Network, { held }: Shortlist): Set<FindingId> {
  const shown = new Set<FindingId>();
  for (const position of held) {
    const cause = network.causes[position];
    for (const [id, strength] of (cause && library.strengths.get(cause.id)) ?? [])
      if (strength > 0) shown.add(id);
  }
  return shown;
}

function draftFinding(
  library: Compiled,
  network: Network,
  list: Shortlist,
  finding: Finding,
  affirmed: ReadonlySet<FindingId>,
): Draft | null {
  const node = network.node(finding.id);
  if (!node) return null;
  const group = finding.group === undefined ? undefined : library.groups.get(finding.group);
  if (!group) {
    const general = affirmedGeneral(library, finding.id, affirmed);
    const { id, question, how = null, seconds } = finding;
    const above = general === null ? null : network.node(general);
    const answers = yesOrNo(list, finding, node, above);
    return { kind: 'finding', finding: id, question, how, seconds, choices: [], answers };
  }
  const members = library.groupMembers.get(group.id) ?? [];
  const { id, question, how = null, seconds } = group;
  const choices = members.map((member) => ({ finding: member.id, label: member.label }));
  const answers = oneOfChoices(list, members, groupNodes(library, network, group.id));
  return { kind: 'group', finding: id, question, how, seconds, choices, answers };
}

/** Which plant it is, while several are possible; `chances` are those of the network's hosts. */
export function draftPlant(
  library: Compiled,
  network: Network,
  { positions }: Shortlist,
  chances: readonly number[],
): Draft | null {
  if (network.hosts.length < 2) return null;
  const named = network.hosts.map(({ plant, share, at }, h) => ({
    plant,
    share,
    at,
    chance: chances[h] ?? 0,
    label: library.plants.get(plant)?.name ?? plant,
  }));
  const offered = [...named].sort((a, b) => b.chance - a.chance).slice(0, PLANTS_OFFERED);
  return {
    kind: 'plant',
    finding: PLANT_QUESTION,
    question: 'Which plant is it?',
    how: 'If they do not know: tree, shrub, vegetable, grass or in a pot? Needles or leaves?',
    seconds: 10,
    choices: offered.map(({ plant, label }) => ({ finding: plant, label })),
    answers: named.map(({ plant, label, share, at }) => ({
      names: plant,
      label,
      value: true,
      likelihood: tabulate(positions.length, (k) => {
        const prior = network.prior[positions[k] ?? 0] ?? 0;
        return prior > 0 ? (share * at(positions[k] ?? 0)) / prior : 0;
      }),
    })),
  };
}

/** Everything that can still be asked about a plant; laboratory tests are left out unless wanted alone. */
export function draftFindings(
  library: Compiled,
  network: Network,
  list: Shortlist,
  reports: readonly Report[],
  skipped: ReadonlySet<string>,
  laboratory: boolean,
): readonly Draft[] {
  const known = settledFindings(library, reports);
  const affirmed = affirmedBy(library, reports);
  const drafts = new Map<string, Draft>();
  const shown = shownByLikely(library, network, list);
  for (const id of network.findingIds) {
    const finding = library.findings.get(id);
    if (!shown.has(id) || known.has(id) || !finding?.askable) continue;
    if ((finding.needs === 'lab') !== laboratory) continue;
    const asked = finding.group ?? id;
    if (skipped.has(asked) || drafts.has(asked)) continue;
    const draft = draftFinding(library, network, list, finding, affirmed);
    if (draft) drafts.set(asked, draft);
  }
  return [...drafts.values()];
}
