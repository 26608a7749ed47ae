import { z } from 'zod';
import { APPROACHES, CHANNELS } from '../core/advice/context.ts';
import {
  closingAnswerSchema,
  givenSheetSchema,
  CASE_STATUSES,
  assigneeSchema,
  leadingSchema,
  noteSchema,
  idSchema,
  storedAnswerSchema,
  storedDateSchema,
  labelFactsSchema,
  MAX_CONTACT,
  MAX_NAME,
  MAX_TAB,
  outcomeSchema,
  ownStepSchema,
  releaseSchema,
  conflictSchema,
} from './cases.ts';
import { isoDateSchema, MAX_CHARACTERS, gardenSchema } from './consult.ts';
import { consentChangeSchema, followUpSchema } from './followUps.ts';
import { problemSchema } from './problem.ts';
import { sampleChangeSchema, sampleSchema } from './samples.ts';
import { textSchema } from './storableText.ts';

const plantId = textSchema(60).min(1);

const editSchema = z.strictObject({
  at: z.number().int().min(0).max(10_000_000),
  remove: textSchema(2 * MAX_CHARACTERS),
  insert: textSchema(
    2 * MAX_CHARACTERS,
    `must be at most ${2 * MAX_CHARACTERS} characters: paste the letter in parts`,
  ),
});

/** Everything that can happen to a case. Replaying the events of a case gives its record. */
export const caseEventSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('words-edited'),
    plantId,
    edits: z.array(editSchema).max(1000),
    /** The insertion goes on from the sender's last one, so that words of others at the same place come after it. */
    continues: z.boolean().optional(),
  }),
  z.strictObject({ kind: z.literal('plant-chosen'), plantId, plant: textSchema(80).nullable() }),
  z.strictObject({ kind: z.literal('date-set'), plantId, date: isoDateSchema }),
  z.strictObject({ kind: z.literal('place-set'), plantId, place: gardenSchema }),
  z.strictObject({ kind: z.literal('approach-set'), plantId, approach: z.enum(APPROACHES) }),
  z.strictObject({ kind: z.literal('answer-given'), plantId, answer: storedAnswerSchema }),
  /** Takes one answer back, and no newer one about the same finding. */
  z.strictObject({ kind: z.literal('answer-withdrawn'), plantId, answerId: idSchema }),
  /** The advisor tied words that were not understood to a finding; a suggestion for the library. */
  z.strictObject({
    kind: z.literal('phrase-tied'),
    plantId,
    finding: idSchema,
    said: textSchema(200).min(1),
  }),
  z.strictObject({
    kind: z.literal('consulted'),
    plantId,
    knowledgeVersion: textSchema(40),
    leading: leadingSchema.optional(),
  }),
  /** The answer that stood when the case was closed. */
  z.strictObject({
    kind: z.literal('closing-answer-stored'),
    plantId,
    answer: closingAnswerSchema,
  }),
  z.strictObject({ kind: z.literal('outcome-set'), plantId, outcome: outcomeSchema.nullable() }),
  z.strictObject({
    kind: z.literal('follow-up-set'),
    plantId,
    followUp: followUpSchema.nullable(),
  }),
  /** The same id again changes nothing. */
  z.strictObject({ kind: z.literal('sample-asked'), plantId, sample: sampleSchema }),
  /** Sets the fields that it names and leaves the others. */
  z.strictObject({
    kind: z.literal('sample-changed'),
    plantId,
    sample: idSchema,
    change: sampleChangeSchema,
  }),
  z.strictObject({ kind: z.literal('sample-removed'), plantId, sample: idSchema }),
  z.strictObject({ kind: z.literal('harvest-set'), plantId, on: isoDateSchema.nullable() }),
  z.strictObject({
    kind: z.literal('label-read'),
    plantId,
    step: idSchema,
    label: labelFactsSchema,
  }),
  z.strictObject({ kind: z.literal('step-done'), plantId, step: idSchema, on: isoDateSchema }),
  z.strictObject({ kind: z.literal('step-undone'), plantId, step: idSchema, on: isoDateSchema }),
  z.strictObject({
    kind: z.literal('dates-kept'),
    plantId,
    dates: z.array(storedDateSchema).max(200),
  }),
  z.strictObject({
    kind: z.literal('event-seen'),
    plantId,
    event: idSchema,
    on: isoDateSchema.nullable(),
  }),
  z.strictObject({ kind: z.literal('own-step-added'), plantId, step: ownStepSchema }),
  z.strictObject({ kind: z.literal('own-step-removed'), plantId, step: idSchema }),
  z.strictObject({ kind: z.literal('step-left-out'), plantId, step: idSchema }),
  z.strictObject({ kind: z.literal('step-taken-in'), plantId, step: idSchema }),
  z.strictObject({
    kind: z.literal('steps-ordered'),
    plantId,
    order: z.array(idSchema).max(200),
  }),
  z.strictObject({ kind: z.literal('sheet-given'), plantId, sheet: givenSheetSchema }),
  z.strictObject({ kind: z.literal('plant-added'), plantId }),
  /** Empty goes by the plant again. */
  z.strictObject({ kind: z.literal('plant-named'), plantId, name: textSchema(MAX_TAB) }),
  /** Not the last one, nor one of which something was kept; what was said stays in the log. */
  z.strictObject({ kind: z.literal('plant-removed'), plantId }),
  z.strictObject({ kind: z.literal('channel-set'), channel: z.enum(CHANNELS) }),
  /** Sets the fields that it names and leaves the others. */
  z.strictObject({
    kind: z.literal('enquirer-set'),
    name: textSchema(MAX_NAME).optional(),
    contact: textSchema(MAX_CONTACT).optional(),
  }),
  /** Sets the fields that it names and leaves the others. */
  z.strictObject({
    kind: z.literal('consent-set'),
    consent: consentChangeSchema,
  }),
  z.strictObject({ kind: z.literal('call-back-set'), on: isoDateSchema.nullable() }),
  z.strictObject({ kind: z.literal('status-set'), status: z.enum(CASE_STATUSES) }),
  z.strictObject({ kind: z.literal('assignee-set'), assignee: assigneeSchema.nullable() }),
  /** The same id again changes nothing. */
  z.strictObject({ kind: z.literal('note-added'), note: noteSchema }),
  z.strictObject({ kind: z.literal('note-removed'), noteId: idSchema }),
  /** A trainee asks for the release of the advice, or somebody gives it or gives the case back. */
  z.strictObject({ kind: z.literal('release-set'), release: releaseSchema }),
  /** Personal data was taken out of the case and its log; the words that are left, by plant. The server alone says so. */
  z.strictObject({
    kind: z.literal('forgotten'),
    words: z.record(plantId, textSchema(10 * MAX_CHARACTERS)),
  }),
  /** Somebody looked at both values of a conflict. */
  z.strictObject({ kind: z.literal('conflict-settled'), conflictId: idSchema }),
]);
export type CaseEvent = z.infer<typeof caseEventSchema>;
export type CaseEventKind = CaseEvent['kind'];

/** Events as earlier versions wrote them; they are read and replayed, and no longer accepted. */
const earlierEventSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('words-set'), plantId, words: z.string() }),
  z.strictObject({
    kind: z.literal('answer-withdrawn'),
    plantId,
    finding: z.string(),
  }),
  z.strictObject({
    kind: z.literal('answer-given'),
    plantId,
    answer: storedAnswerSchema.omit({ id: true }),
  }),
]);
export type EarlierEvent = z.infer<typeof earlierEventSchema>;

/** An event as it stands in the log of a case. */
export const loggedEventSchema = z.union([caseEventSchema, earlierEventSchema]);
export type LoggedEvent = z.infer<typeof loggedEventSchema>;

/** An event with its sender. `id` is made by the sender, so that a repeated sending applies it once. */
export const sentEventSchema = z.strictObject({
  id: z.uuid(),
  /** Who did it, as colleagues read it. */
  author: textSchema(80),
  /** The browser or program it came from. */
  device: textSchema(80),
  event: caseEventSchema,
  /** Conflicts that the sender met when it put the event on top of what others had done. */
  conflicts: z.array(conflictSchema).max(50).default([]),
});
export type SentEvent = z.infer<typeof sentEventSchema>;

/** An event as the server applied it, in the order of the versions it made. */
export const storedEventSchema = z.object({
  id: z.uuid(),
  version: z.number().int().min(1),
  author: z.string(),
  device: z.string(),
  /** When the server stored it; left out in answers to a sending. */
  at: z.iso.datetime().optional(),
  event: loggedEventSchema,
  conflicts: z.array(conflictSchema),
});
export type StoredEvent = z.infer<typeof storedEventSchema>;

/** Most events of one sending. */
export const MAX_EVENTS = 200;

/**
 * Body of `POST /api/cases/:id/events`. The first event was made on top of version `baseVersion`, each further one on top of
 * those before it. Events are checked one by one, so that one that cannot be taken stops none before it.
 */
export const appendEventsSchema = z.strictObject({
  baseVersion: z.number().int().min(0).max(2_000_000_000),
  events: z.array(z.unknown()).min(1).max(MAX_EVENTS),
});
export interface AppendEvents {
  readonly baseVersion: number;
  readonly events: readonly SentEvent[];
}

/** Answer to it: everything that happened since `baseVersion`, and the first event that was not taken. */
export const appendedSchema = z.object({
  version: z.number().int(),
  events: z.array(storedEventSchema),
  refused: z
    .object({
      /** Place in the sending, from 0; the events behind it were not looked at. */
      index: z.number().int(),
      problem: problemSchema.shape.error,
    })
    .nullable(),
});
export type Appended = z.infer<typeof appendedSchema>;

/** Answer to `GET /api/cases/:id/events?after=N`. `more` says that there are further ones behind the last. */
export const changesSchema = z.object({
  version: z.number().int(),
  events: z.array(storedEventSchema),
  more: z.boolean(),
});
export type Changes = z.infer<typeof changesSchema>;
