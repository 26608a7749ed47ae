import { answerConsult } from '../application/answerConsult.ts';
import type { ConsultResponse } from '../contracts/consult.ts';
import { createConsultant } from '../core/consult/consult.ts';
import { miniLibrary } from './miniLibrary.ts';

const library = miniLibrary(
  [{ id: 'webbing', extra: { phrases: ['webbing'] } }],
  [{ id: 'mites', findings: { webbing: 'always' } }],
);
const made = answerConsult(library, createConsultant(library), {
  words: 'webbing on the fern',
  date: '2026-06-13',
  place: { lat: 40, lon: -83 },
});
if (!made.ok) throw new Error(made.error.message);
const [mites] = made.value.causes;

interface Said {
  readonly lookAgain?: string;
  /** Causes with their probabilities, in order. */
  readonly causes?: readonly (readonly [id: string, probability: number])[];
  readonly nothingWrong?: number;
  readonly unexplained?: number;
}

/** A whole answer, with what a test says of it. */
export function answerOf({
  lookAgain = '2026-06-27',
  causes,
  nothingWrong = 0.1,
  unexplained = 0.1,
}: Said): ConsultResponse {
  if (!made.ok || !mites) throw new Error('a cause was expected');
  return {
    ...made.value,
    advice: { ...made.value.advice, lookAgain },
    causes: causes?.map(([id, probability]) => ({ ...mites, id, probability })) ?? [mites],
    nothingWrong,
    unexplained,
  };
}
