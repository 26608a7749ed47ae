import { answerConsult } from '../application/answerConsult.ts';
import type { ConsultResponse } from '../contracts/consult.ts';
import type { Problem } from '../contracts/problem.ts';
import { createConsultant } from '../core/consult/consult.ts';
import type { Result } from '../core/util/result.ts';
import { loadLibrary } from '../server/knowledge/loadLibrary.ts';
import { issueLine } from '../wording/libraryFaults.ts';

/** Answers one request body, as the server does. */
export type AnswerBody = (body: unknown) => Result<ConsultResponse, Problem>;

/** Loads the library below a folder; a library with mistakes is reported and ends the program. */
export function openConsultant(folder = 'knowledge'): AnswerBody {
  const library = loadLibrary(folder);
  if (!library.ok) {
    for (const issue of library.error) console.error(issueLine(issue));
    console.error('The library has mistakes; correct them and run npm run check:knowledge.');
    process.exit(1);
  }
  const consultant = createConsultant(library.value);
  return (body) => answerConsult(library.value, consultant, body);
}
