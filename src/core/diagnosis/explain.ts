import type { FindingId } from '../knowledge/schema/common.ts';
import { decibans } from '../maths.ts';
import { FIRST_SINGLE, NOTHING_WRONG, type Network } from './network.ts';
import type { Weighed } from './posterior.ts';

/** How far one report speaks for (positive) or against (negative) a cause, in decibans. */
export interface Argument {
  readonly finding: FindingId;
  readonly decibans: number;
}

/** Reports that move a cause by less than this many decibans are not worth a line. */
const WORTH_SAYING = 0.5;

/** Weight of evidence of each report for a cause alone against nothing wrong, the strongest first. */
export function argumentsFor(
  network: Network,
  evidence: readonly Weighed[],
  cause: number,
): readonly Argument[] {
  return evidence
    .map(({ finding, likelihood }) => ({
      finding,
      decibans: decibans(
        (likelihood[FIRST_SINGLE + cause] ?? 1) / (likelihood[NOTHING_WRONG] ?? 1),
      ),
    }))
    .filter(
      (argument) => network.causes.length > cause && Math.abs(argument.decibans) >= WORTH_SAYING,
    )
    .sort((a, b) => Math.abs(b.decibans) - Math.abs(a.decibans));
}
