import { numberAt } from '../util/entryAt.ts';
import type { Network } from '../diagnosis/network.ts';
import type { Posterior } from '../diagnosis/posterior.ts';
import type { Shortlist } from '../diagnosis/shortlist.ts';
import type { Compiled } from '../library/compile.ts';
import type { FindingId } from '../schema/common.ts';
import type { Finding } from '../schema/finding.ts';
import { suits } from '../schema/kinds.ts';
import { oneOfChoices, type CandidateQuestion } from './candidates.ts';

/** Id of the question what is to be seen, in the place of a finding. */
export const CHANGE_QUESTION = 'change';

/** Changes offered, in all and of one part of the plant. */
const OFFERED = 10;
const OFFERED_OF_A_PART = 4;
/** What is about the plant, not on it. */
const BESIDE_THE_PLANT: readonly Finding['part'][] = ['soil', 'around', 'history'];

/** How often the causes of the plant show each finding, by their probability. */
function expectedFindings(
  library: Compiled,
  network: Network,
  { causes }: Posterior,
): ReadonlyMap<FindingId, number> {
  const expected = new Map<FindingId, number>();
  for (const [i, cause] of network.causes.entries())
    for (const [id, strength] of library.strengths.get(cause.id) ?? [])
      expected.set(id, (expected.get(id) ?? 0) + numberAt(causes, i) * strength);
  return expected;
}

/** What an enquirer can see at once, in its most general form. */
const isPlainToSee = ({ part, kind, askable, needs, group, isA }: Finding): boolean =>
  !BESIDE_THE_PLANT.includes(part) &&
  (kind === 'symptom' || kind === 'sign') &&
  askable &&
  (needs === 'ask' || needs === 'look') &&
  group === undefined &&
  isA.length === 0;

/** The commonest changes of a plant, a few of each part, part by part. */
function offered(
  library: Compiled,
  network: Network,
  expected: ReadonlyMap<FindingId, number>,
  left: ReadonlySet<string>,
): readonly Finding[] {
  const hosts = network.hosts.map(({ plant }) => library.taxonomy.lineage(plant));
  const often = ({ id }: Finding): number => expected.get(id) ?? 0;
  const seen = network.findingIds
    .filter((id) => !left.has(id))
    .flatMap((id) => library.findings.get(id) ?? [])
    .filter((finding) => isPlainToSee(finding) && hosts.some((kinds) => suits(finding, kinds)))
    .sort((a, b) => often(b) - often(a));
  const ofPart = (part: string): readonly Finding[] =>
    seen.filter((finding) => finding.part === part).slice(0, OFFERED_OF_A_PART);
  const parts = [...new Set(seen.map(({ part }) => part))];
  const most = parts
    .flatMap(ofPart)
    .sort((a, b) => often(b) - often(a))
    .slice(0, OFFERED);
  return parts.flatMap((part) => most.filter((finding) => finding.part === part));
}

/**
 * The open question for a plant of which nothing is reported: what is to be seen on it, with the commonest changes as
 * choices, leaving out those of `left`. Returns null where fewer than two can be offered.
 */
export function candidateChange(
  library: Compiled,
  network: Network,
  list: Shortlist,
  posterior: Posterior,
  left: readonly string[],
): CandidateQuestion | null {
  const expected = expectedFindings(library, network, posterior);
  const members = offered(library, network, expected, new Set(left));
  const nodes = members.flatMap(({ id }) => network.node(id) ?? []);
  if (nodes.length < 2 || nodes.length !== members.length) return null;
  return {
    kind: 'change',
    finding: CHANGE_QUESTION,
    question: { code: 'what-is-seen' },
    how: null,
    seconds: 15,
    tedium: 0,
    choices: members.map(({ id, label }) => ({ finding: id, label })),
    answers: oneOfChoices(list, members, nodes),
  };
}
