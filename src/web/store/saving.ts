import { isAnyOf } from '@reduxjs/toolkit';
import { api, type ApiFailure } from './api.ts';
import {
  caseLoaded,
  eventHappened,
  rebased,
  sendingDone,
  sendingFailed,
  sendingStarted,
} from './caseSlice.ts';
import { storeOutbox } from './outbox.ts';
import { startListening, type Dispatch, type State } from './store.ts';

const PAUSE_BEFORE_SENDING_MS = 350;
const PAUSE_BEFORE_RETRY_MS = 3000;

/** What to do after a failed sending: again at once on the newer record, again later, or not at all. */
function afterFailure(failure: ApiFailure, dispatch: Dispatch): 'again' | 'later' | 'stop' {
  if (failure.record) {
    dispatch(rebased(failure.record));
    return 'again';
  }
  const refused = failure.problem.code !== 'unavailable';
  dispatch(sendingFailed({ problem: failure.problem, refused }));
  return refused ? 'stop' : 'later';
}

async function sendOnce(
  state: State,
  dispatch: Dispatch,
): Promise<'done' | 'again' | 'later' | 'stop'> {
  const { confirmed, outbox } = state.case;
  if (!confirmed || outbox.length === 0) return 'done';
  dispatch(sendingStarted());
  const answer = await api.append(confirmed.id, {
    baseVersion: confirmed.version,
    events: [...outbox],
  });
  if (!answer.ok) return afterFailure(answer.error, dispatch);
  dispatch(sendingDone(answer.value));
  return 'done';
}

let sending = false;

/** Keeps every change on this device at once, and sends it to the server as soon as there is a pause. */
export function startSaving(): void {
  startListening({
    matcher: isAnyOf(eventHappened, sendingDone, caseLoaded),
    effect: async (_action, listening) => {
      const { confirmed, outbox } = listening.getState().case;
      if (confirmed) storeOutbox(confirmed.id, outbox);
      listening.cancelActiveListeners();
      await listening.delay(PAUSE_BEFORE_SENDING_MS);
      while (listening.getState().case.outbox.length > 0) {
        if (sending) {
          await listening.delay(PAUSE_BEFORE_SENDING_MS);
          continue;
        }
        sending = true;
        const next = await sendOnce(listening.getState(), listening.dispatch).finally(
          () => (sending = false),
        );
        if (next === 'done' || next === 'stop') return;
        if (next === 'later') await listening.delay(PAUSE_BEFORE_RETRY_MS);
      }
    },
  });
}
