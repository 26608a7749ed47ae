import type { CauseId, FindingId } from '../knowledge/schema/common.ts';
import { tabulate } from '../maths.ts';
import { likelihoodAt, NONE } from './likelihood.ts';
import type { Network } from './network.ts';
import type { Inquiry } from './questions.ts';
import type { Shortlist } from './shortlist.ts';
import type { Weighed } from './weigh.ts';
import type { Valued } from './worth.ts';

/** An answer, or a report that would have to be otherwise. */
export interface Turn {
  /** Finding id, or plant id. */
  readonly names: string;
  readonly label: string;
  readonly value: boolean;
  /** The enquirer has said the opposite. */
  readonly takesBack: boolean;
}

/** The fewest answers after which another cause leads. */
export interface Overturning {
  readonly turns: readonly Turn[];
  readonly leader: CauseId;
}

/** An answer with its likelihood under the hypotheses looked at; for a report to take back, the ratio. */
interface Candidate extends Turn {
  readonly question: string;
  readonly ratio: Float64Array;
  /** Chance of the answer as things stand. */
  readonly chance: number;
}

/** Answers tried together, and how many at most make a set worth saying. */
const TRIED_TOGETHER = 9;
/** Sets of answers less likely than this, as things stand, are not worth saying. */
const LEAST_CHANCE = 0.004;

interface Standing {
  readonly positions: readonly number[];
  readonly weights: Float64Array;
  /** For each of the positions its causes, -1 for none. */
  readonly first: Int32Array;
  readonly second: Int32Array;
  /** Positions in the network of the causes that these hypotheses hold, by which the columns above count. */
  readonly causes: readonly number[];
}

function standingOf({ positions, probabilities, first, second }: Shortlist): Standing {
  const causes = [...new Set([...first, ...second])].filter((position) => position !== NONE);
  const column = (position: number): number => causes.indexOf(position);
  return {
    positions,
    weights: probabilities,
    first: first.map(column),
    second: second.map(column),
    causes,
  };
}

/** Writes into `sums` the weights of the causes once those of the hypotheses are multiplied by the ratios. */
function causesAfter(
  { weights, first, second }: Standing,
  ratios: readonly Float64Array[],
  sums: Float64Array,
): Float64Array {
  sums.fill(0);
  for (let k = 0; k < weights.length; k++) {
    let weight = weights[k] ?? 0;
    for (let r = 0; r < ratios.length; r++) weight *= ratios[r]?.[k] ?? 1;
    const [i, j] = [first[k] ?? NONE, second[k] ?? NONE];
    if (i !== NONE) sums[i] = (sums[i] ?? 0) + weight;
    if (j !== NONE) sums[j] = (sums[j] ?? 0) + weight;
  }
  return sums;
}

function largest(values: Float64Array, except = -1): number {
  let best = except === 0 ? 1 : 0;
  for (let i = best + 1; i < values.length; i++)
    if (i !== except && (values[i] ?? 0) > (values[best] ?? 0)) best = i;
  return best;
}

/** How near a candidate brings another cause to the leader: the ratio of their weights after it. */
function pull(after: Float64Array, leader: number): number {
  return (after[largest(after, leader)] ?? 0) / Math.max(after[leader] ?? 0, 1e-12);
}

function candidatesFrom(
  network: Network,
  standing: Standing,
  valued: readonly Valued[],
  evidence: readonly Weighed[],
  labelOf: (finding: FindingId) => string,
): readonly Candidate[] {
  const { positions, weights } = standing;
  const chanceOf = (likelihood: Float64Array): number => {
    let sum = 0;
    for (let k = 0; k < weights.length; k++) sum += (weights[k] ?? 0) * (likelihood[k] ?? 0);
    return sum;
  };
  const answers = valued
    .filter(({ draft, bits }) => draft.kind !== 'plant' && bits > 0)
    .flatMap(({ draft }) =>
      draft.answers.map(({ names, label, value, likelihood }) => ({
        names,
        label,
        value,
        takesBack: false,
        question: draft.finding,
        ratio: likelihood,
        chance: chanceOf(likelihood),
      })),
    );
  const takenBack = evidence.map(({ finding, value, likelihood }) => {
    const ratio = tabulate(positions.length, (k) => {
      const p = likelihoodAt(network, likelihood, positions[k] ?? 0);
      return (1 - p) / p;
    });
    const chance = 0.1;
    return {
      names: finding,
      label: labelOf(finding),
      value: !value,
      takesBack: true,
      question: finding,
      ratio,
      chance,
    };
  });
  return [...answers, ...takenBack];
}

/**
 * The smallest set of answers (one, two or three), or of reports taken back, after which another cause would
 * lead; of equally small ones the likeliest. Null when no set that is at all likely would.
 */
export function whatWouldChange(
  network: Network,
  { list, valued }: Pick<Inquiry, 'list' | 'valued'>,
  evidence: readonly Weighed[],
  labelOf: (finding: FindingId) => string,
): Overturning | null {
  const standing = standingOf(list);
  const sums = new Float64Array(standing.causes.length);
  const after = (...set: readonly Candidate[]): Float64Array =>
    causesAfter(
      standing,
      set.map(({ ratio }) => ratio),
      sums,
    );
  const leaderAfter = (set: readonly Candidate[]): number => largest(after(...set));
  const leader = leaderAfter([]);
  const strongest = candidatesFrom(network, standing, valued, evidence, labelOf)
    .filter(({ chance }) => chance >= LEAST_CHANCE)
    .map((one) => ({ one, pulls: pull(after(one), leader) }))
    .sort((a, b) => b.pulls - a.pulls)
    .slice(0, TRIED_TOGETHER)
    .map(({ one }) => one);
  const found = smallest(strongest, (set) => leaderAfter(set) !== leader);
  const next = found ? network.causes[standing.causes[leaderAfter(found)] ?? -1] : undefined;
  if (!found || !next) return null;
  return {
    leader: next.id,
    turns: found.map(({ names, label, value, takesBack }) => ({ names, label, value, takesBack })),
  };
}

/** The likeliest of the smallest sets of up to three candidates that pass; one answer for each question. */
function smallest(
  candidates: readonly Candidate[],
  passes: (set: readonly Candidate[]) => boolean,
): readonly Candidate[] | null {
  let sets: readonly (readonly Candidate[])[] = [[]];
  for (let size = 1; size <= 3; size++) {
    sets = sets.flatMap((set) => {
      const last = set.at(-1);
      const from = last ? candidates.indexOf(last) + 1 : 0;
      return candidates
        .slice(from)
        .filter(({ question }) => set.every((one) => one.question !== question))
        .map((one) => [...set, one]);
    });
    const passing = sets.filter(passes);
    const chance = (set: readonly Candidate[]): number => set.reduce((p, one) => p * one.chance, 1);
    const [first, ...rest] = passing;
    if (first) return rest.reduce((a, b) => (chance(b) > chance(a) ? b : a), first);
  }
  return null;
}
