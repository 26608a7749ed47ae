import { backgroundOf, type Compiled } from '../knowledge/compile.ts';
import type { Cause } from '../knowledge/schema/cause.ts';
import type { CauseId, FindingId, PlantId } from '../knowledge/schema/common.ts';
import { tabulate } from '../maths.ts';
import { hostsOf, weighHosts, type Circumstances } from './hosts.ts';
import { listPairs, priorOfHost, type HostPrior, type Pairs } from './prior.ts';

/** A node of the network: a finding and the chance that each cause of the host leaves it unshown. */
export interface FindingNode {
  readonly id: FindingId;
  readonly background: number;
  /** 1 - P(finding | cause alone), by cause position. */
  readonly miss: Float64Array;
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
  readonly hosts: readonly NetworkHost[];
  /** Factor of the clinic's own cases on each cause, for the likeliest host; see learning.ts. */
  readonly learned: readonly number[];
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
  circumstances: Circumstances,
): Network['node'] {
  const nodes = new Map<FindingId, FindingNode | null>();
  const strengthOf = (cause: Cause | undefined, id: FindingId): number => {
    const strength = cause ? (library.strengths.get(cause.id)?.get(id) ?? 0) : 0;
    return cause && strength > 0 ? strength * stageFactor(cause, id, circumstances) : strength;
  };
  return (id) => {
    const known = nodes.get(id);
    if (known !== undefined) return known;
    const finding = library.findings.get(id);
    const made = finding
      ? {
          id,
          background: backgroundOf(finding),
          miss: tabulate(causes.length, (i) => 1 - strengthOf(causes[i], id)),
        }
      : null;
    nodes.set(id, made);
    return made;
  };
}

function mix(hosts: readonly NetworkHost[], length: number): Float64Array {
  const mixed = new Float64Array(length);
  for (const { share, at } of hosts)
    for (let h = 0; h < length; h++) mixed[h] = (mixed[h] ?? 0) + share * at(h);
  return mixed;
}

/** Builds the network of a plant, of the kinds of a group, or with `plant` null of every kind in the library. */
export function buildNetwork(
  library: Compiled,
  plant: PlantId | null,
  circumstances: Circumstances,
): Network {
  const shares = hostsOf(library, plant);
  const { causes, weights, learned } = weighHosts(library, shares, circumstances);
  const pairs = listPairs(causes, shares.length);
  const hosts = shares.map((one, h) => ({ ...one, ...priorOfHost(weights[h] ?? [], pairs) }));
  return {
    causes,
    position: new Map(causes.map((cause, i) => [cause.id, i])),
    pairs,
    prior: mix(hosts, FIRST_SINGLE + causes.length + pairs.first.length),
    hosts,
    learned: learned[0] ?? [],
    node: nodesOf(library, causes, circumstances),
    findingIds: [
      ...new Set(causes.flatMap((cause) => [...(library.strengths.get(cause.id)?.keys() ?? [])])),
    ],
  };
}

/** P(finding | not in the library): more often than by chance, less than with a known cause. Geometric middle, our own choice. */
export function unknownCauseChance(background: number): number {
  return Math.max(background, 0.4 * Math.sqrt(background));
}

/** P(finding | hypothesis) for every hypothesis of the network, by noisy-OR. */
export function presence(network: Network, node: FindingNode): Float64Array {
  const { background, miss } = node;
  const { first, second } = network.pairs;
  const out = new Float64Array(network.prior.length);
  out[NOTHING_WRONG] = background;
  out[NOT_IN_LIBRARY] = unknownCauseChance(background);
  const clear = 1 - background;
  for (let i = 0; i < miss.length; i++) out[FIRST_SINGLE + i] = 1 - clear * (miss[i] ?? 1);
  const start = firstPair(network);
  for (let k = 0; k < first.length; k++)
    out[start + k] = 1 - clear * (miss[first[k] ?? 0] ?? 1) * (miss[second[k] ?? 0] ?? 1);
  return out;
}

/** P(finding | hypothesis) for one hypothesis, see {@link presence}. */
export function presenceAt(
  network: Network,
  { background, miss }: FindingNode,
  hypothesis: number,
): number {
  if (hypothesis === NOT_IN_LIBRARY) return unknownCauseChance(background);
  let missed = 1 - background;
  const pair = hypothesis - firstPair(network);
  if (pair >= 0) {
    missed *= miss[network.pairs.first[pair] ?? 0] ?? 1;
    missed *= miss[network.pairs.second[pair] ?? 0] ?? 1;
  } else if (hypothesis >= FIRST_SINGLE) {
    missed *= miss[hypothesis - FIRST_SINGLE] ?? 1;
  }
  return 1 - missed;
}
