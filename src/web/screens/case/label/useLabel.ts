import { useEffect, useState } from 'react';
import type { LabelAnswer } from '../../../../application/answerLabel.ts';
import { selectRequest } from '../../../store/cases/selectors.ts';
import { useAppSelector } from '../../../store/store.ts';
import { consultant } from '../../../workers/consultClient.ts';
import { useCaseId } from '../common/useCase.ts';

/** What a label comes to; `answer` null while nothing was read. */
export interface LabelState {
  readonly working: boolean;
  readonly problem: string | null;
  readonly answer: LabelAnswer | null;
}

const NOTHING: LabelState = { working: false, problem: null, answer: null };
/** Typing rests so long before a label is looked at, in milliseconds. */
const REST_MS = 250;

/** Judges a label against the open plant, anew when its words or the case change; the answer before stays meanwhile. */
export function useLabel(text: string): LabelState {
  const caseId = useCaseId();
  const request = useAppSelector((state) => selectRequest(state, caseId));
  const [state, setState] = useState<LabelState>(NOTHING);
  const key = request?.key ?? null;
  useEffect(() => {
    if (!request || text.trim() === '') {
      setState(NOTHING);
      return undefined;
    }
    let isNewest = true;
    const judge = async (): Promise<void> => {
      setState((before) => ({ ...before, working: true }));
      const made = await consultant.label({ body: request.body, text });
      if (!isNewest) return;
      setState(
        made.ok
          ? { working: false, problem: null, answer: made.value }
          : {
              working: false,
              problem: `${made.error.message} ${made.error.cure}`,
              answer: null,
            },
      );
    };
    const timer = setTimeout(() => void judge(), REST_MS);
    return () => {
      isNewest = false;
      clearTimeout(timer);
    };
  }, [key, text]);
  return state;
}
