import type { CasePlan } from '../contracts/cases.ts';
import type { ConsultResponse } from '../contracts/consult.ts';
import type { Sample } from '../contracts/samples.ts';
import type { SampleKind } from '../core/schema/sampleKind.ts';
import { CAUSE_KNOWN } from '../core/advice/safetyRules.ts';
import { civil, parseDay, type Day } from '../core/timing/calendar.ts';
import type { ClinicContact } from '../contracts/contacts.ts';
import { callInLines } from './contacts.ts';
import { mailDraft } from './mailDraft.ts';
import { sheetCalendar, type CalendarWeek } from './sheetCalendar.ts';
import { editedPlan, type PlanStep } from './editedPlan.ts';
import { labelLines } from '../wording/label.ts';
import { dayInWords } from '../wording/days.ts';
import { capital, midSentence } from '../wording/midSentence.ts';
import { sheetWords } from '../wording/sheet.ts';

/** One step on the sheet. */
export interface SheetStep {
  readonly id: string;
  readonly when: string;
  readonly text: string;
  readonly amount: string | null;
  /** What the label asks for that was read out; empty where none was. */
  readonly label: readonly string[];
  readonly mind: readonly string[];
}

/** A sample that the enquirer is to take. */
export interface SheetSample {
  readonly title: string;
  readonly lines: readonly string[];
}

/** What the sheet says of one plant. */
export interface SheetPart {
  readonly title: string;
  readonly plant: string | null;
  readonly say: string;
  readonly answers: readonly { readonly asked: string; readonly text: string }[];
  readonly steps: readonly SheetStep[];
  readonly doNot: readonly string[];
  readonly callIn: readonly string[];
  /** Samples that are still to be sent. */
  readonly samples: readonly SheetSample[];
  readonly expect: string | null;
  readonly cautions: readonly string[];
  readonly lookAgain: string;
  /** The next weeks with what is done on each day; empty where no dates were worked out. */
  readonly calendar: readonly CalendarWeek[];
}

/** The sheet that an enquirer takes along: one part for each plant of the call. */
export interface Sheet {
  readonly clinic: string;
  readonly region: string;
  readonly reach: string;
  readonly date: string;
  readonly caseNumber: number;
  readonly parts: readonly SheetPart[];
}

/** Where and when a sheet is given. */
export interface SheetOf {
  readonly clinic: string;
  readonly region: string;
  /** Where and when the clinic can be reached; empty where it does not say. */
  readonly reach: string;
  readonly contacts: readonly ClinicContact[];
  readonly today: Day;
  readonly caseNumber: number;
}

function dayWords(iso: string, today: Day): string {
  const day = parseDay(iso);
  return day.ok ? dayInWords(day.value, today) : iso;
}

function whenWords({ when }: ConsultResponse['advice']['steps'][number], today: Day): string {
  const from = dayWords(when.from, today);
  const begins = parseDay(when.from);
  const isNow = begins.ok && begins.value <= today;
  if (when.to === null) return isNow ? 'Now' : `From ${from}`;
  const to = dayWords(when.to, today);
  return isNow ? `Now, until ${to}` : `${from} to ${to}`;
}

/** Nothing is foretold of a cause that no product would be advised against. */
function expectOf({ advice, causes: [first] }: ConsultResponse): string | null {
  if (!first || first.probability < CAUSE_KNOWN || advice.verdict === 'find-out') return null;
  return first.expect;
}

function sheetStep(one: PlanStep, { labels }: CasePlan, today: Day): SheetStep {
  if (one.kind === 'own') {
    const { id, text, on } = one.step;
    const when = on === null ? sheetWords.anyDay : dayWords(on, today);
    return { id, when, text, amount: null, label: [], mind: [] };
  }
  const { id, text, amount, cautions } = one.step;
  return {
    id,
    when: whenWords(one.step, today),
    text,
    amount: amount?.text ?? null,
    label: labelLines(labels[id]?.text ?? ''),
    mind: cautions,
  };
}

function sheetSample({ number, kind, laboratory }: AskedSample): SheetSample {
  return {
    title: sheetWords.sample(number, kind.name),
    lines: [
      ...kind.take,
      ...kind.pack,
      kind.send,
      ...(laboratory.trim() === '' ? [] : [sheetWords.sampleTo(laboratory.trim())]),
      sheetWords.sampleLabel(number),
    ],
  };
}

const dayOrNull = (iso: string): Day | null => {
  const read = parseDay(iso);
  return read.ok ? read.value : null;
};

function daysOf(one: PlanStep, dates: AnswerOfPlant['dates']): readonly Day[] {
  if (one.kind === 'advised') return dates[one.id] ?? [];
  const day = one.step.on === null ? null : dayOrNull(one.step.on);
  return day === null ? [] : [day];
}

/** What the sheet says of one plant, from the answer that stands. */
export function sheetPart(
  { answer, plan, dates, samples }: AnswerOfPlant,
  { today, contacts }: Pick<SheetOf, 'today' | 'contacts'>,
): SheetPart {
  const { advice, plant } = answer;
  const name = plant === null ? null : midSentence(plant.name);
  const { steps } = editedPlan(advice.steps, plan);
  return {
    title: name === null ? sheetWords.titleOfNone : sheetWords.title(name),
    plant: name,
    say: advice.headline,
    answers: advice.answers.map(({ asked, text }) => ({ asked, text })),
    steps: steps.map((one) => sheetStep(one, plan, today)),
    doNot: advice.notDoing.map(({ text, why }) => `${text}: ${midSentence(why)}`),
    callIn: callInLines(advice, contacts),
    samples: samples.filter(({ sentOn }) => sentOn === null).map(sheetSample),
    expect: expectOf(answer),
    cautions: advice.cautions,
    lookAgain: sheetWords.lookAgain(dayWords(advice.lookAgain, today)),
    calendar: sheetCalendar(
      steps.map((one) => daysOf(one, dates)),
      dayOrNull(advice.lookAgain),
      today,
    ),
  };
}

/** A sample that was asked for: what stands on its label, and how it is taken. */
export interface AskedSample extends Pick<Sample, 'sentOn' | 'laboratory'> {
  readonly number: string;
  readonly kind: SampleKind;
}

/** What was answered for a plant, with what the advisor made of its plan. */
export interface AnswerOfPlant {
  readonly answer: ConsultResponse;
  readonly plan: CasePlan;
  readonly samples: readonly AskedSample[];
  /** Days on which each step is done, by the id of the step; empty where they were not worked out. */
  readonly dates: Readonly<Record<string, readonly Day[]>>;
}

/** The sheet of a call: what was answered for each of its plants. */
export function sheetOf(answers: readonly AnswerOfPlant[], about: SheetOf): Sheet {
  const { clinic, region, reach, today, caseNumber } = about;
  return {
    clinic,
    region,
    reach,
    date: `${dayInWords(today, today)} ${civil(today).year}`,
    caseNumber,
    parts: answers.map((one) => sheetPart(one, about)),
  };
}

const section = (title: string, lines: readonly string[]): readonly string[] =>
  lines.length === 0 ? [] : ['', title.toUpperCase(), ...lines];

function stepLines({ when, text, amount, label, mind }: SheetStep, i: number): readonly string[] {
  return [
    `${i + 1}. ${when}: ${text}`,
    ...(amount === null ? [] : [`   ${sheetWords.howMuch}: ${amount}`]),
    ...label.map((one) => `   ${sheetWords.byLabel}: ${one}`),
    ...mind.map((one) => `   ${sheetWords.mind}: ${one}`),
  ];
}

function partLines(part: SheetPart): readonly string[] {
  return [
    part.title,
    '',
    part.say,
    ...section(
      sheetWords.youAsked,
      part.answers.map(({ asked, text }) => `- ${asked}? ${text}`),
    ),
    ...section(sheetWords.steps, part.steps.flatMap(stepLines)),
    ...section(
      sheetWords.doNot,
      part.doNot.map((one) => `- ${one}`),
    ),
    ...section(
      sheetWords.callIn,
      part.callIn.map((one) => `- ${one}`),
    ),
    ...part.samples.flatMap(({ title, lines }) =>
      section(
        title,
        lines.map((one) => `- ${one}`),
      ),
    ),
    ...section(sheetWords.expect, part.expect === null ? [] : [part.expect]),
    ...section(
      sheetWords.keepInMind,
      part.cautions.map((one) => `- ${one}`),
    ),
    '',
    part.lookAgain,
  ];
}

/** The sheet as plain text, as it is copied, sent and kept. */
export function sheetText(sheet: Sheet): string {
  const { clinic, region, reach, date, caseNumber, parts } = sheet;
  return [
    `${sheetWords.from(clinic)}, ${region}`,
    `${date} · ${sheetWords.caseNumber(caseNumber)}`,
    ...parts.flatMap((part) => ['', '', ...partLines(part)]),
    ...(reach === '' ? [] : ['', sheetWords.reach(reach)]),
    '',
    sheetWords.disclaimer,
  ].join('\n');
}

/** Characters of a text message that count as one each; all others make the whole message a short one. */
const GSM = /^[@£$¥èéùìòÇ\nØø\rÅåΔ_ΦΓΛΩΠΨΣΘΞÆæßÉ !"#¤%&'()*+,\-./0-9:;<=>?¡A-ZÄÖÑÜ§¿a-zäöñüà]*$/;
const SEGMENT = { gsm: { alone: 160, joined: 153 }, unicode: { alone: 70, joined: 67 } } as const;

/** How many text messages a text takes: 160 characters in one and 153 in each of several, 70 and 67 with other signs (GSM 03.38, recalled). */
export function segmentsOf(text: string): number {
  const { alone, joined } = GSM.test(text) ? SEGMENT.gsm : SEGMENT.unicode;
  return text.length <= alone ? 1 : Math.ceil(text.length / joined);
}

/** Steps that a text message has room for. */
const MESSAGE_STEPS = 2;

const firstSentence = (text: string): string => text.split(/(?<=[.!?])\s/)[0] ?? text;
/** Without the US unit in brackets, to be short. */
const short = (text: string): string => text.replaceAll(/\s\([^()]*\)/g, '');

/** The sheet in a text message: the first steps with how much, and when to look again. */
export function sheetMessage({ parts, clinic }: Sheet): string {
  const messages = parts.map(({ plant, steps, lookAgain }) => {
    const said = steps.slice(0, MESSAGE_STEPS).map(({ when, text, amount }) => {
      const much = amount === null ? '' : ` (${short(amount)})`;
      return `${when}: ${short(firstSentence(text)).replace(/\.$/, '')}${much}.`;
    });
    const name = plant === null ? '' : `${capital(plant)}: `;
    return `${name}${said.join(' ')} ${firstSentence(lookAgain)}`;
  });
  return `${messages.join(' ')} ${clinic}`.replaceAll('’', "'").replaceAll('·', '-');
}

/** A draft of an e-mail with the sheet and, where there is one, its calendar. */
export function sheetMail(sheet: Sheet, calendar: string | null): string {
  const [part] = sheet.parts;
  const plant = part?.plant ?? null;
  const subject = plant === null ? sheetWords.subjectOfNone : sheetWords.subject(plant);
  return mailDraft(subject, sheetText(sheet), calendar);
}
