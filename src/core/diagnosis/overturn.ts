import type { CauseId } from '../knowledge/schema/common.ts';
import type { Draft } from './drafts.ts';
import { positionsIn, type Network } from './network.ts';
import type { Posterior } from './posterior.ts';
import type { Weighed } from './weigh.ts';

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

/** Hypotheses with less than this are too far behind to be brought forward by a few answers. */
const LEAST_LOOKED_AT = 1e-5;
/** Answers tried together, and how many at most make a set worth saying. */
const TRIED_TOGETHER = 12;
/** Sets of answers less likely than this, as things stand, are not worth saying. */
const LEAST_CHANCE = 0.004;

interface Standing {
  readonly positions: readonly number[];
  readonly weights: Float64Array;
  /** For each of the positions its causes. */
  readonly members: readonly (readonly number[])[];
}

function standingOf(network: Network, { hypotheses }: Posterior): Standing {
  const positions = [...hypotheses.keys()].filter((h) => (hypotheses[h] ?? 0) > LEAST_LOOKED_AT);
  return {
    positions,
    weights: Float64Array.from(positions, (h) => hypotheses[h] ?? 0),
    members: positions.map((h) => positionsIn(network, h)),
  };
}

/** The cause that leads once the weights are multiplied by the ratios. */
function leaderAfter(
  { weights, members }: Standing,
  causes: number,
  ratios: readonly Float64Array[],
): number {
  const sums = new Float64Array(causes);
  let leader = 0;
  for (let k = 0; k < weights.length; k++) {
    let weight = weights[k] ?? 0;
    for (const ratio of ratios) weight *= ratio[k] ?? 1;
    for (const cause of members[k] ?? []) sums[cause] = (sums[cause] ?? 0) + weight;
  }
  for (let i = 1; i < causes; i++) if ((sums[i] ?? 0) > (sums[leader] ?? 0)) leader = i;
  return leader;
}

function candidatesFrom(
  standing: Standing,
  drafts: readonly Draft[],
  evidence: readonly Weighed[],
  labelOf: (finding: string) => string,
): readonly Candidate[] {
  const { positions, weights } = standing;
  const chanceOf = (likelihood: Float64Array): number =>
    weights.reduce((sum, weight, k) => sum + weight * (likelihood[k] ?? 0), 0);
  const answers = drafts
    .filter(({ kind }) => kind !== 'plant')
    .flatMap((draft) =>
      draft.answers(positions).map(({ names, label, value, likelihood }) => ({
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
    const ratio = Float64Array.from(positions, (h) => {
      const p = likelihood[h] ?? 1;
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

/** How far a candidate brings any other cause towards the leader: the largest gain in the ratio of two sums. */
function pull({ weights, members }: Standing, leader: number, ratio: Float64Array): number {
  let [lead, leadAfter, best] = [0, 0, 0];
  const gains = new Map<number, [number, number]>();
  for (let k = 0; k < weights.length; k++) {
    const [before, after] = [weights[k] ?? 0, (weights[k] ?? 0) * (ratio[k] ?? 1)];
    for (const cause of members[k] ?? []) {
      if (cause === leader) {
        lead += before;
        leadAfter += after;
      } else if (!(members[k] ?? []).includes(leader)) {
        const [b, a] = gains.get(cause) ?? [0, 0];
        gains.set(cause, [b + before, a + after]);
      }
    }
  }
  for (const [, after] of gains.values()) best = Math.max(best, after / Math.max(leadAfter, 1e-12));
  return lead > 0 ? best : 0;
}

/**
 * The smallest set of answers (one, two or three), or of reports taken back, after which another cause would
 * lead; of equally small ones the likeliest. Null when no set that is at all likely would.
 */
export function whatWouldChange(
  network: Network,
  posterior: Posterior,
  drafts: readonly Draft[],
  evidence: readonly Weighed[],
  labelOf: (finding: string) => string,
): Overturning | null {
  const standing = standingOf(network, posterior);
  const causes = network.causes.length;
  const leader = leaderAfter(standing, causes, []);
  const all = candidatesFrom(standing, drafts, evidence, labelOf).filter(
    ({ chance }) => chance >= LEAST_CHANCE,
  );
  const strongest = all
    .map((one) => ({ one, pulls: pull(standing, leader, one.ratio) }))
    .sort((a, b) => b.pulls - a.pulls)
    .slice(0, TRIED_TOGETHER)
    .map(({ one }) => one);
  const found = smallest(
    strongest,
    (set) =>
      leaderAfter(
        standing,
        causes,
        set.map(({ ratio }) => ratio),
      ) !== leader,
  );
  if (!found) return null;
  const next =
    network.causes[
      leaderAfter(
        standing,
        causes,
        found.map(({ ratio }) => ratio),
      )
    ];
  if (!next) return null;
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
