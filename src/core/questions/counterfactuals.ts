import { addAt, entryAt, indexAt, numberAt } from '../util/entryAt.ts';
import type { CauseId, FindingId } from '../schema/common.ts';
import { multiplyInto, tabulate } from '../util/maths.ts';
import { likelihoodAt, NONE } from '../diagnosis/likelihood.ts';
import type { Network } from '../diagnosis/network.ts';
import type { Inquiry } from './questions.ts';
import type { Shortlist } from '../diagnosis/shortlist.ts';
import type { Weighed } from '../diagnosis/weigh.ts';
import type { Valued } from './netValue.ts';

/** An answer, or a report that would have to be otherwise. */
export interface Change {
  /** Finding id, or plant id. */
  readonly names: string;
  readonly label: string;
  readonly value: boolean;
  /** The enquirer has said the opposite. */
  readonly retracts: boolean;
}

/** The fewest answers after which another cause leads. */
export interface Counterfactuals {
  readonly turns: readonly Change[];
  readonly leader: CauseId;
}

/** An answer with its likelihood under the hypotheses looked at; for a report to take back, the ratio. */
interface Candidate extends Change {
  readonly question: string;
  readonly ratio: Float64Array;
}

/** Answers tried together, and how many at most make a set worth saying. */
const TRIED_TOGETHER = 9;
/** Sets of answers less likely than this, as things stand, are not worth saying. */
const MIN_CHANCE = 0.004;

/** The causes that hypotheses hold, numbered. */
interface Standing {
  /** For each hypothesis the numbers of its causes, {@link NONE} for none. */
  readonly first: Int32Array;
  readonly second: Int32Array;
  /** Positions of the numbered causes in the network. */
  readonly causes: readonly number[];
}

function standingOf({ first, second, held }: Shortlist): Standing {
  const causes = [...held];
  const numbers = new Map(causes.map((position, number) => [position, number]));
  const numberOf = (position: number): number => numbers.get(position) ?? NONE;
  return { first: first.map(numberOf), second: second.map(numberOf), causes };
}

/** Writes into `sums` the weights of the causes, given those of the hypotheses. */
function sumByCause(
  { first, second }: Standing,
  weights: Float64Array,
  sums: Float64Array,
): Float64Array {
  sums.fill(0);
  for (let k = 0; k < weights.length; k++) {
    const weight = numberAt(weights, k);
    const [i, j] = [indexAt(first, k), indexAt(second, k)];
    if (i !== NONE) addAt(sums, i, weight);
    if (j !== NONE) addAt(sums, j, weight);
  }
  return sums;
}

function largest(values: Float64Array, except = -1): number {
  let best = except === 0 ? 1 : 0;
  for (let i = best + 1; i < values.length; i++)
    if (i !== except && numberAt(values, i) > numberAt(values, best)) best = i;
  return best;
}

/** How near a candidate brings another cause to the leader: the ratio of their weights after it. */
function pull(after: Float64Array, leader: number): number {
  if (after.length < 2) return 0;
  return numberAt(after, largest(after, leader)) / Math.max(numberAt(after, leader), 1e-12);
}

/** Chance that a report is taken back when it is asked about again; our own estimate. */
const TAKEN_BACK = 0.1;

function candidatesFrom(
  network: Network,
  positions: readonly number[],
  valued: readonly Valued[],
  evidence: readonly Weighed[],
  labelOf: (finding: FindingId) => string,
): readonly Candidate[] {
  const answers = valued
    .filter(
      ({ candidate, informationGainBits }) => candidate.kind !== 'plant' && informationGainBits > 0,
    )
    .flatMap(({ candidate }) =>
      candidate.answers.map(({ names, label, value, likelihood }) => ({
        names,
        label,
        value,
        retracts: false,
        question: candidate.finding,
        ratio: likelihood,
      })),
    );
  const takenBack = evidence.map(({ finding, value, likelihood }) => ({
    names: finding,
    label: labelOf(finding),
    value: !value,
    retracts: true,
    question: finding,
    ratio: tabulate(positions.length, (k) => {
      const p = likelihoodAt(network, likelihood, entryAt(positions, k));
      return (1 - p) / p;
    }),
  }));
  return [...answers, ...takenBack];
}

/** Answers taken together, and the weights of the hypotheses after them. */
interface Together {
  readonly set: readonly Candidate[];
  /** Place of the last of them in the list of candidates; -1 with none. */
  readonly last: number;
  readonly weights: Float64Array;
  /** Product of their chances as things stand. */
  readonly probability: number;
}

/**
 * The smallest set of answers (one, two or three) or retracted reports after which another cause would lead; of
 * equally small sets the one of highest probability. Returns null when no set of reasonable probability exists.
 */
export function findCounterfactuals(
  network: Network,
  { list, valued }: Pick<Inquiry, 'list' | 'valued'>,
  evidence: readonly Weighed[],
  labelOf: (finding: FindingId) => string,
): Counterfactuals | null {
  const standing = standingOf(list);
  const { positions, probabilities, column } = list;
  const sums = new Float64Array(standing.causes.length);
  const leaderAfter = (weights: Float64Array): number =>
    largest(sumByCause(standing, weights, sums));
  const leader = leaderAfter(probabilities);
  const product = column();
  const strongest = candidatesFrom(network, positions, valued, evidence, labelOf)
    .map((one) => {
      const sum = multiplyInto(product, probabilities, one.ratio);
      const probability = one.retracts ? TAKEN_BACK : sum;
      return { one, probability, pulls: pull(sumByCause(standing, product, sums), leader) };
    })
    .filter(({ probability }) => probability >= MIN_CHANCE)
    .sort((a, b) => b.pulls - a.pulls)
    .slice(0, TRIED_TOGETHER);
  const add = (one: Together, last: number): readonly Together[] => {
    const next = strongest[last];
    if (!next || one.set.some(({ question }) => question === next.one.question)) return [];
    const weights = column();
    multiplyInto(weights, one.weights, next.one.ratio);
    return [
      {
        set: [...one.set, next.one],
        last,
        weights,
        probability: one.probability * next.probability,
      },
    ];
  };
  const nothing = { set: [], last: -1, weights: probabilities, probability: 1 };
  const found = smallest(
    nothing,
    (one) => [...strongest.keys()].slice(one.last + 1).flatMap((last) => add(one, last)),
    ({ weights }) => leaderAfter(weights) !== leader,
  );
  const next = found
    ? network.causes[standing.causes[leaderAfter(found.weights)] ?? -1]
    : undefined;
  if (!found || !next) return null;
  return {
    leader: next.id,
    turns: found.set.map(({ names, label, value, retracts }) => ({
      names,
      label,
      value,
      retracts,
    })),
  };
}

/** The likeliest of the smallest sets of up to three candidates that pass. `larger` gives each set grown by one more. */
function smallest(
  nothing: Together,
  larger: (one: Together) => readonly Together[],
  passes: (one: Together) => boolean,
): Together | null {
  let sets: readonly Together[] = [nothing];
  for (let size = 1; size <= 3; size++) {
    sets = sets.flatMap(larger);
    const [first, ...rest] = sets.filter(passes);
    if (first) return rest.reduce((a, b) => (b.probability > a.probability ? b : a), first);
  }
  return null;
}
