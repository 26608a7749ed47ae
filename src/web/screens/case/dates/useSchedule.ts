import { useEffect, useMemo, useRef, useState } from 'react';
import type { ScheduleQuery } from '../../../../application/answerSchedule.ts';
import type { CasePlant } from '../../../../contracts/cases.ts';
import type { PlanSchedule } from '../../../../core/advice/planSchedule.ts';
import { selectNow, selectRequest } from '../../../store/cases/selectors.ts';
import { useAppSelector } from '../../../store/store.ts';
import { useCaseId } from '../common/useCase.ts';
import { consultant } from '../../../workers/consultClient.ts';

export type ScheduleState =
  | { readonly kind: 'working' }
  | { readonly kind: 'failed'; readonly message: string }
  | { readonly kind: 'ready'; readonly schedule: PlanSchedule };

/**
 * The dates of the plan, worked out anew whenever something they hang on changes; the old ones stay till then. One query is
 * under way at a time, so that typing does not queue up behind it.
 */
export function useSchedule({ plan }: CasePlant): ScheduleState {
  const caseId = useCaseId();
  const request = useAppSelector((state) => selectRequest(state, caseId));
  const now = useAppSelector((state) => selectNow(state, caseId));
  // By value: a save makes new objects that say the same.
  const asked = request ? `${request.key} ${JSON.stringify(plan)}` : null;
  const query = useMemo(
    (): ScheduleQuery | null => (request ? { body: request.body, plan, ...now } : null),
    [asked, now],
  );
  const [state, setState] = useState<ScheduleState>({ kind: 'working' });
  const newest = useRef<ScheduleQuery | null>(null);
  const busy = useRef(false);
  useEffect(() => {
    newest.current = query;
    if (busy.current) return;
    busy.current = true;
    const work = async (): Promise<void> => {
      for (let asked = newest.current; asked !== null;) {
        const made = await consultant.schedule(asked);
        if (newest.current === asked) {
          setState(
            made.ok
              ? { kind: 'ready', schedule: made.value }
              : { kind: 'failed', message: `${made.error.message} ${made.error.cure}` },
          );
          break;
        }
        asked = newest.current;
      }
      busy.current = false;
    };
    void work();
  }, [query]);
  useEffect(
    () => () => {
      newest.current = null;
    },
    [],
  );
  return state;
}
