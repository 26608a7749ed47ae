import { indexAt } from '../util/entryAt.ts';
import type { Cause } from '../schema/cause.ts';

/** How much likelier a pair is when one cause invites the other. */
export const LINKED_PAIR_FACTOR = 6;

/** Up to these every pair is weighed; beyond them ("some tree") only linked ones, to keep an answer quick. */
const MAX_CAUSES_FOR_ALL_PAIRS = 260;
const MAX_HOSTS_FOR_ALL_PAIRS = 12;

/** Pairs of cause positions, first below second, as two columns in order of the first and then the second. */
export interface Pairs {
  readonly first: Int32Array;
  readonly second: Int32Array;
  /** Pairs whose first member is i stand from `rows[i]` to before `rows[i + 1]`. */
  readonly rows: Int32Array;
  /** Weight of each pair besides those of its members: 1, or more where one invites the other. */
  readonly causalPairFactor: Float64Array;
  /** Where the pairs stand of which one invites the other. */
  readonly linked: Int32Array;
  /** Every pair of the causes is weighed, not only linked ones. */
  readonly all: boolean;
  /** Where the pair of two positions stands; -1 when it is not weighed. */
  readonly indexOf: (i: number, j: number) => number;
}

/** Where the pairs of each first member start, and at last where they all end. */
function rowsOf(first: Int32Array, count: number): Int32Array {
  const rows = new Int32Array(count + 1);
  for (const i of first) rows[i + 1] = indexAt(rows, i + 1) + 1;
  for (let i = 0; i < count; i++) rows[i + 1] = indexAt(rows, i + 1) + indexAt(rows, i);
  return rows;
}

function allPairs(causes: readonly Cause[]): Pairs {
  const count = causes.length;
  const pairs = (count * (count - 1)) / 2;
  const [first, second] = [new Int32Array(pairs), new Int32Array(pairs)];
  const indexOf = (a: number, b: number): number => {
    const i = Math.min(a, b);
    return i * count - (i * (i + 1)) / 2 + Math.max(a, b) - i - 1;
  };
  for (let i = 0, k = 0; i < count; i++) {
    for (let j = i + 1; j < count; j++, k++) {
      first[k] = i;
      second[k] = j;
    }
  }
  const causalPairFactor = new Float64Array(pairs).fill(1);
  const linked = Int32Array.from(linkedPairs(causes), ([i, j]) => indexOf(i, j));
  for (const k of linked) causalPairFactor[k] = LINKED_PAIR_FACTOR;
  return {
    first,
    second,
    rows: rowsOf(first, count),
    causalPairFactor,
    linked,
    all: true,
    indexOf,
  };
}

/** Pairs of positions of which one cause invites the other, the lower position first; none twice. */
function linkedPairs(causes: readonly Cause[]): readonly (readonly [number, number])[] {
  const position = new Map(causes.map(({ id }, i) => [id, i]));
  const keys = causes.flatMap(({ leadsTo }, i) =>
    leadsTo.flatMap((id) => {
      const j = position.get(id);
      return j === undefined || j === i ? [] : [Math.min(i, j) * causes.length + Math.max(i, j)];
    }),
  );
  return [...new Set(keys)]
    .sort((a, b) => a - b)
    .map((key) => [Math.floor(key / causes.length), key % causes.length]);
}

function onlyLinkedPairs(causes: readonly Cause[]): Pairs {
  const linked = linkedPairs(causes);
  const places = new Map(linked.map(([i, j], k) => [i * causes.length + j, k]));
  const first = Int32Array.from(linked, ([i]) => i);
  return {
    first,
    rows: rowsOf(first, causes.length),
    second: Int32Array.from(linked, ([, j]) => j),
    causalPairFactor: new Float64Array(linked.length).fill(LINKED_PAIR_FACTOR),
    linked: Int32Array.from(linked.keys()),
    all: false,
    indexOf: (a, b) => places.get(Math.min(a, b) * causes.length + Math.max(a, b)) ?? -1,
  };
}

/** Lists the pairs that are weighed for so many hosts. */
export function listPairs(causes: readonly Cause[], hosts: number): Pairs {
  const all = causes.length <= MAX_CAUSES_FOR_ALL_PAIRS && hosts <= MAX_HOSTS_FOR_ALL_PAIRS;
  return all ? allPairs(causes) : onlyLinkedPairs(causes);
}
