import {
  backgroundOf,
  commonnessOf,
  susceptibilityOf,
  type Compiled,
} from '../knowledge/compile.ts';
import type { Cause } from '../knowledge/schema/cause.ts';
import type { CauseId, FindingId, PlantId } from '../knowledge/schema/common.ts';
import { tabulate } from '../maths.ts';
import type { Almanac } from '../timing/almanac.ts';
import type { Day } from '../timing/calendar.ts';

/** Prior shares of the kinds of hypothesis; our own estimates, near "about one question in five is no problem". */
export const PRIOR_SHARES = { nothingWrong: 0.08, notInLibrary: 0.04, pairs: 0.14 } as const;

/** How much likelier a pair is when one cause invites the other. */
const LINKED_PAIR_FACTOR = 6;

/** A node of the network: a finding and the chance that each cause of the host leaves it unshown. */
export interface FindingNode {
  readonly id: FindingId;
  readonly background: number;
  /** 1 - P(finding | cause alone), by cause position. */
  readonly miss: Float64Array;
}

/**
 * The two-layer noisy-OR network of one host at one place and date.
 * Hypotheses stand in this order: nothing wrong, not in the library, each cause alone, each pair (i < j).
 */
export interface Network {
  readonly causes: readonly Cause[];
  readonly position: ReadonlyMap<CauseId, number>;
  readonly pairs: readonly (readonly [number, number])[];
  /** Prior of each hypothesis; sums to 1. */
  readonly prior: Float64Array;
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

/** Beyond this many causes (an unknown plant) only linked pairs are weighed, to keep an answer quick. */
const MOST_CAUSES_FOR_ALL_PAIRS = 260;

/** Factor on a cause out of the season in which it is seen; by days away from that season. */
function seasonFactor(cause: Cause, almanac: Almanac, today: Day): number {
  const days = almanac.daysOutside(cause.seen, today);
  if (days === null) return 0.1;
  if (days === 0) return 1;
  return Math.max(0.12, Math.exp(-days / 30));
}

function isLinked(a: Cause, b: Cause): boolean {
  return a.leadsTo.includes(b.id) || b.leadsTo.includes(a.id);
}

function listPairs(causes: readonly Cause[]): (readonly [number, number])[] {
  const all = causes.length <= MOST_CAUSES_FOR_ALL_PAIRS;
  const pairs: (readonly [number, number])[] = [];
  causes.forEach((a, i) => {
    for (let j = i + 1; j < causes.length; j++) {
      const b = causes[j];
      if (b && (all || isLinked(a, b))) pairs.push([i, j]);
    }
  });
  return pairs;
}

function priorOf(
  weights: readonly number[],
  causes: readonly Cause[],
  pairs: readonly (readonly [number, number])[],
): Float64Array {
  const pairWeights = pairs.map(([i, j]) => {
    const [a, b] = [causes[i], causes[j]];
    const linked = a !== undefined && b !== undefined && isLinked(a, b);
    return (weights[i] ?? 0) * (weights[j] ?? 0) * (linked ? LINKED_PAIR_FACTOR : 1);
  });
  const sum = (list: readonly number[]): number => list.reduce((total, value) => total + value, 0);
  const [singleTotal, pairTotal] = [sum(weights), sum(pairWeights)];
  const { nothingWrong, notInLibrary } = PRIOR_SHARES;
  const pairShare = pairTotal > 0 ? PRIOR_SHARES.pairs : 0;
  const singleShare = singleTotal > 0 ? 1 - nothingWrong - notInLibrary - pairShare : 0;
  const raw = [
    nothingWrong,
    notInLibrary,
    ...weights.map((weight) => (singleTotal > 0 ? (singleShare * weight) / singleTotal : 0)),
    ...pairWeights.map((weight) => (pairTotal > 0 ? (pairShare * weight) / pairTotal : 0)),
  ];
  const total = sum(raw);
  return Float64Array.from(raw, (value) => value / total);
}

/** The causes a plant can have, with their weight before any evidence: common x host x season. */
function weighCauses(library: Compiled, plant: PlantId | null, almanac: Almanac, today: Day) {
  return [...library.causes.values()].flatMap((cause) => {
    const host = plant === null ? 0.5 : susceptibilityOf(cause, plant, library.taxonomy);
    if (host === 0) return [];
    return [{ cause, weight: commonnessOf(cause) * host * seasonFactor(cause, almanac, today) }];
  });
}

/** Builds a network from causes, their weights and the library's strengths; `plant` null takes every cause. */
export function buildNetwork(
  library: Compiled,
  plant: PlantId | null,
  almanac: Almanac,
  today: Day,
): Network {
  const weighed = weighCauses(library, plant, almanac, today);
  const causes = weighed.map(({ cause }) => cause);
  const pairs = listPairs(causes);
  const nodes = new Map<FindingId, FindingNode | null>();
  const makeNode = (id: FindingId): FindingNode | null => {
    const finding = library.findings.get(id);
    if (!finding) return null;
    const strengthOf = (cause: Cause | undefined): number =>
      cause ? (library.strengths.get(cause.id)?.get(id) ?? 0) : 0;
    const miss = tabulate(causes.length, (i) => 1 - strengthOf(causes[i]));
    return { id, background: backgroundOf(finding), miss };
  };
  return {
    causes,
    position: new Map(causes.map((cause, i) => [cause.id, i])),
    pairs,
    prior: priorOf(
      weighed.map(({ weight }) => weight),
      causes,
      pairs,
    ),
    node: (id) => {
      const known = nodes.get(id);
      if (known !== undefined) return known;
      const made = makeNode(id);
      nodes.set(id, made);
      return made;
    },
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
  const out = new Float64Array(network.prior.length);
  out[NOTHING_WRONG] = background;
  out[NOT_IN_LIBRARY] = unknownCauseChance(background);
  const clear = 1 - background;
  for (let i = 0; i < miss.length; i++) out[FIRST_SINGLE + i] = 1 - clear * (miss[i] ?? 1);
  const start = firstPair(network);
  for (let k = 0; k < network.pairs.length; k++) {
    const pair = network.pairs[k];
    if (pair) out[start + k] = 1 - clear * (miss[pair[0]] ?? 1) * (miss[pair[1]] ?? 1);
  }
  return out;
}

/** P(finding | hypothesis) for one hypothesis, see {@link presence}. */
export function presenceAt(
  network: Network,
  { background, miss }: FindingNode,
  hypothesis: number,
): number {
  if (hypothesis === NOTHING_WRONG) return background;
  if (hypothesis === NOT_IN_LIBRARY) return unknownCauseChance(background);
  const start = firstPair(network);
  if (hypothesis < start) return 1 - (1 - background) * (miss[hypothesis - FIRST_SINGLE] ?? 1);
  const [i, j] = network.pairs[hypothesis - start] ?? [-1, -1];
  return 1 - (1 - background) * (miss[i] ?? 1) * (miss[j] ?? 1);
}
