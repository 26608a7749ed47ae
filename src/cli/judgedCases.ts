import { z } from 'zod';
import type { ConsultResponse } from '../contracts/consult.ts';
import type { AnswerBody } from './openConsultant.ts';

const accepted = z.object({ accept: z.array(z.string()).min(1) });

/** One enquiry with its judged answer. Keywords are lower case; leading spaces matter. */
export const judgedCaseSchema = z.object({
  id: z.string(),
  channel: z.enum(['phone', 'email', 'walk-in', 'text']),
  words: z.string(),
  date: z.string(),
  lat: z.number(),
  lon: z.number(),
  plant: accepted,
  cause: accepted,
  secondary: accepted.optional(),
  alsoPlausible: z.array(z.string()).default([]),
  advice: z.object({
    mustMention: z.array(z.array(z.string())),
    mustNot: z.array(z.string()),
    timing: z.object({
      kind: z.enum(['now', 'window', 'wait', 'too-late', 'none']),
      months: z.array(z.number()),
    }),
  }),
});
export type JudgedCase = z.infer<typeof judgedCaseSchema>;

/** How one case came out; null where the case does not ask for it. */
export interface CaseMarks {
  readonly id: string;
  readonly skipped: boolean;
  readonly plant: string;
  readonly plantOk: boolean;
  readonly lead: string;
  readonly rank: number | null;
  readonly probability: number;
  readonly verdict: string;
  readonly timingOk: boolean;
  readonly mentionOk: boolean;
  readonly missed: readonly (readonly string[])[];
  readonly harmful: readonly string[];
  readonly secondOk: boolean | null;
}

type Named = { readonly id: string; readonly name: string; readonly scientificName: string | null };

function namesOf(entry: Named, aliases: readonly string[]): string {
  return [entry.id, entry.name, entry.scientificName ?? '', ...aliases].join(' | ').toLowerCase();
}

const matches = (names: string, accept: readonly string[]): boolean =>
  accept.some((one) => names.includes(one));

function rankOf(answer: ConsultResponse, accept: readonly string[]): number | null {
  const index = answer.causes.findIndex((cause) => matches(namesOf(cause, cause.aliases), accept));
  return index === -1 ? null : index + 1;
}

/** What is recommended: the headline, the steps and the cautions, without what is advised against. */
function recommended(answer: ConsultResponse): string {
  const { headline, steps, cautions } = answer.advice;
  return [
    headline,
    ...steps.flatMap((step) => [step.text, step.amount?.text ?? '', ...step.cautions]),
    ...cautions,
  ]
    .join(' \n ')
    .toLowerCase();
}

function wholeAdvice(answer: ConsultResponse): string {
  const avoided = answer.advice.notDoing.map(({ text, why }) => `${text} ${why}`);
  const leader = answer.causes[0];
  return [recommended(answer), ...avoided, leader?.expect ?? '', ...answer.advice.refer]
    .join(' \n ')
    .toLowerCase();
}

type Verdict = ConsultResponse['advice']['verdict'];
const FITTING: Readonly<Record<JudgedCase['advice']['timing']['kind'], readonly Verdict[]>> = {
  now: ['act-now', 'professional'],
  window: ['act-now', 'wait', 'too-late', 'professional'],
  wait: ['wait', 'act-now', 'leave'],
  'too-late': ['too-late', 'wait'],
  none: ['leave'],
};

/** Runs one case. A case whose plant is not in the library is skipped unless `everyPlant`. */
export function judgeCase(one: JudgedCase, answerBody: AnswerBody, everyPlant: boolean): CaseMarks {
  const place = { lat: one.lat, lon: one.lon };
  const result = answerBody({ words: one.words, date: one.date, place, channel: one.channel });
  if (!result.ok) throw new Error(`${one.id}: ${result.error.message}`);
  const answer = result.value;
  const plantNames = answer.plant ? namesOf(answer.plant, []) : '';
  const plantOk = matches(plantNames, one.plant.accept);
  const { verdict } = answer.advice;
  const recommends = recommended(answer);
  const whole = wholeAdvice(answer);
  const missed = one.advice.mustMention.filter(
    (group) => !group.some((word) => ` ${whole} `.includes(word)),
  );
  const second = one.secondary;
  return {
    id: one.id,
    skipped: !everyPlant && !plantOk && answer.plant === null,
    plant: answer.plant?.name ?? '(none)',
    plantOk,
    lead: answer.causes[0]?.name ?? '(none)',
    rank: rankOf(answer, one.cause.accept),
    probability: answer.causes[0]?.probability ?? 0,
    verdict,
    timingOk: FITTING[one.advice.timing.kind].includes(verdict),
    mentionOk: missed.length === 0,
    missed,
    harmful: one.advice.mustNot.filter((word) => recommends.includes(word)),
    secondOk: second === undefined ? null : (rankOf(answer, second.accept) ?? 99) <= 4,
  };
}
