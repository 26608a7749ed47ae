import { useEffect, useState } from 'react';
import type { CaseRecord } from '../../../../contracts/cases.ts';
import type { ConsultResponse } from '../../../../contracts/consult.ts';
import { requestFor } from '../../../store/cases/selectors.ts';
import { store, useAppSelector } from '../../../store/store.ts';
import { consultant } from '../../../workers/consultClient.ts';

export type SheetAnswers =
  | { readonly kind: 'working' }
  | { readonly kind: 'failed'; readonly message: string }
  | { readonly kind: 'ready'; readonly answers: readonly ConsultResponse[] };

async function answersFor(record: CaseRecord): Promise<SheetAnswers> {
  const answers: ConsultResponse[] = [];
  for (const { id, words, closingAnswer } of record.plants) {
    if (words.trim() === '') continue;
    if (record.status === 'closed' && closingAnswer) {
      answers.push(closingAnswer);
      continue;
    }
    const request = requestFor(store.getState(), record.id, id);
    if (!request) continue;
    const answer = await consultant.ask(request.body);
    if (!answer.ok)
      return { kind: 'failed', message: `${answer.error.message} ${answer.error.cure}` };
    answers.push(answer.value);
  }
  return { kind: 'ready', answers };
}

/** What stands for each plant of the case, asked anew when something it hangs on changes. */
export function useSheetAnswers(record: CaseRecord): SheetAnswers {
  const [state, setState] = useState<SheetAnswers>({ kind: 'working' });
  // By value: a save makes new objects that say the same.
  const asked = useAppSelector((now) =>
    record.plants.map(({ id }) => requestFor(now, record.id, id)?.key ?? '').join(' '),
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
