import { datesTexts } from '../../../texts/datesTexts.ts';
import type { CasePlan, OwnStep } from '../../../../contracts/cases.ts';
import type { ConsultResponse } from '../../../../contracts/consult.ts';
import type { Result } from '../../../../core/util/result.ts';
import { parseDay, type Day } from '../../../../core/timing/calendar.ts';
import type { Schedule, StepSchedule } from '../../../../core/timing/schedule.ts';
import { calendarFile, type CalendarEntry } from '../../../season/seasonFiles.ts';

type Advice = ConsultResponse['advice'];

const MAX_TITLE = 70;

/** The first sentence of a step, cut where a calendar would cut it. */
export function titleOfStep(text: string): string {
  const [first = text] = text.split(/(?<=[.:;])\s/);
  return first.length <= MAX_TITLE ? first : `${first.slice(0, MAX_TITLE - 1).trimEnd()}…`;
}

/** A step that is done once and has a window is told with the whole window, the others day by day. */
function entriesOf(step: StepSchedule, text: string, key: string): readonly CalendarEntry[] {
  const title = titleOfStep(text);
  const [only] = step.list;
  const { state } = step;
  const span = state.kind === 'open' || state.kind === 'opens' ? state.span : null;
  if (step.list.length === 1 && only && !only.done && span)
    return [{ key: `${key}-1`, title, from: only.on, to: span.to, description: text }];
  return step.list.map(({ number, on }) => ({
    key: `${key}-${number}`,
    title: step.list.length > 1 ? datesTexts.titleOf(title, number, step.list.length) : title,
    from: on,
    to: on,
    description: text,
  }));
}

/** A step of the advisor's own, where it has a day. */
function ownEntry({ id, text, on }: OwnStep, caseKey: string): readonly CalendarEntry[] {
  const day = on === null ? null : parseDay(on);
  if (!day?.ok) return [];
  const { value } = day;
  return [
    {
      key: `${caseKey}-${id}`,
      title: titleOfStep(text),
      from: value,
      to: value,
      description: text,
    },
  ];
}

/** The dates of one plan with the day to look again, as an iCalendar file. */
export function planCalendar(
  caseKey: string,
  advice: Pick<Advice, 'steps' | 'lookAgain'>,
  schedule: Pick<Schedule, 'steps'>,
  own: CasePlan['own'],
): Result<string, string> {
  const textOf = new Map(
    advice.steps.map(({ id, text, amount }) => [id, amount ? `${text} (${amount.text})` : text]),
  );
  const steps = schedule.steps.flatMap((step) =>
    entriesOf(step, textOf.get(step.step) ?? step.step, `${caseKey}-${step.step}`),
  );
  const again = parseDay(advice.lookAgain);
  const look = (on: Day): CalendarEntry => ({
    key: `${caseKey}-look-again`,
    title: datesTexts.lookAtThePlantAgain,
    from: on,
    to: on,
    description: datesTexts.isItBetter,
  });
  const all = [...steps, ...own.flatMap((step) => ownEntry(step, caseKey))];
  return calendarFile(again.ok ? [...all, look(again.value)] : all);
}
