import { z } from 'zod';
import {
  caseRecordSchema,
  caseSummarySchema,
  clinicSchema,
  experienceSchema,
  tiedPhrasesSchema,
  type AppendEvents,
  type CaseRecord,
  type CaseSummary,
  type Clinic,
  type ClinicExperience,
  type TiedPhrases,
} from '../../contracts/cases.ts';
import {
  importedSchema,
  weatherSchema,
  type ClinicWeather,
  type ImportedWeather,
} from '../../contracts/weather.ts';
import { problemSchema, type Problem } from '../../contracts/problem.ts';
import { fail, ok, type Result } from '../../core/result.ts';

const OFFLINE: Problem = {
  code: 'unavailable',
  field: null,
  message: 'The server does not answer.',
  cure: 'What you typed is kept on this device and is sent as soon as it answers again.',
};

/** A failed request; `record` is the case as it stands, when that is why. */
export interface ApiFailure {
  readonly problem: Problem;
  readonly record: CaseRecord | null;
}

const conflictSchema = problemSchema.extend({ case: caseRecordSchema.optional() });

async function call<T>(
  schema: z.ZodType<T>,
  path: string,
  body?: unknown,
): Promise<Result<T, ApiFailure>> {
  try {
    const init: RequestInit =
      body === undefined
        ? {}
        : {
            method: 'POST',
            headers: { 'content-type': 'application/json' },
            body: JSON.stringify(body),
          };
    const response = await fetch(`/api${path}`, init);
    const content: unknown = await response.json();
    if (response.ok) return ok(schema.parse(content));
    const known = conflictSchema.safeParse(content);
    return fail(
      known.success
        ? { problem: known.data.error, record: known.data.case ?? null }
        : { problem: OFFLINE, record: null },
    );
  } catch {
    return fail({ problem: OFFLINE, record: null });
  }
}

const oneCase = z.object({ case: caseRecordSchema }).transform((answer) => answer.case);
const manyCases = z
  .object({ cases: z.array(caseSummarySchema) })
  .transform((answer) => answer.cases);

/** The server's data, each call checked against its contract. */
export const api = {
  clinic: (): Promise<Result<Clinic, ApiFailure>> => call(clinicSchema, '/clinic'),
  experience: (): Promise<Result<ClinicExperience, ApiFailure>> =>
    call(experienceSchema, '/clinic/experience'),
  setLearning: (learning: boolean): Promise<Result<ClinicExperience, ApiFailure>> =>
    call(experienceSchema, '/clinic/learning', { learning }),
  tiedPhrases: (): Promise<Result<TiedPhrases, ApiFailure>> =>
    call(tiedPhrasesSchema, '/clinic/phrases'),
  weather: (): Promise<Result<ClinicWeather, ApiFailure>> => call(weatherSchema, '/weather'),
  importWeather: (csv: string): Promise<Result<ImportedWeather, ApiFailure>> =>
    call(importedSchema, '/weather', { csv }),
  cases: (closed: boolean): Promise<Result<CaseSummary[], ApiFailure>> =>
    call(manyCases, closed ? '/cases?status=closed' : '/cases'),
  openCase: (id: string): Promise<Result<CaseRecord, ApiFailure>> =>
    call(oneCase, '/cases', { id, channel: 'phone' }),
  readCase: (id: string): Promise<Result<CaseRecord, ApiFailure>> => call(oneCase, `/cases/${id}`),
  append: (id: string, body: AppendEvents): Promise<Result<CaseRecord, ApiFailure>> =>
    call(oneCase, `/cases/${id}/events`, body),
};
