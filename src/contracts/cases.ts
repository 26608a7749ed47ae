import { z } from 'zod';
import { countrySchema, stateSchema } from '../core/schema/place.ts';
import { SPELLINGS } from '../wording/spelling.ts';
import { APPROACHES, CHANNELS } from '../core/advice/context.ts';
import { RELEASE_STATES } from './access.ts';
import { CONFIRMATIONS } from '../core/diagnosis/learning.ts';
import {
  consultResponseSchema,
  gardenSchema,
  isoDateSchema,
  placeSchema,
  seenSchema,
} from './consult.ts';
import { consentSchema, followUpSchema, NO_CONSENT } from './followUps.ts';
import { MAX_SAMPLES, sampleSchema } from './samples.ts';
import { textSchema } from './storableText.ts';

export const CASE_STATUSES = ['open', 'waiting', 'closed'] as const;
export type CaseStatus = (typeof CASE_STATUSES)[number];

/** An identifier of the library or of a case: short, and of characters that can be stored. */
export const idSchema = textSchema(80).min(1);

/** An answer as it is kept with a case. `value` is a choice id where the finding is a group. */
export const storedAnswerSchema = z.strictObject({
  /** Of this answer alone, so that taking it back never takes back a newer one about the same finding. */
  id: idSchema,
  finding: idSchema,
  value: z.union([z.boolean(), idSchema]),
  sure: z.number().min(0).max(1),
});
export type StoredAnswer = z.infer<typeof storedAnswerSchema>;

/** What the trouble proved to be, and how that is known. */
export const outcomeSchema = z.strictObject({
  cause: idSchema,
  confirmed: z.enum(CONFIRMATIONS),
  on: isoDateSchema,
});
export type StoredOutcome = z.infer<typeof outcomeSchema>;

/** Longest name of a person and longest way to reach them, in characters. */
export const MAX_NAME = 120;
export const MAX_CONTACT = 200;
/** Longest note to a release, in characters. */
export const MAX_RELEASE_NOTE = 400;

/** Longest text of a label that is kept, in characters. */
export const MAX_LABEL = 4000;

/** What the label of a product says, as the advisor read it; null where it was not read. */
export const labelFactsSchema = z.strictObject({
  daysToHarvest: z.number().int().min(0).max(365).nullable(),
  reentryHours: z.number().int().min(0).max(720).nullable().default(null),
  mostPerYear: z.number().int().min(1).max(99).nullable(),
  /** Least days between two uses. */
  everyDays: z.number().int().min(1).max(365).nullable().default(null),
  /** The words of the label, as they were read out. */
  text: textSchema(MAX_LABEL).default(''),
});
export type StoredLabel = z.infer<typeof labelFactsSchema>;

/** A step that was done, or is to be done, on a day. */
export const stepDaySchema = z.strictObject({ step: idSchema, on: isoDateSchema });

/** Longest step that an advisor adds, in characters. */
export const MAX_OWN_STEP = 400;
/** A step that the advisor added to a plan; `on` null where it has no day. */
export const ownStepSchema = z.strictObject({
  id: idSchema,
  text: textSchema(MAX_OWN_STEP).min(1),
  on: isoDateSchema.nullable(),
});
export type OwnStep = z.infer<typeof ownStepSchema>;

/** Dates that were told, with the number of the application. */
export const storedDateSchema = stepDaySchema.extend({ number: z.number().int().min(1).max(99) });

/** How the sheet of a call was handed over. */
export const SHEET_WAYS = ['print', 'copy', 'email', 'message'] as const;
export type SheetWay = (typeof SHEET_WAYS)[number];
/** Longest sheet that is kept, in characters: several plants with all their steps. */
export const MAX_SHEET = 40_000;

/** The exact text that an enquirer was given. */
export const givenSheetSchema = z.strictObject({
  on: isoDateSchema,
  how: z.enum(SHEET_WAYS),
  text: textSchema(MAX_SHEET),
});
export type GivenSheet = z.infer<typeof givenSheetSchema>;

/** What the dates of a plan hang on besides the advice, and the dates that were told. */
export const casePlanSchema = z.strictObject({
  harvest: isoDateSchema.nullable(),
  labels: z.record(idSchema, labelFactsSchema),
  done: z.array(stepDaySchema),
  kept: z.array(storedDateSchema),
  /** Days on which events were seen that windows are counted from, by the name of the event. */
  seen: z.record(textSchema(80), isoDateSchema).default({}),
  /** Sheets that were given, the newest last. */
  given: z.array(givenSheetSchema).default([]),
  /** Steps that the advisor added. */
  own: z.array(ownStepSchema).default([]),
  /** Steps of the advice that the advisor left out. */
  leftOut: z.array(idSchema).default([]),
  /** Steps in the advisor's order; empty for that of the advice. */
  order: z.array(idSchema).default([]),
});
export type CasePlan = z.infer<typeof casePlanSchema>;

/** A plan of which nothing is known yet. */
export const NO_PLAN: CasePlan = {
  harvest: null,
  labels: {},
  done: [],
  kept: [],
  seen: {},
  given: [],
  own: [],
  leftOut: [],
  order: [],
};

/**
 * An answer as it was when a case was closed. One that an earlier version stored in another form is read as none: it must
 * not keep the case from being opened.
 */
export const closingAnswerSchema = consultResponseSchema.nullable().catch(null);

/** Longest note for colleagues, in characters, and most notes of a case. */
export const MAX_NOTE = 1000;
export const MAX_NOTES = 100;

/** What an advisor leaves for colleagues; enquirers never see it. */
export const noteSchema = z.strictObject({
  id: idSchema,
  on: isoDateSchema,
  by: textSchema(MAX_NAME).min(1),
  text: textSchema(MAX_NOTE).min(1),
});
export type Note = z.infer<typeof noteSchema>;

/** Who has taken a case on. */
export const assigneeSchema = z.strictObject({
  id: z.uuid(),
  name: textSchema(MAX_NAME).min(1),
});
export type Assignee = z.infer<typeof assigneeSchema>;

/** Names of the plant and the cause that led when the case was last worked on, for lists; null where nothing led. */
export const leadingSchema = z.strictObject({
  plant: textSchema(MAX_NAME).nullable(),
  cause: textSchema(MAX_NAME).nullable(),
});
export type Leading = z.infer<typeof leadingSchema>;

/** What an answer says of a plant in a list. */
export function leadingOf({
  plant,
  causes,
}: Pick<z.infer<typeof consultResponseSchema>, 'plant' | 'causes'>): Leading {
  const short = (name: string | undefined): string | null => name?.slice(0, MAX_NAME) ?? null;
  return { plant: short(plant?.name), cause: short(causes[0]?.name) };
}

/** Longest name of a tab, in characters. */
export const MAX_TAB = 60;

/** One plant of a case: what was said about it and what it depends on. */
export const casePlantSchema = z.strictObject({
  id: z.string(),
  /** What the advisor calls it; empty while it goes by its plant. */
  name: z.string().default(''),
  words: z.string(),
  /** Plant id set by the advisor; null while it is taken from the words. */
  plant: z.string().nullable(),
  date: isoDateSchema,
  place: gardenSchema,
  approach: z.enum(APPROACHES),
  answers: z.array(storedAnswerSchema),
  knowledgeVersion: z.string().nullable(),
  leading: leadingSchema.nullable().default(null),
  /** What was answered when the case was closed, so that it can be read as it was; null before, and after a change. */
  closingAnswer: closingAnswerSchema,
  outcome: outcomeSchema.nullable(),
  /** What was heard of it after the advice; null before. */
  followUp: followUpSchema.nullable().default(null),
  samples: z.array(sampleSchema).max(MAX_SAMPLES).default([]),
  plan: casePlanSchema,
});
export type CasePlant = z.infer<typeof casePlantSchema>;

/** The parts of a case that two people may set to different values at once. */
export const CONTESTED_FIELDS = [
  'words',
  'plant',
  'date',
  'place',
  'approach',
  'answer',
  'outcome',
  'harvest',
  'label',
  'seen',
  'dates',
  'channel',
  'name',
  'contact',
  'call-back',
  'status',
  'follow-up',
  'sample',
  'consent',
  'assignee',
] as const;

/** Two values that were given at once: the later one holds, the other one is kept here until somebody has looked at both. */
export const conflictSchema = z.strictObject({
  id: idSchema,
  field: z.enum(CONTESTED_FIELDS),
  /** Null for a field of the whole case. */
  plantId: textSchema(60).nullable(),
  /** The finding, step or event it is about; null where the field says all. */
  about: textSchema(80).nullable(),
  /** The value that holds, and the one that it replaced, as texts; of words both stand in the text. */
  kept: textSchema(400),
  other: textSchema(400),
  /** Who wrote the value that was replaced. */
  otherBy: textSchema(80),
});
export type Conflict = z.infer<typeof conflictSchema>;

/** Where the release of a trainee's advice stands, who brought it there and what they said. */
export const releaseSchema = z.strictObject({
  state: z.enum(RELEASE_STATES),
  by: textSchema(MAX_NAME),
  on: isoDateSchema,
  note: textSchema(MAX_RELEASE_NOTE),
});
export type Release = z.infer<typeof releaseSchema>;

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
  conflicts: z.array(conflictSchema),
  release: releaseSchema.nullable(),
  /** What the enquirer agreed to. */
  consent: consentSchema.default(NO_CONSENT),
  /** Null while nobody has taken it. */
  assignee: assigneeSchema.nullable().default(null),
  notes: z.array(noteSchema).max(MAX_NOTES).default([]),
});
export type CaseRecord = z.infer<typeof caseRecordSchema>;

/** Body of `POST /api/cases`. The id is made by the client, so that a repeated request opens no second case. */
export const openCaseSchema = z.strictObject({
  id: z.uuid(),
  channel: z.enum(CHANNELS).default('phone'),
});
export type OpenCase = z.infer<typeof openCaseSchema>;

/** Most plants of one case. */
export const MAX_PLANTS = 20;
/** Most answers about one plant. */
export const MAX_ANSWERS = 300;
/** Most entries of each list of a plan. */
export const MAX_PLAN_ENTRIES = 500;
/** Why something is to be done for a case on a day: a call-back was promised, or a laboratory was to answer. */
export const DUES = ['call-back', 'sample'] as const;
export type Due = (typeof DUES)[number];

/** One line of the Desk. */
export const caseSummarySchema = z.object({
  id: z.uuid(),
  number: z.number().int(),
  status: z.enum(CASE_STATUSES),
  channel: z.enum(CHANNELS),
  openedAt: z.iso.datetime(),
  enquirer: z.string(),
  /** The next day on which something is to be done for it, and why; null where nothing is. */
  due: z.object({ on: z.string(), why: z.enum(DUES) }).nullable(),
  /** The day on which its advice said to look again, while nobody has heard how it went; null otherwise. */
  lookAgainOn: z.string().nullable(),
  words: z.string(),
  plant: z.string().nullable(),
  plantCount: z.number().int(),
  /** Of the first plant; null before it was worked on. */
  leading: leadingSchema.nullable(),
  /** Name of who has it; null where nobody has. */
  assignee: z.string().nullable(),
  /** Where the release of a trainee's advice stands; null while nobody asked for one. */
  release: z.enum(RELEASE_STATES).nullable(),
});
export type CaseSummary = z.infer<typeof caseSummarySchema>;

/** A page of the Desk; `next` asks for the one after it, null on the last. */
export const casePageSchema = z.object({
  cases: z.array(caseSummarySchema),
  next: z.string().nullable(),
});
export type CasePage = z.infer<typeof casePageSchema>;

/** The clinic and its day, from `GET /api/clinic`. */
export const clinicSchema = z.object({
  name: z.string(),
  region: z.string(),
  place: placeSchema,
  /** By ISO 3166; null where it was not set. */
  country: countrySchema.nullable(),
  /** Part of the country by ISO 3166-2; null where it was not set, and then the strictest of its rules hold. */
  state: stateSchema.nullable(),
  today: isoDateSchema,
  /** The clock of the server, by which waiting is counted. */
  now: z.iso.datetime(),
  /** Days after which names and numbers of enquirers are taken out. */
  retentionDays: z.number().int(),
  /** Where and when it can be reached, and in which languages, as they stand on the sheet; empty where not said. */
  address: z.string(),
  hours: z.string(),
  languages: z.string(),
  /** How people here mostly want to garden; a new case begins with it. */
  approach: z.enum(APPROACHES),
  /** Of the texts that its people read, unless they choose their own. */
  spelling: z.enum(SPELLINGS),
});
export type Clinic = z.infer<typeof clinicSchema>;

/** Shortest and longest time for which names may be kept, in days. */
export const MIN_RETENTION = 30;
export const MAX_RETENTION = 3650;

/** Longest address and longest hours of a clinic, in characters. */
export const MAX_ADDRESS = 300;

/** Body of `POST /api/clinic/settings`: the fields that it names. */
export const clinicSettingsSchema = z.strictObject({
  name: textSchema(MAX_NAME).trim().min(1).optional(),
  region: textSchema(MAX_NAME).trim().min(1).optional(),
  retentionDays: z.number().int().min(MIN_RETENTION).max(MAX_RETENTION).optional(),
  place: placeSchema.optional(),
  /** Null goes by the nearest reference place. */
  country: countrySchema.nullable().optional(),
  state: stateSchema.nullable().optional(),
  address: textSchema(MAX_ADDRESS).trim().optional(),
  hours: textSchema(MAX_ADDRESS).trim().optional(),
  languages: textSchema(MAX_NAME).trim().optional(),
  approach: z.enum(APPROACHES).optional(),
  spelling: z.enum(SPELLINGS).optional(),
});
export type ClinicSettingsChange = z.infer<typeof clinicSettingsSchema>;

/** A label that the clinic keeps at hand, under a name of its own. */
export const clinicLabelSchema = z.strictObject({
  id: z.uuid(),
  name: textSchema(MAX_NAME).min(1),
  text: textSchema(MAX_LABEL).min(1),
});
export type ClinicLabel = z.infer<typeof clinicLabelSchema>;
/** Most labels of a clinic. */
export const MAX_LABELS = 300;

/** Labels of the clinic by name, from `GET /api/clinic/labels`. */
export const clinicLabelsSchema = z.object({ labels: z.array(clinicLabelSchema) });
export type ClinicLabels = z.infer<typeof clinicLabelsSchema>;

/** Body of `POST /api/clinic/labels/remove`. */
export const removeLabelSchema = z.strictObject({ id: z.uuid() });

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
