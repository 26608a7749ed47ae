import { workerData } from 'piscina';
import { answerConsult } from '../../contracts/answerConsult.ts';
import type { ConsultResponse } from '../../contracts/consult.ts';
import type { Problem } from '../../contracts/problem.ts';
import { createConsultant } from '../../core/consult.ts';
import { compileLibrary } from '../../core/knowledge/compile.ts';
import type { Library } from '../../core/knowledge/schema/library.ts';
import type { Result } from '../../core/result.ts';

const { library } = workerData as { readonly library: Library };
const compiled = compileLibrary(library);
const consultant = createConsultant(compiled);
compiled.descriptions();

/** Answers one unchecked body in this thread. */
export default function consult(body: unknown): Result<ConsultResponse, Problem> {
  return answerConsult(compiled, consultant, body);
}
