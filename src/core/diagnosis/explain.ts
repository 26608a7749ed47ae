import type { CauseId, FindingId } from '../schema/common.ts';
import { decibans } from '../util/maths.ts';
import { likelihoodAt } from './likelihood.ts';
import { FIRST_SINGLE, NOTHING_WRONG, positionsIn, type Network } from './network.ts';
import type { Posterior } from './posterior.ts';
import type { Weighed } from './weigh.ts';

/** How far one report speaks for (positive) or against (negative) a hypothesis, in decibans. */
export interface Argument {
  readonly finding: FindingId;
  /** Whether it was reported as there. */
  readonly value: boolean;
  readonly decibans: number;
}

/** Reports that move a cause by less than this many decibans are not worth a line. */
const WORTH_SAYING = 0.5;

const strongestFirst = (list: readonly Argument[]): readonly Argument[] =>
  [...list].sort((a, b) => Math.abs(b.decibans) - Math.abs(a.decibans));

/**
 * Weight of evidence of each report for one hypothesis against another in decibans, ten times the common logarithm of
 * the ratio of probabilities (I. J. Good, 1950), by descending absolute weight. `hypothesis` and `rival` are
 * 0-indexed positions in the posterior.
 */
export function argumentsBetween(
  network: Network,
  evidence: readonly Weighed[],
  hypothesis: number,
  rival: number,
): readonly Argument[] {
  return strongestFirst(
    evidence
      .map(({ finding, value, likelihood }) => ({
        finding,
        value,
        decibans: decibans(
          likelihoodAt(network, likelihood, hypothesis) / likelihoodAt(network, likelihood, rival),
        ),
      }))
      .filter((argument) => Math.abs(argument.decibans) >= WORTH_SAYING),
  );
}

/**
 * Weight of evidence of each report for a cause alone against nothing wrong, in decibans of the ratio of
 * probabilities, by descending absolute weight. `cause` is a 0-indexed position among the causes.
 */
export function argumentsFor(
  network: Network,
  evidence: readonly Weighed[],
  cause: number,
): readonly Argument[] {
  return argumentsBetween(network, evidence, FIRST_SINGLE + cause, NOTHING_WRONG);
}

/** What two causes together explain that one of them alone does not. */
export interface PairArgument {
  /** The member that is weighed alone. */
  readonly alone: CauseId;
  readonly arguments: readonly Argument[];
}

/**
 * Where the hypothesis of highest probability is a pair: the evidence for it against each of its members alone, in
 * decibans. Empty otherwise.
 */
export function pairArguments(
  network: Network,
  posterior: Posterior,
  evidence: readonly Weighed[],
): readonly PairArgument[] {
  const members = positionsIn(network, posterior.best);
  if (members.length < 2) return [];
  return members.flatMap((position) => {
    const cause = network.causes[position];
    const list = argumentsBetween(network, evidence, posterior.best, FIRST_SINGLE + position);
    return cause ? [{ alone: cause.id, arguments: list }] : [];
  });
}
