import { z } from 'zod';
import { CHANNELS } from '../core/advice/context.ts';
import { CONFIRMATIONS } from '../core/diagnosis/learning.ts';
import { CASE_STATUSES, MAX_CONTACT, MAX_NAME } from './cases.ts';
import { isoDateSchema, MAX_CHARACTERS } from './consult.ts';
import { problemSchema } from './problem.ts';
import { textSchema } from './storableText.ts';

/** Most cases of one request; a file is sent in pieces. */
export const MAX_IMPORTED = 100;

const empty = z.literal('').transform(() => undefined);
const orEmpty = <T extends z.ZodType>(schema: T) => z.union([empty, schema]).optional();
const degrees = (most: number) =>
  orEmpty(z.coerce.number(`must be a number between -${most} and ${most}`).min(-most).max(most));

/** One row of a table, as its columns were mapped: a case of one plant. */
export const importRowSchema = z.strictObject({
  opened: z
    .string()
    .transform((text) => text.slice(0, 10))
    .pipe(isoDateSchema),
  words: textSchema(MAX_CHARACTERS).default(''),
  channel: orEmpty(z.enum(CHANNELS)),
  status: orEmpty(z.enum(CASE_STATUSES)),
  name: textSchema(MAX_NAME).default(''),
  contact: textSchema(MAX_CONTACT).default(''),
  /** By any of its names, or its id. */
  plant: textSchema(80).default(''),
  latitude: degrees(90),
  longitude: degrees(180),
  /** What it proved to be, by any of its names, or its id. */
  proved: textSchema(80).default(''),
  confirmed: orEmpty(z.enum(CONFIRMATIONS)),
  provedOn: orEmpty(isoDateSchema),
});
export type ImportRow = z.infer<typeof importRowSchema>;

/** Columns of a table that can be taken in. */
export const IMPORT_FIELDS = Object.keys(importRowSchema.shape);

/** Body of `POST /api/casebook/import`: lines of our own export, or rows of a table. */
export const importSchema = z.strictObject({
  kind: z.enum(['cases', 'rows']),
  items: z.array(z.unknown()).min(1).max(MAX_IMPORTED),
});

/** What became of each, in their order. */
export const importedCasesSchema = z.object({
  results: z.array(
    z.object({
      /** `known` was here already, so that a file can be taken in again. */
      outcome: z.enum(['taken', 'known', 'refused']),
      /** The number of the case here; null where it was refused. */
      number: z.number().int().nullable(),
      problem: problemSchema.shape.error.nullable(),
    }),
  ),
});
export type ImportedCases = z.infer<typeof importedCasesSchema>;
export type ImportResult = ImportedCases['results'][number];

/** A search that is kept under a name, for the whole clinic. */
export const savedSearchSchema = z.strictObject({
  id: z.uuid(),
  name: textSchema(MAX_NAME).trim().min(1),
  /** The query of the casebook's address. */
  query: textSchema(1000),
});
export type SavedSearch = z.infer<typeof savedSearchSchema>;
export const MAX_SEARCHES = 100;
/** Searches by name, from `GET /api/casebook/searches`. */
export const savedSearchesSchema = z.object({ searches: z.array(savedSearchSchema) });
export type SavedSearches = z.infer<typeof savedSearchesSchema>;
/** Body of `POST /api/casebook/searches/remove`. */
export const removeSearchSchema = z.strictObject({ id: z.uuid() });
