import { useEffect, useState } from 'react';
import type { PlanSchedule } from '../../../../core/advice/planSchedule.ts';
import type { AnswerOfPlant, AskedSample } from '../../../../application/sheet.ts';
import type { CaseRecord } from '../../../../contracts/cases.ts';
import { sampleNumber } from '../../../../contracts/samples.ts';
import type { SampleKind } from '../../../../core/schema/sampleKind.ts';
import { fetchLibrary } from '../../../api/fetchLibrary.ts';
import { requestFor, selectNow } from '../../../store/cases/selectors.ts';
import { store, useAppSelector } from '../../../store/store.ts';
import { connectionTexts } from '../../../texts/connectionTexts.ts';
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

/** The samples that were asked for, with how each is taken; the library is read only where there are some. */
async function samplesOf({
  number,
  plants,
}: CaseRecord): Promise<ReadonlyMap<string, AskedSample[]>> {
  if (plants.every(({ samples }) => samples.length === 0)) return new Map();
  const { sampleKinds } = await fetchLibrary();
  const kinds = new Map<string, SampleKind>(sampleKinds.map((kind) => [kind.id, kind]));
  return new Map(
    plants.map(({ id, samples }) => [
      id,
      samples.flatMap((sample) => {
        const kind = kinds.get(sample.kind);
        return kind ? [{ ...sample, number: sampleNumber(number, sample), kind }] : [];
      }),
    ]),
  );
}

async function answersFor(record: CaseRecord): Promise<SheetAnswers> {
  const answers: AnswerOfPlant[] = [];
  const asked = await samplesOf(record).catch(() => null);
  if (asked === null) return { kind: 'failed', message: connectionTexts.libraryNotLoaded };
  for (const { id, words, closingAnswer, plan } of record.plants) {
    if (words.trim() === '') continue;
    const samples = asked.get(id) ?? [];
    if (record.status === 'closed' && closingAnswer) {
      answers.push({ answer: closingAnswer, plan, samples, dates: {} });
      continue;
    }
    const request = requestFor(store.getState(), record.id, id);
    if (!request) continue;
    const answer = await consultant.ask(request.body);
    if (!answer.ok)
      return { kind: 'failed', message: `${answer.error.message} ${answer.error.cure}` };
    const now = selectNow(store.getState(), record.id);
    const schedule = await consultant.schedule({ body: request.body, plan, ...now });
    const dates = schedule.ok ? datesOf(schedule.value) : {};
    answers.push({ answer: answer.value, plan, samples, dates });
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
        ({ id, plan, samples }) =>
          `${requestFor(now, record.id, id)?.key ?? ''} ${JSON.stringify([samples, plan.labels, plan.own, plan.leftOut, plan.order])}`,
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
