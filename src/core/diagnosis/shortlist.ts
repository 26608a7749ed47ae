import { entryAt, numberAt } from '../util/entryAt.ts';
import { columnMaker, entropyNats, tabulate } from '../util/maths.ts';
import { NONE } from './likelihood.ts';
import { NOT_IN_LIBRARY, positionsIn, unknownCauseProbability, type Network } from './network.ts';
import type { FindingNode } from './nodes.ts';
import type { Posterior } from './posterior.ts';

/** Hypotheses looked at: the likeliest that together hold nearly all probability, and never more than a few dozen. */
const HYPOTHESES_WEIGHED = 30;
const PROBABILITY_WEIGHED = 0.995;
/** Smaller probabilities are not even sorted; thousands of pairs stand below it. */
const MIN_WEIGHED = 1e-5;

/** The likeliest hypotheses by position, their probabilities brought to a sum of 1. */
export interface Shortlist {
  readonly positions: readonly number[];
  readonly probabilities: Float64Array;
  /** Of the probabilities, in nats. */
  readonly entropy: number;
  /** For each hypothesis its causes by position in the network, {@link NONE} for none. */
  readonly first: Int32Array;
  readonly second: Int32Array;
  /** Positions of the causes that some hypothesis of the list holds. */
  readonly held: ReadonlySet<number>;
  /** A new column of zeros, a value for each hypothesis. */
  readonly column: () => Float64Array;
}

/** Columns made at once; questions need some two hundred. */
const COLUMNS_AT_ONCE = 64;

/** Probability of a finding under each hypothesis of the list, by noisy-OR, in the order of the list. */
export function presenceIn(list: Shortlist, node: FindingNode): Float64Array {
  const { positions, first, second } = list;
  const { background, inhibition } = node;
  const present = list.column();
  const unknown = unknownCauseProbability(background);
  for (let k = 0; k < present.length; k++) {
    // A position of NONE reads past the array, which stands for a cause that misses nothing.
    const missed = (inhibition[first[k] ?? NONE] ?? 1) * (inhibition[second[k] ?? NONE] ?? 1);
    present[k] = positions[k] === NOT_IN_LIBRARY ? unknown : 1 - (1 - background) * missed;
  }
  return present;
}

/** Positions of at least the `count` largest values, unsorted; numbers alone sort many times faster than with a comparison. */
function likeliest(values: Float64Array, count: number): number[] {
  const above: number[] = [];
  for (let h = 0; h < values.length; h++) if (numberAt(values, h) >= MIN_WEIGHED) above.push(h);
  if (above.length === 0) return [];
  const sorted = tabulate(above.length, (k) => numberAt(values, entryAt(above, k))).sort();
  const least = numberAt(sorted, Math.max(0, sorted.length - count));
  return above.filter((h) => numberAt(values, h) >= least);
}

/**
 * The hypotheses of highest probability, until they hold nearly all of it; the questions are valued over these alone.
 */
export function shortlist(network: Network, { hypotheses }: Posterior): Shortlist {
  const chance = (h: number): number => numberAt(hypotheses, h);
  const likely = likeliest(hypotheses, HYPOTHESES_WEIGHED).sort((a, b) => chance(b) - chance(a));
  let covered = 0;
  const positions = likely.slice(0, HYPOTHESES_WEIGHED).filter((h) => {
    const wanted = covered < PROBABILITY_WEIGHED;
    covered += chance(h);
    return wanted;
  });
  const total = positions.reduce((sum, h) => sum + chance(h), 0);
  const probabilities = tabulate(positions.length, (k) => chance(entryAt(positions, k)) / total);
  const members = positions.map((h) => positionsIn(network, h));
  const held = new Set(members.flat());
  return {
    positions,
    probabilities,
    entropy: entropyNats(probabilities),
    first: Int32Array.from(members, ([one]) => one ?? NONE),
    second: Int32Array.from(members, ([, two]) => two ?? NONE),
    held,
    column: columnMaker(positions.length, COLUMNS_AT_ONCE),
  };
}
