import { causeIdSchema, findingIdSchema, type CauseId, type FindingId } from '../schema/common.ts';
import type { Network } from './network.ts';
import type { Weighed } from './weigh.ts';

/** A laboratory, or somebody with the culprit in the hand, looked for one cause. */
export interface LaboratoryResult {
  readonly cause: CauseId;
  readonly found: boolean;
}

/** How often what is there is found, and what is not there is found by mistake or as a bystander; judgement. */
const FOUND_WHEN_THERE = 0.9;
const FOUND_WHEN_NOT = 0.002;

const PREFIX = 'laboratory-';

/** Stands among the arguments for a laboratory's result about a cause; no finding of the library. */
export const laboratoryPseudoFinding = (cause: CauseId): FindingId =>
  findingIdSchema.parse(`${PREFIX}${cause}`);

/** The cause that a pseudo-finding is a result about; null for a finding of the library. */
export function causeOfLaboratory(finding: FindingId): CauseId | null {
  if (!finding.startsWith(PREFIX)) return null;
  const cause = causeIdSchema.safeParse(finding.slice(PREFIX.length));
  return cause.success ? cause.data : null;
}

/** Results of laboratories as evidence; those about causes that the plant does not have tell nothing here. */
export function weighLaboratory(
  network: Network,
  results: readonly LaboratoryResult[],
): readonly Weighed[] {
  return results.flatMap(({ cause, found }) => {
    const at = network.causes.findIndex(({ id }) => id === cause);
    if (at === -1) return [];
    const chance = (there: boolean): number => {
      const isFound = there ? FOUND_WHEN_THERE : FOUND_WHEN_NOT;
      return found ? isFound : 1 - isFound;
    };
    return [
      {
        finding: laboratoryPseudoFinding(cause),
        value: found,
        sure: 1,
        likelihood: {
          support: [at],
          unknown: chance(false),
          given: (i, j) => chance(i === at || j === at),
          inhibitions: null,
        },
      },
    ];
  });
}
