import { z } from 'zod';
import type { ConsultResponse } from '../contracts/consult.ts';
import type { AnswerBody } from './openConsultant.ts';

const accepted = z.object({ accept: z.array(z.string()).min(1) });
const wordGroups = z.array(z.array(z.string()).min(1)).default([]);

/**
 * One caller with what is true of the plant. `facts` answers single questions; `sees` lists all that is so, and then
 * all else is not so, apart from `cannotSay`.
 */
export const callerSchema = z.object({
  id: z.string(),
  truth: z.unknown().optional(),
  words: z.string(),
  date: z.string(),
  place: z.object({ lat: z.number(), lon: z.number() }),
  channel: z.enum(['phone', 'email', 'walk-in', 'text']).default('phone'),
  plant: accepted,
  cause: accepted,
  verdicts: z.array(z.string()).min(1),
  facts: z.record(z.string(), z.union([z.boolean(), z.string()])).default({}),
  sees: z.array(z.string()).optional(),
  cannotSay: z.array(z.string()).default([]),
  mustMention: wordGroups,
  amounts: wordGroups,
  mustNot: z.array(z.string()).default([]),
  months: z.array(z.number().int().min(1).max(12)).default([]),
});
export type Caller = z.infer<typeof callerSchema>;

type Ask = ConsultResponse['ask'][number];
type Value = boolean | string;

/** What a caller who has no soil test cannot say. */
const SOIL_TESTED = new Set(['acid-soil', 'alkaline-soil', 'soil-test-low']);

/** What the caller truthfully says to a question; `unknown` where the sheet has nothing on it. */
export function truthOf({ facts, sees, cannotSay }: Caller, ask: Ask): Value {
  const said = facts[ask.finding];
  if (said !== undefined) return said;
  if (sees === undefined || cannotSay.includes(ask.finding)) return 'unknown';
  if (ask.choices.length > 0)
    return ask.choices.find(({ finding }) => sees.includes(finding))?.finding ?? 'unknown';
  if (sees.includes(ask.finding)) return true;
  return SOIL_TESTED.has(ask.finding) ? 'unknown' : false;
}

/** How one call went. `asked` holds each question with what was said. Ranks count from 1; null is not in the list. */
export interface Call {
  readonly id: string;
  readonly first: number | null;
  readonly end: number | null;
  readonly leader: string;
  readonly settled: boolean;
  readonly asked: readonly { readonly question: string; readonly value: Value }[];
  readonly verdict: string;
  readonly verdictOk: boolean;
  /** Nothing, waiting or too late is right here. */
  readonly restraint: boolean;
  /** Shares of the groups that were mentioned, 0 to 1; null where none is listed. */
  readonly mentioned: number | null;
  readonly missed: readonly (readonly string[])[];
  readonly amounts: number | null;
  readonly dated: boolean | null;
  readonly harmful: readonly string[];
}

const plain = (text: string): string =>
  text
    .toLowerCase()
    .normalize('NFKD')
    .replace(/[’']/g, "'")
    .replace(/[-_]/g, ' ')
    .replace(/\s+/g, ' ')
    .trim();

function rankOf({ causes }: ConsultResponse, accept: readonly string[]): number | null {
  const wanted = accept.map(plain);
  const index = causes.findIndex(({ id, name, scientificName, aliases }) =>
    [id, name, scientificName ?? '', ...aliases]
      .map(plain)
      .some((one) => one !== '' && wanted.some((word) => one.includes(word))),
  );
  return index === -1 ? null : index + 1;
}

function adviceText({ advice }: ConsultResponse): string {
  const { headline, steps, cautions, answers, refer, notDoing } = advice;
  const parts = [
    headline,
    ...answers.map(({ text }) => text),
    ...steps.flatMap(({ text, when, amount, cautions: own }) => [
      text,
      amount?.text ?? '',
      when.note,
      ...own,
    ]),
    ...cautions,
    ...refer,
    ...notDoing.flatMap(({ text, why }) => [text, why]),
  ];
  return ` ${plain(parts.join(' \n '))} `;
}

const missedOf = (groups: readonly (readonly string[])[], text: string) =>
  groups.filter((group) => !group.some((word) => text.includes(plain(word))));

const shareOf = (groups: readonly unknown[], missed: readonly unknown[]): number | null =>
  groups.length === 0 ? null : 1 - missed.length / groups.length;

/** Rungs on which nothing is done to the plant. */
const NO_WORK = ['leave'];

/** Words that must not be advised; a word after "no" or "not" advises the opposite. */
function harmfulIn({ advice }: ConsultResponse, mustNot: readonly string[]): readonly string[] {
  const work = advice.steps.filter(({ rung }) => !NO_WORK.includes(rung));
  const text = plain(work.map((step) => step.text).join(' \n '));
  return mustNot.filter((word) => {
    const literal = plain(word).replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
    return new RegExp(`(?<!no |not |never |without |avoid |instead of )\\b${literal}`).test(text);
  });
}

const LONGEST_DATED_DAYS = 215;
const DAY_MS = 86_400_000;

/** A step has a span of dates, short enough to be one, that touches one of the months. */
function datedIn({ advice }: ConsultResponse, months: readonly number[]): boolean {
  return advice.steps.some(({ when }) => {
    const from = Date.parse(when.from);
    const to = Date.parse(when.to ?? when.from);
    if (to - from > LONGEST_DATED_DAYS * DAY_MS) return false;
    for (let at = from; at <= to; at += DAY_MS)
      if (months.includes(new Date(at).getUTCMonth() + 1)) return true;
    return false;
  });
}

const RESTRAINT = ['leave', 'wait', 'too-late'];

function marksOf(
  caller: Caller,
  first: number | null,
  answer: ConsultResponse,
  asked: Call['asked'],
): Call {
  const text = adviceText(answer);
  const missed = missedOf(caller.mustMention, text);
  const { verdict } = answer.advice;
  return {
    id: caller.id,
    first,
    end: rankOf(answer, caller.cause.accept),
    leader: answer.causes[0]?.name ?? '(none)',
    settled: answer.settled,
    asked,
    verdict,
    verdictOk: caller.verdicts.includes(verdict),
    restraint: caller.verdicts.every((one) => RESTRAINT.includes(one)),
    mentioned: shareOf(caller.mustMention, missed),
    missed,
    amounts: shareOf(caller.amounts, missedOf(caller.amounts, text)),
    dated: caller.months.length === 0 ? null : datedIn(answer, caller.months),
    harmful: harmfulIn(answer, caller.mustNot),
  };
}

/**
 * Plays one caller: the words, then the truth about each question until the call is settled or `rounds` are over. Of
 * the questions offered, the first on which the sheet has something is answered. Throws where the body is refused.
 */
export function playCall(caller: Caller, answerBody: AnswerBody, rounds: number): Call {
  const { words, date, place, channel } = caller;
  const answers: { finding: string; value: Value }[] = [];
  const asked: { question: string; value: Value }[] = [];
  let first: number | null | undefined;
  for (;;) {
    const result = answerBody({ words, date, place, channel, answers });
    if (!result.ok) throw new Error(`${caller.id}: ${result.error.message}`);
    const answer = result.value;
    first = first === undefined ? rankOf(answer, caller.cause.accept) : first;
    const ask = answer.ask.find((one) => truthOf(caller, one) !== 'unknown') ?? answer.ask[0];
    if (answer.settled || answers.length >= rounds || ask === undefined)
      return marksOf(caller, first, answer, asked);
    const value = truthOf(caller, ask);
    answers.push({ finding: ask.finding, value });
    asked.push({ question: ask.question, value });
  }
}

const mean = (values: readonly number[]): number | null =>
  values.length === 0 ? null : values.reduce((sum, value) => sum + value, 0) / values.length;

/** What came of all calls. Shares run from 0 to 1 and are null where no call asks for them. */
export function summaryOf(calls: readonly Call[]) {
  const share = (test: (call: Call) => boolean, of = calls): number | null =>
    mean(of.map((call) => (test(call) ? 1 : 0)));
  const among = (rank: number | null, most: number): boolean => rank !== null && rank <= most;
  const known = (values: readonly (number | null)[]) => mean(values.filter((one) => one !== null));
  return {
    callers: calls.length,
    firstTop1: share(({ first }) => first === 1),
    firstTop3: share(({ first }) => among(first, 3)),
    endTop1: share(({ end }) => end === 1),
    endTop3: share(({ end }) => among(end, 3)),
    lostByAsking: calls.filter(({ first, end }) => first === 1 && end !== 1).length,
    settled: share(({ settled }) => settled),
    settledWrong: calls.filter(({ settled, end }) => settled && end !== 1).length,
    verdict: share(({ verdictOk }) => verdictOk),
    restraint: share(
      ({ verdictOk }) => verdictOk,
      calls.filter(({ restraint }) => restraint),
    ),
    mentions: known(calls.map(({ mentioned }) => mentioned)),
    amounts: known(calls.map(({ amounts }) => amounts)),
    dated: known(calls.map(({ dated }) => (dated === null ? null : Number(dated)))),
    harmful: calls.filter(({ harmful }) => harmful.length > 0).length,
    questions: mean(calls.map(({ asked }) => asked.length)),
    unanswerable: calls.reduce(
      (sum, { asked }) => sum + asked.filter(({ value }) => value === 'unknown').length,
      0,
    ),
  };
}
