import { dayInWords } from '../wording/days.ts';
import { howItWentWords } from '../wording/howItWent.ts';
import { midSentence } from '../wording/midSentence.ts';
import type { ConsultResponse } from '../contracts/consult.ts';
import { parseDay } from '../core/timing/calendar.ts';
import { mailDraft } from './mailDraft.ts';

/** Who is asked how it went, and about what. */
export interface AskedAgain {
  readonly clinic: string;
  readonly enquirer: string;
  readonly caseNumber: number;
  /** Day of the enquiry and of the asking, as ISO dates. */
  readonly date: string;
  readonly today: string;
  /** What was answered; null where nothing was kept. */
  readonly answer: ConsultResponse | null;
}

/** A letter and a text message that ask how it went, and what the letter is about. */
export interface HowItWent {
  readonly subject: string;
  readonly letter: string;
  readonly message: string;
}

/** The letter as a draft of an e-mail. */
export const howItWentMail = ({ subject, letter }: HowItWent): string =>
  mailDraft(subject, letter, null);

function dayWords(iso: string, today: string): string {
  const [day, now] = [parseDay(iso), parseDay(today)];
  return day.ok && now.ok ? dayInWords(day.value, now.value) : iso;
}

/** Writes what asks an enquirer how it went. */
export function howItWent(about: AskedAgain): HowItWent {
  const { clinic, enquirer, caseNumber, date, today, answer } = about;
  const plant = answer?.plant ? midSentence(answer.plant.name) : null;
  const letter = [
    howItWentWords.greeting(enquirer.trim()),
    '',
    [
      howItWentWords.asked(dayWords(date, today), plant),
      ...(answer === null ? [] : [howItWentWords.advised(answer.advice.headline)]),
    ].join(' '),
    '',
    ...howItWentWords.questions.map((question) => `- ${question}`),
    '',
    howItWentWords.why,
    '',
    `${clinic}, case ${caseNumber}`,
  ].join('\n');
  return {
    subject: howItWentWords.subject(plant),
    letter,
    message: howItWentWords.message(clinic, plant),
  };
}
