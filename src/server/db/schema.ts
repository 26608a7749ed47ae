import type { ConsultResponse } from '../../contracts/consult.ts';
import { sql } from 'drizzle-orm';
import {
  bigint,
  boolean,
  customType,
  date,
  doublePrecision,
  index,
  integer,
  json,
  jsonb,
  pgTable,
  primaryKey,
  real,
  serial,
  text,
  timestamp,
  uuid,
} from 'drizzle-orm/pg-core';
import { CONFIRMATIONS } from '../../core/diagnosis/learning.ts';
import type { LoggedEvent } from '../../contracts/caseEvents.ts';
import { SPELLINGS } from '../../wording/spelling.ts';
import { ROLES } from '../../contracts/access.ts';
import {
  DUES,
  type CasePlan,
  type Conflict,
  type Assignee,
  type Leading,
  type Note,
  type Release,
} from '../../contracts/cases.ts';
import { TRADES } from '../../contracts/contacts.ts';
import type { Consent, FollowUp } from '../../contracts/followUps.ts';
import type { Sample } from '../../contracts/samples.ts';

export const clinics = pgTable('clinics', {
  id: serial().primaryKey(),
  name: text().notNull(),
  region: text().notNull(),
  latitude: doublePrecision().notNull(),
  longitude: doublePrecision().notNull(),
  /** Metres above the sea; null where it was not given. */
  height: real(),
  /** Whether confirmed cases move how common a cause is taken to be. */
  learning: boolean().notNull().default(true),
  /** Days after which names and numbers of enquirers are taken out. */
  retentionDays: integer('retention_days').notNull().default(400),
  address: text().notNull().default(''),
  hours: text().notNull().default(''),
  languages: text().notNull().default(''),
  /** By ISO 3166; null goes by the setting of the server, or the nearest reference place. */
  country: text(),
  state: text(),
  /** Of the texts that its people read. */
  spelling: text({ enum: SPELLINGS }).notNull().default('us'),
  /** A new case begins with it. */
  approach: text({ enum: ['leave', 'organic', 'integrated'] })
    .notNull()
    .default('integrated'),
});

/** Who may sign in. */
export const people = pgTable('people', {
  id: uuid().primaryKey(),
  clinicId: integer('clinic_id')
    .notNull()
    .references(() => clinics.id),
  name: text().notNull(),
  /** In small letters. */
  email: text().notNull().unique(),
  role: text({ enum: ROLES }).notNull(),
  /** Hash by argon2id; null until a password was set. */
  password: text(),
  active: boolean().notNull().default(true),
  /** Of the demonstration: signs in by being chosen. */
  demo: boolean().notNull().default(false),
  /** Null takes that of the clinic. */
  spelling: text({ enum: SPELLINGS }),
  /** Sessions of an earlier number have ended. */
  epoch: integer().notNull().default(0),
});

/** Passkeys of people, by the id that the device gave. */
export const passkeys = pgTable(
  'passkeys',
  {
    id: text().primaryKey(),
    personId: uuid('person_id')
      .notNull()
      .references(() => people.id, { onDelete: 'cascade' }),
    name: text().notNull(),
    /** In base64url. */
    publicKey: text('public_key').notNull(),
    counter: bigint({ mode: 'number' }).notNull(),
    transports: jsonb().$type<string[]>().notNull(),
  },
  (table) => [index('passkeys_by_person').on(table.personId)],
);

/** Links that are used once, by the hash of their secret. */
export const links = pgTable('links', {
  hash: text().primaryKey(),
  purpose: text({ enum: ['first-coordinator', 'password'] }).notNull(),
  personId: uuid('person_id').references(() => people.id, { onDelete: 'cascade' }),
  until: timestamp({ withTimezone: true }).notNull(),
});

/** Sessions, in the form that connect-pg-simple reads. */
export const sessions = pgTable(
  'sessions',
  {
    sid: text().primaryKey(),
    sess: json().notNull(),
    expire: timestamp({ precision: 6, withTimezone: true }).notNull(),
  },
  (table) => [index('sessions_by_end').on(table.expire)],
);

/** Failed tries to sign in, in the form that rate-limiter-flexible reads. */
export const signInTries = pgTable('sign_in_tries', {
  key: text().primaryKey(),
  points: integer().notNull().default(0),
  expire: bigint({ mode: 'number' }),
});

/** What was done that somebody may have to answer for. Each line holds the hash of the one before; lines are only added. */
export const auditLog = pgTable(
  'audit_log',
  {
    seq: integer().primaryKey(),
    /** Null for what is about no clinic. */
    clinicId: integer('clinic_id'),
    at: timestamp({ withTimezone: true, precision: 3 }).notNull(),
    /** Null for the server, and for nobody known. */
    personId: uuid('person_id'),
    action: text().notNull(),
    /** Id of what it was done to; no words, names or numbers. */
    subject: text().notNull(),
    hash: text().notNull(),
  },
  (table) => [index('audit_by_clinic').on(table.clinicId, table.seq)],
);

/** Little personal data; the clinic says how long it is kept. */
export const enquirers = pgTable('enquirers', {
  id: serial().primaryKey(),
  clinicId: integer('clinic_id')
    .notNull()
    .references(() => clinics.id),
  name: text().notNull(),
  contact: text().notNull(),
});

export const cases = pgTable(
  'cases',
  {
    id: uuid().primaryKey(),
    number: serial().notNull().unique(),
    clinicId: integer('clinic_id')
      .notNull()
      .references(() => clinics.id),
    enquirerId: integer('enquirer_id').references(() => enquirers.id),
    status: text({ enum: ['open', 'waiting', 'closed'] }).notNull(),
    channel: text({ enum: ['phone', 'email', 'walk-in', 'text'] }).notNull(),
    openedAt: timestamp('opened_at', { withTimezone: true }).notNull(),
    callBackOn: date('call_back_on'),
    version: integer().notNull(),
    /** Values that were set at once and that nobody has looked at yet. */
    conflicts: jsonb().$type<Conflict[]>().notNull().default([]),
    /** Where the release of a trainee's advice stands; null while nobody asked for one. */
    release: jsonb().$type<Release>(),
    /** What the enquirer agreed to; null while they were not asked. */
    consent: jsonb().$type<Consent>(),
    /** Who has taken it on; null while nobody has. */
    assignee: jsonb().$type<Assignee>(),
    /** For colleagues. */
    notes: jsonb().$type<Note[]>().notNull().default([]),
    /** When something is to be done for it and why, as the record says it; null where nothing is. */
    dueOn: date('due_on'),
    dueWhy: text('due_why', { enum: DUES }),
    /** When the advice said to look again, while nobody has heard how it went. */
    lookAgainOn: date('look_again_on'),
    /** Who closed it last; null while nobody did. */
    closedBy: uuid('closed_by'),
  },
  (table) => [
    // As queries write it: without a word nulls come first, and the index serves no other order.
    index('cases_by_opening').on(
      table.clinicId,
      table.openedAt.desc().nullsFirst(),
      table.id.desc().nullsFirst(),
    ),
    index('cases_by_due')
      .on(table.clinicId, table.dueOn, table.id)
      .where(sql`due_on is not null`),
    index('cases_by_look_again')
      .on(table.clinicId, table.lookAgainOn, table.id)
      .where(sql`look_again_on is not null`),
  ],
);

export const casePlants = pgTable(
  'case_plants',
  {
    caseId: uuid('case_id')
      .notNull()
      .references(() => cases.id, { onDelete: 'cascade' }),
    /** That of the case, so that outcomes of a clinic are counted without it. */
    clinicId: integer('clinic_id').notNull(),
    id: text().notNull(),
    position: integer().notNull(),
    /** What the advisor calls it. */
    name: text().notNull().default(''),
    words: text().notNull(),
    plant: text(),
    date: date().notNull(),
    latitude: doublePrecision().notNull(),
    longitude: doublePrecision().notNull(),
    height: real(),
    approach: text({ enum: ['leave', 'organic', 'integrated'] }).notNull(),
    knowledgeVersion: text('knowledge_version'),
    /** What led when it was last worked on; null before. */
    leading: jsonb().$type<Leading>(),
    /** What was answered when the case was closed; null before. */
    closingAnswer: jsonb('closing_answer').$type<ConsultResponse>(),
    outcomeCause: text('outcome_cause'),
    outcomeConfirmed: text('outcome_confirmed', { enum: CONFIRMATIONS }),
    outcomeOn: date('outcome_on'),
    /** What was heard after the advice; null before. */
    followUp: jsonb('follow_up').$type<FollowUp>(),
    samples: jsonb().$type<Sample[]>().notNull().default([]),
    /** What stood first when the case was closed and how surely, and where in the ranking the truth stood. */
    saidCause: text('said_cause'),
    saidShare: real('said_share'),
    outcomeRank: integer('outcome_rank'),
    /** Harvest, labels, what was done and the dates that were told; null until something is known. */
    plan: jsonb().$type<CasePlan>(),
  },
  (table) => [
    primaryKey({ columns: [table.caseId, table.id] }),
    // As queries write it: without a word nulls come first, and the index serves no other order.
    index('case_plants_by_outcome_day')
      .on(table.clinicId, table.outcomeOn.desc().nullsFirst(), table.caseId.desc().nullsFirst())
      .where(sql`outcome_cause is not null`),
    index('case_plants_by_follow_up')
      .on(table.clinicId)
      .where(sql`follow_up is not null`),
    index('case_plants_by_outcome')
      .on(table.clinicId, table.outcomeCause, table.outcomeConfirmed, table.outcomeOn)
      .where(sql`outcome_cause is not null`),
  ],
);

export const observations = pgTable(
  'observations',
  {
    caseId: uuid('case_id')
      .notNull()
      .references(() => cases.id, { onDelete: 'cascade' }),
    plantId: text('plant_id').notNull(),
    finding: text().notNull(),
    /** Of this answer alone; taking it back takes back no newer one. */
    answerId: text('answer_id').notNull(),
    position: integer().notNull(),
    /** Yes or no; null when `choice` holds the chosen finding, or "unknown". */
    present: boolean(),
    choice: text(),
    sure: doublePrecision().notNull(),
  },
  (table) => [primaryKey({ columns: [table.caseId, table.plantId, table.finding] })],
);

/** Every change to a case, in order; replaying them gives the record. */
export const caseEvents = pgTable(
  'case_events',
  {
    caseId: uuid('case_id')
      .notNull()
      .references(() => cases.id, { onDelete: 'cascade' }),
    version: integer().notNull(),
    at: timestamp({ withTimezone: true }).notNull().defaultNow(),
    /** Made by the sender; a repeated sending is known by it. */
    eventId: uuid('event_id').notNull().unique(),
    author: text().notNull().default(''),
    device: text().notNull().default(''),
    /** Who was signed in; null for events of earlier versions and of the server. */
    personId: uuid('person_id'),
    /** Version that the sender last saw; null for events of earlier versions. */
    baseVersion: integer('base_version'),
    event: jsonb().$type<LoggedEvent>().notNull(),
    conflicts: jsonb().$type<Conflict[]>().notNull().default([]),
  },
  (table) => [primaryKey({ columns: [table.caseId, table.version] })],
);

/** PostgreSQL's words of a text, for searching. */
const tsvector = customType<{ data: string }>({ dataType: () => 'tsvector' });

/** What a case is found by, written whenever it changes. */
export const caseSearch = pgTable(
  'case_search',
  {
    caseId: uuid('case_id')
      .primaryKey()
      .references(() => cases.id, { onDelete: 'cascade' }),
    clinicId: integer('clinic_id').notNull(),
    openedAt: timestamp('opened_at', { withTimezone: true }).notNull(),
    status: text({ enum: ['open', 'waiting', 'closed'] }).notNull(),
    /** Name of the enquirer and how to reach them. */
    names: text().notNull(),
    /** Who worked on it. */
    people: uuid().array().notNull(),
    plants: text().array().notNull(),
    causes: text().array().notNull(),
    outcomeKnown: boolean('outcome_known').notNull(),
    document: tsvector().notNull(),
  },
  (table) => [
    index('case_search_by_opening').on(
      table.clinicId,
      table.openedAt.desc().nullsFirst(),
      table.caseId.desc().nullsFirst(),
    ),
    index('case_search_document').using('gin', table.document),
    index('case_search_names').using('gin', table.names.op('gin_trgm_ops')),
    index('case_search_plants').using('gin', table.plants),
    index('case_search_causes').using('gin', table.causes),
    index('case_search_people').using('gin', table.people),
  ],
);

/** Labels that the clinic keeps at hand. */
export const clinicLabels = pgTable(
  'clinic_labels',
  {
    id: uuid().primaryKey(),
    clinicId: integer('clinic_id')
      .notNull()
      .references(() => clinics.id, { onDelete: 'cascade' }),
    name: text().notNull(),
    /** As it was read out. */
    text: text().notNull(),
  },
  (table) => [index('clinic_labels_by_name').on(table.clinicId, table.name)],
);

/** Searches that are kept under a name. */
export const savedSearches = pgTable(
  'saved_searches',
  {
    id: uuid().primaryKey(),
    clinicId: integer('clinic_id')
      .notNull()
      .references(() => clinics.id, { onDelete: 'cascade' }),
    name: text().notNull(),
    query: text().notNull(),
  },
  (table) => [index('saved_searches_by_name').on(table.clinicId, table.name)],
);

/** Whom the clinic sends people to. */
export const clinicContacts = pgTable(
  'clinic_contacts',
  {
    id: uuid().primaryKey(),
    clinicId: integer('clinic_id')
      .notNull()
      .references(() => clinics.id, { onDelete: 'cascade' }),
    trade: text({ enum: TRADES }).notNull(),
    name: text().notNull(),
    reach: text().notNull(),
    area: text().notNull(),
  },
  (table) => [index('clinic_contacts_by_trade').on(table.clinicId, table.trade, table.name)],
);

/** Days of the clinic's weather station, or of the simulated one that stands in for it. */
export const weatherDays = pgTable(
  'weather_days',
  {
    clinicId: integer('clinic_id')
      .notNull()
      .references(() => clinics.id, { onDelete: 'cascade' }),
    day: date().notNull(),
    minCelsius: real('min_celsius').notNull(),
    maxCelsius: real('max_celsius').notNull(),
    rainMillimetres: real('rain_millimetres').notNull(),
    windKmh: real('wind_kmh'),
    source: text({ enum: ['simulated', 'imported'] }).notNull(),
  },
  (table) => [primaryKey({ columns: [table.clinicId, table.day] })],
);
