import { backgroundOf, type Compiled } from '../knowledge/compile.ts';
import type { Cause } from '../knowledge/schema/cause.ts';
import type { CauseId, FindingId, PlantId } from '../knowledge/schema/common.ts';
import { frameOf, type Link } from './frame.ts';
import { weighHosts, type Circumstances } from './hosts.ts';
import { priorOfHost, type HostPrior, type Pairs } from './prior.ts';

/** A node of the network: a finding and the chance that each cause of the host leaves it unshown. */
export interface FindingNode {
  readonly id: FindingId;
  readonly background: number;
  /** 1 - P(finding | cause alone), by cause position. */
  readonly miss: Float64Array;
  /** Positions of the causes that show it, ascending. */
  readonly shownBy: readonly number[];
}

/** A host of the mixture, with the prior of the hypotheses were it this plant. */
export interface NetworkHost extends HostPrior {
  readonly plant: PlantId;
  readonly share: number;
}

/**
 * The two-layer noisy-OR network of one host, or of a mixture of hosts, at one place and date.
 * Hypotheses stand in this order: nothing wrong, not in the library, each cause alone, each pair (i < j).
 * What a cause shows does not depend on the host, so a mixture is exact with the mixed prior alone.
 */
export interface Network {
  readonly causes: readonly Cause[];
  readonly position: ReadonlyMap<CauseId, number>;
  readonly pairs: Pairs;
  /** Prior of each hypothesis, mixed over the hosts; sums to 1. */
  readonly prior: Float64Array;
  /** Prior of all pairs that a cause is in, by position. */
  readonly pairPrior: Float64Array;
  readonly hosts: readonly NetworkHost[];
  /** Factor of the clinic's own cases on each cause, for the likeliest host; see learning.ts. */
  readonly learned: Float64Array;
  readonly node: (id: FindingId) => FindingNode | null;
  /** Findings that some cause of the host shows. */
  readonly findingIds: readonly FindingId[];
}

export const NOTHING_WRONG = 0;
export const NOT_IN_LIBRARY = 1;
export const FIRST_SINGLE = 2;

/** Number of hypotheses before the pairs. */
export function firstPair(network: Pick<Network, 'causes'>): number {
  return FIRST_SINGLE + network.causes.length;
}

/** Positions of the causes of a hypothesis: none, one or two. */
export function positionsIn(network: Network, hypothesis: number): readonly number[] {
  if (hypothesis < FIRST_SINGLE) return [];
  const pair = hypothesis - firstPair(network);
  if (pair < 0) return [hypothesis - FIRST_SINGLE];
  return [network.pairs.first[pair] ?? 0, network.pairs.second[pair] ?? 0];
}

/** A finding tied to a stage is seldom seen out of it, the less the further away; traces stay for some weeks. */
const LEAST_OUT_OF_STAGE = 0.1;
const TRACES_STAY_DAYS = 25;

/** Factor on what a cause shows on a day: 1 in a stage that shows the finding, or when no stage is tied to it. */
function stageFactor(
  cause: Cause,
  finding: FindingId,
  { almanac, today }: Pick<Circumstances, 'almanac' | 'today'>,
): number {
  const stages = cause.stages.filter(({ shows }) => shows.includes(finding));
  if (stages.length === 0) return 1;
  const days = stages.map(({ when }) => almanac.daysOutside(when, today) ?? Infinity);
  return Math.max(LEAST_OUT_OF_STAGE, Math.exp(-Math.min(...days) / TRACES_STAY_DAYS));
}

/** Makes nodes when first asked for; most findings of a host are never reported nor asked. */
function nodesOf(
  library: Compiled,
  causes: readonly Cause[],
  links: ReadonlyMap<FindingId, readonly Link[]>,
  circumstances: Circumstances,
): Network['node'] {
  const nodes = new Map<FindingId, FindingNode | null>();
  const make = (id: FindingId): FindingNode | null => {
    const finding = library.findings.get(id);
    if (!finding) return null;
    const miss = new Float64Array(causes.length).fill(1);
    const shownBy: number[] = [];
    for (const { at, strength } of links.get(id) ?? []) {
      const cause = causes[at];
      if (!cause || strength === 0) continue;
      miss[at] = 1 - strength * stageFactor(cause, id, circumstances);
      shownBy.push(at);
    }
    return { id, background: backgroundOf(finding), miss, shownBy };
  };
  return (id) => {
    const known = nodes.get(id);
    if (known !== undefined) return known;
    const made = make(id);
    nodes.set(id, made);
    return made;
  };
}

/** Builds the network of a plant, of the kinds of a group, or with `plant` null of every kind in the library. */
export function buildNetwork(
  library: Compiled,
  plant: PlantId | null,
  circumstances: Circumstances,
): Network {
  const frame = frameOf(library, plant);
  const { causes, pairs, position, links } = frame;
  const { weights, learned } = weighHosts(frame, circumstances);
  const hosts = frame.hosts.map((one, h) => ({
    ...one,
    ...priorOfHost(weights[h] ?? new Float64Array(causes.length), pairs),
  }));
  const prior = new Float64Array(FIRST_SINGLE + causes.length + pairs.first.length);
  const pairPrior = new Float64Array(causes.length);
  for (const { share, addTo, addPairsTo } of hosts) {
    addTo(prior, share);
    addPairsTo(pairPrior, share);
  }
  return {
    causes,
    position,
    pairs,
    prior,
    pairPrior,
    hosts,
    learned: learned[0] ?? new Float64Array(0),
    node: nodesOf(library, causes, links, circumstances),
    findingIds: [...links.keys()],
  };
}

/** P(finding | not in the library): more often than by chance, less than with a known cause. Geometric middle, our own choice. */
export function unknownCauseChance(background: number): number {
  return Math.max(background, 0.4 * Math.sqrt(background));
}
