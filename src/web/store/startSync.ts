import type { Dispatch, makeStore, State } from './store.ts';
import { caseLoaded, changed } from './cases/casesSlice.ts';
import type { LiveChanges } from '../api/liveChanges.ts';
import { CaseSync } from './cases/caseSync.ts';
import { drainAbandoned, keepChains, type ChainServices } from './cases/chains.ts';

/** The open case is asked about so often while its page is visible and no stream is connected, in milliseconds. */
const REFRESH_MS = 2000;
/** And this often with a stream, in case an event is missed. */
const REFRESH_CONNECTED_MS = 20_000;
/** Pause before a change is fetched: the response to this page's own sending may bring it, in milliseconds. */
const CATCH_UP_MS = 200;
/** What pages that are gone have left is looked for so often, in milliseconds. */
const ABANDONED_MS = 5000;
/** Chains are written anew so often, so that other pages see that this one is alive, in milliseconds. */
const ALIVE_MS = 25_000;

/** The sending of a page, and what shows other pages that it is alive. */
export interface RunningSync {
  readonly sync: CaseSync;
  readonly touch: () => void;
}

/** Sends every change of every case, and keeps what is not acknowledged. */
export function startSync(
  { store, listen }: ReturnType<typeof makeStore>,
  services: ChainServices,
): RunningSync {
  const sync = new CaseSync(store, services.api);
  const touch = keepChains(store, services);
  const on = listen.withTypes<State, Dispatch>();
  on({ actionCreator: changed, effect: ({ payload }) => sync.schedule(payload.caseId) });
  on({ actionCreator: caseLoaded, effect: ({ payload }) => sync.schedule(payload.record.id) });
  return { sync, touch };
}

/** Refreshes the open case, and sends what waits when the connection or the page comes back; returns what does it at once. */
export function startRefreshing(
  { store }: ReturnType<typeof makeStore>,
  { sync, touch }: RunningSync,
  services: ChainServices,
  live: LiveChanges,
): () => void {
  let asking = false;
  let askedAt = -Infinity;
  const refresh = async (): Promise<void> => {
    const { open } = store.getState().cases;
    if (open === null || asking || document.visibilityState === 'hidden') return;
    asking = true;
    askedAt = Date.now();
    await sync.refresh(open);
    asking = false;
  };
  const catchUp = (id: string, version: number): void => {
    const { open, byId } = store.getState().cases;
    const entity = byId[id];
    if (id !== open || !entity || entity.confirmed.version >= version) return;
    if (asking || entity.sync.kind === 'sending')
      setTimeout(() => catchUp(id, version), CATCH_UP_MS);
    else void refresh();
  };
  live.subscribe((change) => {
    if (change) setTimeout(() => catchUp(change.id, change.version), CATCH_UP_MS);
    else void refresh();
  });
  const comeBack = (): void => {
    sync.flush();
    void refresh();
    void drainAbandoned(services);
  };
  setInterval(() => {
    if (!live.isConnected || Date.now() - askedAt > REFRESH_CONNECTED_MS) void refresh();
  }, REFRESH_MS);
  setInterval(() => void drainAbandoned(services), ABANDONED_MS);
  setInterval(touch, ALIVE_MS);
  addEventListener('online', comeBack);
  document.addEventListener('visibilitychange', comeBack);
  comeBack();
  return comeBack;
}
