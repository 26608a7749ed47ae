import { useEffect, useState } from 'react';
import type { PlanSchedule } from '../../../../core/advice/planSchedule.ts';
import type { AnswerOfPlant } from '../../../../application/sheet.ts';
import type { CaseRecord } from '../../../../contracts/cases.ts';
import { requestFor, selectNow } from '../../../store/cases/selectors.ts';
import { store, useAppSelector } from '../../../store/store.ts';
import { consultant } from '../../../workers/consultClient.ts';

export type SheetAnswers =
  | { readonly kind: 'working' }
  | { readonly kind: 'failed'; readonly message: string }
  | { readonly kind: 'ready'; readonly answers: readonly AnswerOfPlant[] };

/** Days on which each step is still to be done. */
const datesOf = ({ steps }: PlanSchedule): AnswerOfPlant['dates'] =>
  Object.fromEntries(
    steps.map(({ step, list }) => [step, list.filter(({ done }) => !done).map(({ on }) => on)]),
  );

async function answersFor(record: CaseRecord): Promise<SheetAnswers> {
  const answers: AnswerOfPlant[] = [];
  for (const { id, words, closingAnswer, plan } of record.plants) {
    if (words.trim() === '') continue;
    if (record.status === 'closed' && closingAnswer) {
      answers.push({ answer: closingAnswer, plan, dates: {} });
      continue;
    }
    const request = requestFor(store.getState(), record.id, id);
    if (!request) continue;
    const answer = await consultant.ask(request.body);
    if (!answer.ok)
      return { kind: 'failed', message: `${answer.error.message} ${answer.error.cure}` };
    const now = selectNow(store.getState(), record.id);
    const schedule = await consultant.schedule({ body: request.body, plan, ...now });
    answers.push({ answer: answer.value, plan, dates: schedule.ok ? datesOf(schedule.value) : {} });
  }
  return { kind: 'ready', answers };
}

/** What stands for each plant of the case, asked anew when something it hangs on changes. */
export function useSheetAnswers(record: CaseRecord): SheetAnswers {
  const [state, setState] = useState<SheetAnswers>({ kind: 'working' });
  // By value: a save makes new objects that say the same.
  const asked = useAppSelector((now) =>
    record.plants
      .map(
        ({ id, plan }) =>
          `${requestFor(now, record.id, id)?.key ?? ''} ${JSON.stringify([plan.labels, plan.own, plan.leftOut, plan.order])}`,
      )
      .join(' '),
  );
  useEffect(() => {
    let isNewest = true;
    void answersFor(record).then((made) => {
      if (isNewest) setState(made);
    });
    return () => {
      isNewest = false;
    };
  }, [asked, record.status]);
  return state;
}
