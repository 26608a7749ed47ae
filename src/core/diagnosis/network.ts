import { entryAt, indexAt } from '../util/entryAt.ts';
import type { Compiled } from '../library/compile.ts';
import type { Cause } from '../schema/cause.ts';
import type { CauseId, FindingId, PlantId } from '../schema/common.ts';
import { hostModelOf } from './hostModel.ts';
import { weighHosts, type Circumstances, type HostProbability } from './hosts.ts';
import { nodesOn, type FindingNode, type StagedNodes } from './nodes.ts';
import type { Pairs } from './pairs.ts';
import { mixPriors, type MixedPrior } from './prior.ts';

/** A host of the mixture, with the prior of the hypotheses were it this plant. */
export interface NetworkHost extends HostProbability {
  readonly at: (hypothesis: number) => number;
}

/**
 * The two-layer noisy-OR network of one host, or of a mixture of hosts, at one place and date.
 * Hypotheses stand in this order: nothing wrong, not in the library, each cause alone, each pair (i < j).
 * What a cause shows does not depend on the host, so a mixture is exact with the mixed prior alone.
 */
export interface Network
  extends
    Pick<MixedPrior, 'prior' | 'pairPrior' | 'priorGivenHost'>,
    Pick<StagedNodes, 'findingIds' | 'noticeable'> {
  readonly causes: readonly Cause[];
  readonly position: ReadonlyMap<CauseId, number>;
  readonly pairs: Pairs;
  readonly hosts: readonly NetworkHost[];
  /** Factor of the clinic's own cases on each cause, for the likeliest host; see learning.ts. */
  readonly learned: Float64Array;
  readonly node: (id: FindingId) => FindingNode | null;
}

export const NOTHING_WRONG = 0;
export const NOT_IN_LIBRARY = 1;
export const FIRST_SINGLE = 2;

/** Number of hypotheses before the pairs. */
export function firstPair(network: Pick<Network, 'causes'>): number {
  return FIRST_SINGLE + network.causes.length;
}

/** 0-indexed positions of the causes of a hypothesis: none, one or two. */
export function positionsIn(network: Network, hypothesis: number): readonly number[] {
  if (hypothesis < FIRST_SINGLE) return [];
  const pair = hypothesis - firstPair(network);
  if (pair < 0) return [hypothesis - FIRST_SINGLE];
  return [indexAt(network.pairs.first, pair), indexAt(network.pairs.second, pair)];
}

/**
 * Builds the network of a plant, of the kinds of a group, or with `plant` null of every kind in the library. Priors
 * are probabilities that sum to 1 over all hypotheses.
 */
export function buildNetwork(
  library: Compiled,
  plant: PlantId | null,
  circumstances: Circumstances,
): Network {
  const frame = hostModelOf(library, plant);
  const { causes, pairs, position, nodes } = frame;
  const { weights, learned } = weighHosts(frame, circumstances, library);
  const weighed = frame.hosts.map(({ probability }, h) => ({
    probability,
    weights: entryAt(weights, h),
  }));
  const { prior, pairPrior, at, priorGivenHost } = mixPriors(weighed, pairs);
  const hosts = frame.hosts.map((one, h) => ({
    ...one,
    at: (hypothesis: number) => at(h, hypothesis),
  }));
  return {
    causes,
    position,
    pairs,
    prior,
    pairPrior,
    hosts,
    priorGivenHost,
    learned: learned[0] ?? new Float64Array(0),
    node: nodesOn(nodes, causes, circumstances),
    findingIds: nodes.findingIds,
    noticeable: nodes.noticeable,
  };
}

/**
 * Probability of a finding when the cause is not in the library: the larger of its background probability and 0.4
 * times the square root of that; higher than by chance and lower than under a known cause (our own choice).
 */
export function unknownCauseProbability(background: number): number {
  return Math.max(background, 0.4 * Math.sqrt(background));
}
