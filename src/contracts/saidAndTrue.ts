import type { CasePlant } from './cases.ts';

/** Outcomes that are no cause of the library. */
export const NOTHING_WRONG = 'nothing-wrong';
export const NOT_IN_LIBRARY = 'not-in-library';

/** What was said when a case was closed, beside what it proved to be. */
export interface SaidAndTrue {
  /** The cause that stood first, or {@link NOTHING_WRONG} or {@link NOT_IN_LIBRARY} where that did. */
  readonly saidCause: string | null;
  /** Its probability, 0 to 1. */
  readonly saidShare: number | null;
  /** Place in the ranking of what it proved to be, from 1; null where it was not in it, or is not known. */
  readonly outcomeRank: number | null;
}

interface Stood {
  readonly id: string;
  readonly probability: number;
}

/** The ranking of an answer, nothing wrong and not in the library among the causes. */
function rankingOf({ causes, nothingWrong, unexplained }: NonNullable<CasePlant['closingAnswer']>) {
  const all: Stood[] = [
    ...causes,
    { id: NOTHING_WRONG, probability: nothingWrong },
    { id: NOT_IN_LIBRARY, probability: unexplained },
  ];
  return all.sort((a, b) => b.probability - a.probability);
}

const NOTHING_SAID: SaidAndTrue = { saidCause: null, saidShare: null, outcomeRank: null };

/** What was said of a plant when its case was closed; nothing where no answer was kept. */
export function saidAndTrue({
  closingAnswer,
  outcome,
}: Pick<CasePlant, 'closingAnswer' | 'outcome'>): SaidAndTrue {
  if (closingAnswer === null) return NOTHING_SAID;
  const ranking = rankingOf(closingAnswer);
  const [first] = ranking;
  if (!first) return NOTHING_SAID;
  const at = ranking.findIndex(({ id }) => id === outcome?.cause);
  return {
    saidCause: first.id,
    saidShare: first.probability,
    outcomeRank: at === -1 ? null : at + 1,
  };
}
