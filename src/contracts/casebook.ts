import { z } from 'zod';
import { CONFIRMATIONS } from '../core/diagnosis/learning.ts';
import { CASE_STATUSES, caseRecordSchema, caseSummarySchema, idSchema } from './cases.ts';
import { storedEventSchema } from './caseEvents.ts';
import { isoDateSchema } from './consult.ts';
import { textSchema } from './storableText.ts';

/** Longest search, in characters. */
export const MAX_SEARCH = 200;

/** What cases are looked for by; what is left out does not narrow. */
export const casebookQuerySchema = z.strictObject({
  /** Words of the case, a name, or the number of a case; "quoted words" stand together, -word is left out, or is `or`. */
  words: textSchema(MAX_SEARCH).optional(),
  plant: idSchema.optional(),
  /** What it proved to be, or what stood first when the case was closed. */
  cause: idSchema.optional(),
  /** Id of somebody who worked on it. */
  person: z.uuid().optional(),
  status: z.enum(CASE_STATUSES).optional(),
  /** Whether it is known what it proved to be. */
  outcome: z.enum(['known', 'unknown']).optional(),
  /** First and last day on which it was opened. */
  from: isoDateSchema.optional(),
  to: isoDateSchema.optional(),
});
export type CasebookQuery = z.infer<typeof casebookQuerySchema>;

/** A search as the query of an address, with what else belongs to it. */
export function queryParams(
  query: Readonly<Record<string, string | undefined>>,
  more: Readonly<Record<string, string>> = {},
): string {
  const known = Object.entries(query).filter(
    (one): one is [string, string] => one[1] !== undefined,
  );
  return new URLSearchParams([...known, ...Object.entries(more)]).toString();
}

/** A line of the casebook. */
export const casebookLineSchema = caseSummarySchema.extend({
  /** What it proved to be, and how that is known; null while it is not. */
  outcome: z.object({ cause: z.string(), confirmed: z.enum(CONFIRMATIONS) }).nullable(),
  /** Names of those who worked on it. */
  people: z.array(z.string()),
});
export type CasebookLine = z.infer<typeof casebookLineSchema>;

/** A page of the casebook, the newest first; `next` asks for the one after it, null on the last. */
export const casebookPageSchema = z.object({
  cases: z.array(casebookLineSchema),
  next: z.string().nullable(),
});
export type CasebookPage = z.infer<typeof casebookPageSchema>;

/** One line of the export as JSON Lines: the case as it stands, and everything that happened to it. */
export const exportedCaseSchema = z.object({
  case: caseRecordSchema,
  events: z.array(storedEventSchema),
});
export type ExportedCase = z.infer<typeof exportedCaseSchema>;

/** The people who appear in the casebook, from `GET /api/casebook/people`. */
export const casebookPeopleSchema = z.object({
  people: z.array(z.object({ id: z.uuid(), name: z.string() })),
});
export type CasebookPeople = z.infer<typeof casebookPeopleSchema>;
