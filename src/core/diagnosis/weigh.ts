import type { Compiled } from '../library/compile.ts';
import type { FindingId } from '../schema/common.ts';
import { reliabilityOf, reportLikelihood, type Report } from './evidence.ts';
import { likelihoodFrom, likelihoodInProportion, type Likelihood } from './likelihood.ts';
import type { Network } from './network.ts';
import type { FindingNode } from './nodes.ts';

/** A piece of evidence ready to weigh. */
export interface Weighed {
  readonly finding: FindingId;
  readonly value: boolean;
  readonly sure: number;
  readonly likelihood: Likelihood;
}

/** Nodes of the choices of an exclusive group. */
export function groupNodes(library: Compiled, network: Network, group: string): FindingNode[] {
  return (library.groupMembers.get(group) ?? [])
    .map(({ id }) => network.node(id))
    .filter((node) => node !== null);
}

/** Some cause of the host shows the finding. */
export function isRelevant(node: FindingNode): boolean {
  return node.shownBy.length > 0;
}

/** Findings reported as there, and all more general ones that these imply. */
export function affirmedBy(library: Compiled, reports: readonly Report[]): ReadonlySet<FindingId> {
  return new Set(
    reports.filter(({ value }) => value).flatMap(({ finding }) => library.implied(finding)),
  );
}

/**
 * The nearest more general finding that is known to be there. A report of a special case then only says which case,
 * so its probability is conditional on the general one. Returns null when no general finding is known.
 */
export function affirmedGeneral(
  library: Compiled,
  id: FindingId,
  affirmed: ReadonlySet<FindingId>,
): FindingId | null {
  return library.implied(id).find((one) => one !== id && affirmed.has(one)) ?? null;
}

/**
 * Probability of a special finding given the general one that it implies: their ratio, from 0 to 1. `special` and
 * `general` are probabilities.
 */
export function probabilityGivenMore(special: number, general: number): number {
  return general > 0 ? Math.min(1, special / general) : 0;
}

/** Likelihood of one report under every hypothesis; null when no cause of the host shows it, as it is then uninformative. */
function weigh(
  library: Compiled,
  network: Network,
  report: Report,
  above: FindingId | null,
): Weighed | null {
  const node = network.node(report.finding);
  const finding = library.findings.get(report.finding);
  if (!node || !finding || !isRelevant(node)) return null;
  const members = finding.group === undefined ? [] : groupNodes(library, network, finding.group);
  const likelihood =
    members.length > 1
      ? choiceLikelihood(report, node, members)
      : findingLikelihood(report, node, above === null ? null : network.node(above));
  return { ...report, likelihood };
}

/** One choice of an exclusive group was named: its presence counts as a share of all the choices'. */
function choiceLikelihood(
  { value, sure }: Report,
  chosen: FindingNode,
  members: readonly FindingNode[],
): Likelihood {
  const reliability = reliabilityOf(sure, 1 / members.length);
  return likelihoodFrom(members, (presence) => {
    const total = members.reduce((sum, member) => sum + presence(member), 0);
    return reportLikelihood(presence(chosen) / total, value, reliability);
  });
}

/** A finding was named; where a more general one is known, only as which kind of it this is. */
function findingLikelihood(
  { value, sure }: Report,
  node: FindingNode,
  general: FindingNode | null,
): Likelihood {
  const reliability = reliabilityOf(sure, node.background);
  const heard = (presence: number): number => reportLikelihood(presence, value, reliability);
  if (!general) return likelihoodInProportion(node, heard(1), heard(0));
  return likelihoodFrom([node, general], (presence) =>
    heard(probabilityGivenMore(presence(node), presence(general))),
  );
}

/**
 * Reports without those that a more specific one implies, so that nothing is counted twice:
 * "orange pustules" replaces "spots"; a denied general finding drops denials of its special cases.
 */
export function withoutImplied(library: Compiled, reports: readonly Report[]): readonly Report[] {
  if (reports.every(({ finding }) => library.implied(finding).length === 1)) return reports;
  const implies = (special: Report, general: Report): boolean =>
    special.finding !== general.finding &&
    library.implied(special.finding).includes(general.finding);
  return reports.filter((report) =>
    report.value
      ? !reports.some((other) => other.value && implies(other, report))
      : !reports.some((other) => !other.value && implies(report, other)),
  );
}

/**
 * The reports that change a probability on this host, each with its likelihood under every hypothesis. Reports of
 * findings that no cause of the host shows are left out.
 */
export function weighReports(
  library: Compiled,
  network: Network,
  reports: readonly Report[],
): readonly Weighed[] {
  const kept = withoutImplied(library, reports);
  // Of several kinds of one general finding the first by name carries it; the others tell only which kind.
  const general = ({ finding, value }: Report): FindingId | null => {
    if (library.implied(finding).length === 1) return null;
    const known = value ? kept.filter((other) => other.finding < finding) : kept;
    return affirmedGeneral(library, finding, affirmedBy(library, known));
  };
  return kept
    .map((report) => weigh(library, network, report, general(report)))
    .filter((one) => one !== null);
}
