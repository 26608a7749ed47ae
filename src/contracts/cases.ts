import { z } from 'zod';
import { APPROACHES, CHANNELS } from '../core/advice/context.ts';
import { CONFIRMATIONS } from '../core/diagnosis/learning.ts';
import { isoDateSchema, MOST_CHARACTERS, placeSchema, seenSchema } from './consult.ts';

export const CASE_STATUSES = ['open', 'waiting', 'closed'] as const;
export type CaseStatus = (typeof CASE_STATUSES)[number];

/** An answer as it is kept with a case. `value` is a choice id where the finding is a group. */
export const keptAnswerSchema = z.strictObject({
  finding: z.string().min(1).max(80),
  value: z.union([z.boolean(), z.string().min(1).max(80)]),
  sure: z.number().min(0).max(1),
});
export type KeptAnswer = z.infer<typeof keptAnswerSchema>;

/** What the trouble proved to be, and how that is known. */
export const outcomeSchema = z.strictObject({
  cause: z.string().min(1).max(80),
  confirmed: z.enum(CONFIRMATIONS),
  on: isoDateSchema,
});
export type KeptOutcome = z.infer<typeof outcomeSchema>;

/** What the label of a product says, as the advisor read it; null where it was not read. */
export const labelFactsSchema = z.strictObject({
  daysToHarvest: z.number().int().min(0).max(365).nullable(),
  reentryHours: z.number().int().min(0).max(720).nullable().default(null),
  mostPerYear: z.number().int().min(1).max(99).nullable(),
});

const stepId = z.string().min(1).max(80);

/** A step that was done, or is to be done, on a day. */
export const stepDaySchema = z.strictObject({ step: stepId, on: isoDateSchema });

/** Dates that were told, with the number of the application. */
export const keptDateSchema = stepDaySchema.extend({ number: z.number().int().min(1).max(99) });

/** What the dates of a plan hang on besides the advice, and the dates that were told. */
export const casePlanSchema = z.strictObject({
  harvest: isoDateSchema.nullable(),
  labels: z.record(stepId, labelFactsSchema),
  done: z.array(stepDaySchema),
  kept: z.array(keptDateSchema),
  /** Days on which events were seen that windows are counted from, by the name of the event. */
  seen: z.record(z.string().max(80), isoDateSchema).default({}),
});
export type CasePlan = z.infer<typeof casePlanSchema>;

/** A plan of which nothing is known yet. */
export const NO_PLAN: CasePlan = { harvest: null, labels: {}, done: [], kept: [], seen: {} };

/** One plant of a case: what was said about it and what it depends on. */
export const casePlantSchema = z.strictObject({
  id: z.string(),
  words: z.string(),
  /** Plant id set by the advisor; null while it is taken from the words. */
  plant: z.string().nullable(),
  date: isoDateSchema,
  place: placeSchema,
  approach: z.enum(APPROACHES),
  answers: z.array(keptAnswerSchema),
  knowledgeVersion: z.string().nullable(),
  outcome: outcomeSchema.nullable(),
  plan: casePlanSchema,
});
export type CasePlant = z.infer<typeof casePlantSchema>;

/** A case as it stands after all its events. */
export const caseRecordSchema = z.strictObject({
  id: z.uuid(),
  number: z.number().int(),
  version: z.number().int(),
  status: z.enum(CASE_STATUSES),
  channel: z.enum(CHANNELS),
  openedAt: z.iso.datetime(),
  enquirer: z.strictObject({ name: z.string(), contact: z.string() }),
  /** Day to call back, or null. */
  callBackOn: isoDateSchema.nullable(),
  plants: z.array(casePlantSchema).min(1),
});
export type CaseRecord = z.infer<typeof caseRecordSchema>;

const plantId = z.string().min(1).max(40);

/** Everything that can happen to a case. Replaying the events of a case gives its record. */
export const caseEventSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('words-set'),
    plantId,
    words: z
      .string()
      .max(
        MOST_CHARACTERS,
        `must be at most ${MOST_CHARACTERS} characters: open a second plant for the rest`,
      ),
  }),
  z.strictObject({
    kind: z.literal('plant-chosen'),
    plantId,
    plant: z.string().max(80).nullable(),
  }),
  z.strictObject({ kind: z.literal('date-set'), plantId, date: isoDateSchema }),
  z.strictObject({ kind: z.literal('place-set'), plantId, place: placeSchema }),
  z.strictObject({ kind: z.literal('approach-set'), plantId, approach: z.enum(APPROACHES) }),
  z.strictObject({ kind: z.literal('answer-given'), plantId, answer: keptAnswerSchema }),
  z.strictObject({ kind: z.literal('answer-withdrawn'), plantId, finding: z.string().max(80) }),
  /** The advisor tied words that were not understood to a finding; a suggestion for the library. */
  z.strictObject({
    kind: z.literal('phrase-tied'),
    plantId,
    finding: z.string().min(1).max(80),
    said: z.string().min(1).max(200),
  }),
  z.strictObject({ kind: z.literal('consulted'), plantId, knowledgeVersion: z.string().max(40) }),
  z.strictObject({
    kind: z.literal('outcome-set'),
    plantId,
    outcome: outcomeSchema.nullable(),
  }),
  z.strictObject({ kind: z.literal('harvest-set'), plantId, on: isoDateSchema.nullable() }),
  z.strictObject({
    kind: z.literal('label-read'),
    plantId,
    step: stepId,
    label: labelFactsSchema,
  }),
  z.strictObject({ kind: z.literal('step-done'), plantId, step: stepId, on: isoDateSchema }),
  z.strictObject({ kind: z.literal('step-undone'), plantId, step: stepId, on: isoDateSchema }),
  z.strictObject({
    kind: z.literal('dates-kept'),
    plantId,
    dates: z.array(keptDateSchema).max(200),
  }),
  z.strictObject({
    kind: z.literal('event-seen'),
    plantId,
    event: z.string().min(1).max(80),
    on: isoDateSchema.nullable(),
  }),
  z.strictObject({ kind: z.literal('plant-added'), plantId }),
  z.strictObject({ kind: z.literal('channel-set'), channel: z.enum(CHANNELS) }),
  z.strictObject({
    kind: z.literal('enquirer-set'),
    name: z.string().max(120, 'must be at most 120 characters'),
    contact: z.string().max(200, 'must be at most 200 characters'),
  }),
  z.strictObject({ kind: z.literal('call-back-set'), on: isoDateSchema.nullable() }),
  z.strictObject({ kind: z.literal('status-set'), status: z.enum(CASE_STATUSES) }),
]);
export type CaseEvent = z.infer<typeof caseEventSchema>;

/** Body of `POST /api/cases`. The id is made by the client, so that a repeated request opens no second case. */
export const openCaseSchema = z.strictObject({
  id: z.uuid(),
  channel: z.enum(CHANNELS).default('phone'),
});
export type OpenCase = z.infer<typeof openCaseSchema>;

/** Body of `POST /api/cases/:id/events`. */
export const appendEventsSchema = z.strictObject({
  baseVersion: z.number().int().min(0),
  events: z.array(caseEventSchema).min(1).max(500),
});
export type AppendEvents = z.infer<typeof appendEventsSchema>;

/** One line of the Desk. */
export const caseSummarySchema = z.object({
  id: z.uuid(),
  number: z.number().int(),
  status: z.enum(CASE_STATUSES),
  channel: z.enum(CHANNELS),
  openedAt: z.iso.datetime(),
  enquirer: z.string(),
  callBackOn: z.string().nullable(),
  words: z.string(),
  plant: z.string().nullable(),
  plantCount: z.number().int(),
});
export type CaseSummary = z.infer<typeof caseSummarySchema>;

/** The clinic and its day, from `GET /api/clinic`. */
export const clinicSchema = z.object({
  name: z.string(),
  region: z.string(),
  place: placeSchema,
  today: isoDateSchema,
});
export type Clinic = z.infer<typeof clinicSchema>;

/** What the clinic has learned, from `GET /api/clinic/experience`. */
export const experienceSchema = z.object({
  /** Whether confirmed cases move how common a cause is taken to be. */
  learning: z.boolean(),
  /** Confirmed cases as they count this month. */
  seen: z.array(seenSchema),
});
export type ClinicExperience = z.infer<typeof experienceSchema>;

/** Body of `POST /api/clinic/learning`. */
export const learningSchema = z.strictObject({ learning: z.boolean() });

/** Words tied to findings by hand, the most often tied first, from `GET /api/clinic/phrases`. */
export const tiedPhrasesSchema = z.object({
  phrases: z.array(z.object({ finding: z.string(), said: z.string(), times: z.number() })),
});
export type TiedPhrases = z.infer<typeof tiedPhrasesSchema>;
