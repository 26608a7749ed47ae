import { z } from 'zod';
import type { CaseEvent, LoggedEvent, StoredEvent } from './caseEvents.ts';
import type { CasePlan, CasePlant, CaseRecord } from './cases.ts';
import type { Sample } from './samples.ts';

/** `names` takes out who asked and where the text names them; `all` takes out everything that was typed as well. */
export const FORGETTING = ['names', 'all'] as const;
export type Forgetting = (typeof FORGETTING)[number];

/** Body of `POST /api/cases/:id/forget`. */
export const forgetSchema = z.strictObject({ how: z.enum(FORGETTING) });

const REMOVED = '[removed]';
/** Shorter parts of a name, as initials, name nobody. */
const MIN_PART = 3;
/** Shorter contacts, as "by" or a room, reach nobody. */
const MIN_CONTACT = 4;
/** Fewer digits are a house number or an amount. */
const MIN_DIGITS = 6;

const escaped = (text: string): string => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
const asWord = (text: string): string => `(?<![\\p{L}\\p{N}])${escaped(text)}(?![\\p{L}\\p{N}])`;

/** Name and contact as they were written. */
const wholeOf = ({ name, contact }: CaseRecord['enquirer']): readonly string[] =>
  [name.trim(), ...[contact.trim()].filter(({ length }) => length >= MIN_CONTACT)]
    .filter((text) => text !== '')
    .map(asWord);

/** The number of a contact, however its digits are set apart. */
function numberOf(contact: string): readonly string[] {
  const digits = contact.replace(/\D/g, '');
  return digits.length >= MIN_DIGITS ? [digits.split('').join('[\\s().+/-]*')] : [];
}

/** The patterns by which a text names somebody: name and contact as they were written, parts of the name, the number. */
function patternsOf(enquirer: CaseRecord['enquirer']): readonly string[] {
  const parts = enquirer.name.split(/[\s,]+/).filter(({ length }) => length >= MIN_PART);
  return [...wholeOf(enquirer), ...parts.map(asWord), ...numberOf(enquirer.contact)];
}

/** What takes out of a text everything that names somebody. */
export function redactor(enquirer: CaseRecord['enquirer']): (text: string) => string {
  const patterns = patternsOf(enquirer);
  if (patterns.length === 0) return (text) => text;
  const pattern = new RegExp(patterns.join('|'), 'giu');
  return (text) => text.replace(pattern, REMOVED);
}

/** Whether a text names somebody by their whole name, contact or number; parts of names are words of many others. */
export function namesWhole({ name, contact }: CaseRecord['enquirer']): (text: string) => boolean {
  const patterns = [...wholeOf({ name, contact }), ...numberOf(contact)];
  if (patterns.length === 0) return () => false;
  const pattern = new RegExp(patterns.join('|'), 'iu');
  return (text) => pattern.test(text);
}

/** What becomes of a text that somebody typed. */
type Change = (text: string) => string;

/** A plan with its typed texts changed; what is empty stays empty where texts must not be. */
const planWith = (plan: CasePlan, change: Change): CasePlan => ({
  ...plan,
  labels: Object.fromEntries(
    Object.entries(plan.labels).map(([step, label]) => [
      step,
      { ...label, text: change(label.text) },
    ]),
  ),
  given: plan.given.map((sheet) => ({ ...sheet, text: change(sheet.text) })),
  own: plan.own.map((step) => ({ ...step, text: change(step.text) || REMOVED })),
});

/** A place of the words that is none any more. */
const NOWHERE: [number, number] = [0, 0];

/** A kept answer with what it quotes changed; its marks go, as the words that they were at have moved. */
function answerWith(
  answer: CasePlant['closingAnswer'],
  change: Change,
): CasePlant['closingAnswer'] {
  if (!answer) return null;
  const { advice, parts, heard, amounts } = answer;
  return {
    ...answer,
    parts: parts.map((part) => ({ ...part, words: change(part.words) })),
    heard: heard.map((finding) => ({ ...finding, span: NOWHERE })),
    amounts: amounts.map((amount) => ({ ...amount, span: NOWHERE })),
    advice: {
      ...advice,
      answers: advice.answers.map((reply) => ({ ...reply, asked: change(reply.asked) })),
    },
  };
}

/** A laboratory's answer with its words changed. */
const resultWith = (result: Sample['result'], change: Change): Sample['result'] =>
  result && { ...result, text: change(result.text) };

const NOTHING: Change = () => '';

/** What becomes of typed texts: those that name nobody stay where names alone are forgotten. */
const changeFor = (how: Forgetting, enquirer: CaseRecord['enquirer']): Change =>
  how === 'all' ? NOTHING : redactor(enquirer);

const plantWith = (plant: CasePlant, how: Forgetting, change: Change): CasePlant => ({
  ...plant,
  name: '',
  words: change(plant.words),
  closingAnswer: how === 'all' ? null : answerWith(plant.closingAnswer, change),
  followUp: plant.followUp && { ...plant.followUp, note: change(plant.followUp.note) },
  samples: plant.samples.map((sample) => ({
    ...sample,
    result: resultWith(sample.result, change),
  })),
  plan: planWith(plant.plan, change),
});

/** The record without what is forgotten of it; its version stays. */
export function recordWithout(record: CaseRecord, how: Forgetting): CaseRecord {
  const change = changeFor(how, record.enquirer);
  return {
    ...record,
    enquirer: { name: '', contact: '' },
    conflicts: [],
    notes: [],
    release: record.release && { ...record.release, note: '' },
    plants: record.plants.map((plant) => plantWith(plant, how, change)),
  };
}

/** The event that says so: it brings the words that are left. */
export function forgottenEvent({ plants }: CaseRecord): CaseEvent & { kind: 'forgotten' } {
  return {
    kind: 'forgotten',
    words: Object.fromEntries(plants.map(({ id, words }) => [id, words])),
  };
}

/** An event of the log without what is forgotten; words go, as they were typed in pieces that name nobody by themselves. */
function eventWithout(event: LoggedEvent, how: Forgetting, change: Change): LoggedEvent {
  switch (event.kind) {
    case 'words-edited':
      return { ...event, edits: [] };
    case 'words-set':
      return { ...event, words: '' };
    case 'forgotten':
      return { ...event, words: {} };
    case 'enquirer-set':
      return { kind: event.kind };
    // Each letter that was typed is an event of its own, and part of a name is not known as one.
    case 'plant-named':
      return { ...event, name: '' };
    case 'note-added':
      return { ...event, note: { ...event.note, text: REMOVED } };
    case 'release-set':
      return { ...event, release: { ...event.release, note: '' } };
    case 'phrase-tied':
      return { ...event, said: change(event.said) || REMOVED };
    case 'closing-answer-stored':
      return { ...event, answer: how === 'all' ? null : answerWith(event.answer, change) };
    case 'label-read':
      return { ...event, label: { ...event.label, text: change(event.label.text) } };
    case 'own-step-added':
      return { ...event, step: { ...event.step, text: change(event.step.text) || REMOVED } };
    case 'follow-up-set':
      return {
        ...event,
        followUp: event.followUp && { ...event.followUp, note: change(event.followUp.note) },
      };
    case 'sample-asked': {
      const { sample } = event;
      return { ...event, sample: { ...sample, result: resultWith(sample.result, change) } };
    }
    case 'sample-changed': {
      const { result } = event.change;
      if (result === undefined) return event;
      return { ...event, change: { ...event.change, result: resultWith(result, change) } };
    }
    case 'sheet-given':
      return { ...event, sheet: { ...event.sheet, text: change(event.sheet.text) } };
    default:
      return event;
  }
}

/** A log without what is forgotten; replaying it, and the event that says so, gives the record without it. */
export function logWithout(
  log: readonly StoredEvent[],
  enquirer: CaseRecord['enquirer'],
  how: Forgetting,
): readonly StoredEvent[] {
  const change = changeFor(how, enquirer);
  return log.map((stored) => ({
    ...stored,
    event: eventWithout(stored.event, how, change),
    conflicts: [],
  }));
}
