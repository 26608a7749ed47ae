import { z } from 'zod';
import type { CaseEvent, LoggedEvent, StoredEvent } from './caseEvents.ts';
import type { CasePlan, CasePlant, CaseRecord } from './cases.ts';

/** `names` takes out who asked and where the text names them; `all` takes out everything that was typed as well. */
export const FORGETTING = ['names', 'all'] as const;
export type Forgetting = (typeof FORGETTING)[number];

/** Body of `POST /api/cases/:id/forget`. */
export const forgetSchema = z.strictObject({ how: z.enum(FORGETTING) });

const REMOVED = '[removed]';
/** Shorter parts of a name are in every second word. */
const MIN_PART = 3;
/** Fewer digits are a house number or an amount. */
const MIN_DIGITS = 6;

const escaped = (text: string): string => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
const asWord = (text: string): string => `(?<![\\p{L}\\p{N}])${escaped(text)}(?![\\p{L}\\p{N}])`;

/** The patterns by which a text names somebody: name and contact as they were written, parts of the name, the number. */
function patternsOf({ name, contact }: CaseRecord['enquirer']): readonly string[] {
  const whole = [name, contact].map((text) => text.trim()).filter((text) => text !== '');
  const parts = name.split(/[\s,]+/).filter(({ length }) => length >= MIN_PART);
  const digits = contact.replace(/\D/g, '');
  const number = digits.length >= MIN_DIGITS ? [digits.split('').join('[\\s().+/-]*')] : [];
  return [...whole.map(escaped), ...number, ...parts.map(asWord)];
}

/** What takes out of a text everything that names somebody. */
export function redactor(enquirer: CaseRecord['enquirer']): (text: string) => string {
  const patterns = patternsOf(enquirer);
  if (patterns.length === 0) return (text) => text;
  const pattern = new RegExp(patterns.join('|'), 'giu');
  return (text) => text.replace(pattern, REMOVED);
}

/** Changes every text of a value, however deep; names of fields stay. */
function inTexts(value: unknown, change: (text: string) => string): unknown {
  if (typeof value === 'string') return change(value);
  if (Array.isArray(value)) return value.map((one) => inTexts(one, change));
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(Object.entries(value).map(([key, one]) => [key, inTexts(one, change)]));
}

/** A value of the same form with its texts changed. */
const withTexts = <T>(value: T, change: (text: string) => string): T => inTexts(value, change) as T;

const emptied = (plan: CasePlan): CasePlan => ({
  ...plan,
  labels: Object.fromEntries(
    Object.entries(plan.labels).map(([step, label]) => [step, { ...label, text: '' }]),
  ),
  given: plan.given.map((sheet) => ({ ...sheet, text: '' })),
  own: plan.own.map((step) => ({ ...step, text: REMOVED })),
});

function plantWithout(plant: CasePlant, how: Forgetting, redact: (text: string) => string) {
  if (how === 'names') return withTexts(plant, redact);
  return { ...plant, words: '', closingAnswer: null, plan: emptied(plant.plan) };
}

/** The record without what is forgotten of it; its version stays. */
export function recordWithout(record: CaseRecord, how: Forgetting): CaseRecord {
  const redact = redactor(record.enquirer);
  return {
    ...record,
    enquirer: { name: '', contact: '' },
    conflicts: [],
    release: record.release && { ...record.release, note: '' },
    plants: record.plants.map((plant) => plantWithout(plant, how, redact)),
  };
}

/** The event that says so: it brings the words that are left. */
export function forgottenEvent({ plants }: CaseRecord): CaseEvent & { kind: 'forgotten' } {
  return {
    kind: 'forgotten',
    words: Object.fromEntries(plants.map(({ id, words }) => [id, words])),
  };
}

function emptiedEvent(event: LoggedEvent): LoggedEvent {
  switch (event.kind) {
    case 'phrase-tied':
      return { ...event, said: REMOVED };
    case 'closing-answer-stored':
      return { ...event, answer: null };
    case 'label-read':
      return { ...event, label: { ...event.label, text: '' } };
    case 'own-step-added':
      return { ...event, step: { ...event.step, text: REMOVED } };
    case 'sheet-given':
      return { ...event, sheet: { ...event.sheet, text: '' } };
    default:
      return event;
  }
}

/** An event of the log without what is forgotten; words were typed in pieces, which only their end tells, so they go. */
export function eventWithout(
  event: LoggedEvent,
  how: Forgetting,
  redact: (text: string) => string,
): LoggedEvent {
  switch (event.kind) {
    case 'words-edited':
      return { ...event, edits: [] };
    case 'words-set':
      return { ...event, words: '' };
    case 'forgotten':
      return { ...event, words: {} };
    case 'enquirer-set':
      return { kind: event.kind };
    case 'release-set':
      return { ...event, release: { ...event.release, note: '' } };
    default:
      return how === 'all' ? emptiedEvent(event) : withTexts(event, redact);
  }
}

/** A log without what is forgotten; replaying it, and the event that says so, gives the record without it. */
export function logWithout(
  log: readonly StoredEvent[],
  enquirer: CaseRecord['enquirer'],
  how: Forgetting,
): readonly StoredEvent[] {
  const redact = redactor(enquirer);
  return log.map((one) => ({
    ...one,
    event: eventWithout(one.event, how, redact),
    conflicts: [],
  }));
}
