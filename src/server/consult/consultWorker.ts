import { workerData } from 'piscina';
import { answerConsult } from '../../application/answerConsult.ts';
import type { ConsultResponse } from '../../contracts/consult.ts';
import type { Problem } from '../../contracts/problem.ts';
import { createConsultant } from '../../core/consult/consult.ts';
import { compileLibrary } from '../../core/library/compile.ts';
import type { Library } from '../../core/schema/library.ts';
import type { Result } from '../../core/util/result.ts';

const { library } = workerData as { readonly library: Library };
const compiled = compileLibrary(library);
const consultant = createConsultant(compiled);
compiled.descriptions();

/** Answers one unchecked body in this thread. */
export default function consult(body: unknown): Result<ConsultResponse, Problem> {
  return answerConsult(compiled, consultant, body);
}
