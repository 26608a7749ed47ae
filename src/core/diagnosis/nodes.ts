import { numberAt } from '../util/entryAt.ts';
import { backgroundOf, type Compiled } from '../library/compile.ts';
import type { Cause } from '../schema/cause.ts';
import type { FindingId } from '../schema/common.ts';
import { memoize } from '../util/memoize.ts';
import type { Circumstances } from './hosts.ts';

/** A node of the network: a finding and the chance that each cause of the host leaves it unshown. */
export interface FindingNode {
  readonly id: FindingId;
  readonly background: number;
  /** 1 - P(finding | cause alone), by cause position. */
  readonly inhibition: Float64Array;
  /** Positions of the causes that show it, ascending. */
  readonly shownBy: readonly number[];
}

/** A node with every cause in its best stage, and the positions of causes that show the finding in some stages only. */
interface StagedNode {
  readonly node: FindingNode;
  readonly staged: readonly number[];
}

/** The nodes of a host, whatever the day. */
export interface StagedNodes {
  /** Findings that some cause of the host shows. */
  readonly findingIds: readonly FindingId[];
  /** Those that nobody who has them would leave unmentioned. */
  readonly noticeable: readonly FindingId[];
  /** Null for what is no finding of the library. */
  readonly nodeOf: (id: FindingId) => StagedNode | null;
}

/** A cause that shows a finding, by its position, and how often it does in its season. */
interface Link {
  readonly at: number;
  readonly strength: number;
}

function linksOf(library: Compiled, causes: readonly Cause[]): ReadonlyMap<FindingId, Link[]> {
  const links = new Map<FindingId, Link[]>();
  causes.forEach((cause, at) => {
    for (const [id, strength] of library.strengths.get(cause.id) ?? []) {
      const list = links.get(id);
      if (list) list.push({ at, strength });
      else links.set(id, [{ at, strength }]);
    }
  });
  return links;
}

/** Makes nodes when first asked for; most findings of a host are never reported nor asked. */
export function stagedNodes(library: Compiled, causes: readonly Cause[]): StagedNodes {
  const links = linksOf(library, causes);
  const nodeOf = (id: FindingId): StagedNode | null => {
    const finding = library.findings.get(id);
    if (!finding) return null;
    const shown = (links.get(id) ?? []).filter(({ strength }) => strength > 0);
    const inhibition = new Float64Array(causes.length).fill(1);
    for (const { at, strength } of shown) inhibition[at] = 1 - strength;
    const shownBy = shown.map(({ at }) => at);
    const inStages = ({ stages }: Cause): boolean => stages.some(({ shows }) => shows.includes(id));
    return {
      node: { id, background: backgroundOf(finding), inhibition, shownBy },
      staged: shownBy.filter((at) => causes[at] && inStages(causes[at])),
    };
  };
  const findingIds = [...links.keys()];
  return {
    findingIds,
    noticeable: findingIds.filter((id) => library.findings.get(id)?.noticeable === true),
    nodeOf: memoize(nodeOf),
  };
}

/** A finding tied to a stage is seldom seen out of it, the less the further away; traces stay for some weeks. */
const MIN_OUT_OF_STAGE = 0.1;
const TRACES_STAY_DAYS = 25;

type Moment = Pick<Circumstances, 'almanac' | 'today'>;

/** Factor on what a cause shows on a day: 1 in a stage that shows the finding. */
function stageFactor(cause: Cause, finding: FindingId, { almanac, today }: Moment): number {
  const days = cause.stages
    .filter(({ shows }) => shows.includes(finding))
    .map(({ when }) => almanac.daysOutside(when, today) ?? Infinity);
  return Math.max(MIN_OUT_OF_STAGE, Math.exp(-Math.min(...days) / TRACES_STAY_DAYS));
}

/**
 * The finding nodes of a host on a day, with probabilities by the life stages of its causes. The function it gives
 * returns null for an id that is no finding of the library.
 */
export function nodesOn(
  { nodeOf }: StagedNodes,
  causes: readonly Cause[],
  moment: Moment,
): (id: FindingId) => FindingNode | null {
  return memoize((id) => {
    const made = nodeOf(id);
    if (!made || made.staged.length === 0) return made?.node ?? null;
    const inhibition = made.node.inhibition.slice();
    for (const at of made.staged) {
      const cause = causes[at];
      if (cause)
        inhibition[at] = 1 - (1 - numberAt(inhibition, at)) * stageFactor(cause, id, moment);
    }
    return { ...made.node, inhibition };
  });
}
