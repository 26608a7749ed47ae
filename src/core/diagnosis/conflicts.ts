import { entryAt } from '../util/entryAt.ts';
import type { Compiled } from '../library/compile.ts';
import type { FindingId } from '../schema/common.ts';
import type { Report } from './evidence.ts';
import { jointly, priorProbability } from './likelihood.ts';
import type { Network } from './network.ts';
import type { Weighed } from './weigh.ts';

/** Whether two findings were read from the same words: two readings of one remark, which contradict nothing. */
export type SameWords = (a: FindingId, b: FindingId) => boolean;

/** Why reports do not go together, with the labels of the findings. */
export type ConflictReason =
  /** `question` is that of their group; null where it has none. */
  | {
      readonly code: 'exclusive';
      readonly labels: readonly string[];
      readonly question: string | null;
    }
  | { readonly code: 'kind-denied'; readonly special: string; readonly general: string }
  | { readonly code: 'needles-and-leaves' }
  | { readonly code: 'seldom-together'; readonly labels: readonly string[] };

/** Reports that cannot, or hardly can, all be so. */
export interface Conflict {
  readonly findings: readonly FindingId[];
  /** What to ask back. */
  readonly reason: ConflictReason;
}

const labelOf = (library: Compiled, id: FindingId): string => library.findings.get(id)?.label ?? id;

/** Choices of an exclusive group that were both affirmed. */
function groupConflicts(library: Compiled, affirmed: readonly FindingId[]): Conflict[] {
  const byGroup = new Map<string, FindingId[]>();
  for (const id of affirmed) {
    const group = library.findings.get(id)?.group;
    if (group !== undefined) byGroup.set(group, [...(byGroup.get(group) ?? []), id]);
  }
  return [...byGroup]
    .filter(([, ids]) => ids.length > 1)
    .map(([group, findings]) => {
      const labels = findings.map((id) => labelOf(library, id));
      const question = library.groups.get(group)?.question ?? null;
      return { findings, reason: { code: 'exclusive', labels, question } };
    });
}

/** A special kind was affirmed and the thing itself denied. */
function kindConflicts(library: Compiled, reports: readonly Report[]): Conflict[] {
  const denied = reports.filter(({ value }) => !value).map(({ finding }) => finding);
  return reports
    .filter(({ value }) => value)
    .flatMap(({ finding }) =>
      denied
        .filter((general) => general !== finding && library.implied(finding).includes(general))
        .map((general) => ({
          findings: [finding, general],
          reason: {
            code: 'kind-denied' as const,
            special: labelOf(library, finding),
            general: labelOf(library, general),
          },
        })),
    );
}

/** Needles and leaves on one plant: often two plants, or one of them loosely named. */
function partConflict(library: Compiled, affirmed: readonly FindingId[]): Conflict[] {
  const onPart = (part: string): FindingId[] =>
    affirmed.filter((id) => library.findings.get(id)?.part === part);
  const [needles, leaves] = [onPart('needle'), onPart('leaf')];
  if (needles.length === 0 || leaves.length === 0) return [];
  return [{ findings: [...needles, ...leaves], reason: { code: 'needles-and-leaves' } }];
}

/** Two reports this many times rarer together than if they had nothing to do with each other are asked back. */
const SELDOM_TOGETHER = 2.2;

/**
 * Pairs of reports that hardly go together: P(a) P(b) / P(a, b), the measure of conflict of Jensen,
 * Chamberlain, Nordahl and Jensen ("Analysis in HUGIN of data conflict", 1990). The worst pair only.
 */
function seldomTogether(
  library: Compiled,
  network: Network,
  evidence: readonly Weighed[],
  sameWords: SameWords,
): Conflict[] {
  const affirmed = evidence.filter(({ value }) => value);
  const alone = affirmed.map(({ likelihood }) => priorProbability(network, likelihood));
  let worst: { ratio: number; findings: readonly FindingId[] } = { ratio: 0, findings: [] };
  affirmed.forEach((a, i) => {
    affirmed.slice(i + 1).forEach((b, k) => {
      if (sameWords(a.finding, b.finding)) return;
      const together = priorProbability(network, jointly(a.likelihood, b.likelihood));
      const ratio = (entryAt(alone, i) * entryAt(alone, i + 1 + k)) / together;
      if (ratio > worst.ratio) worst = { ratio, findings: [a.finding, b.finding] };
    });
  });
  if (worst.ratio < SELDOM_TOGETHER) return [];
  const labels = worst.findings.map((id) => labelOf(library, id));
  return [{ findings: worst.findings, reason: { code: 'seldom-together', labels } }];
}

/**
 * Contradictions among the reports. Plain ones (exclusive choices, a special case affirmed with its general case
 * denied, needles with leaves) come first; only without any is the pair reported whose joint probability is lowest
 * against independence.
 */
export function findConflicts(
  library: Compiled,
  network: Network,
  reports: readonly Report[],
  evidence: readonly Weighed[],
  sameWords: SameWords = () => false,
): readonly Conflict[] {
  const affirmed = reports.filter(({ value }) => value).map(({ finding }) => finding);
  const plain = [
    ...groupConflicts(library, affirmed),
    ...kindConflicts(library, reports),
    ...partConflict(library, affirmed),
  ];
  return plain.length > 0 ? plain : seldomTogether(library, network, evidence, sameWords);
}
