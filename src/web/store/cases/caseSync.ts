import type { StoredEvent } from '../../../contracts/caseEvents.ts';
import type { Problem } from '../../../contracts/problem.ts';
import { isPassing, type Api } from '../../api/api.ts';
import { startSending, withStored, type CaseEntity } from './caseEntity.ts';
import {
  caseFailed,
  caseLoaded,
  changeSetAside,
  sendingEnded,
  sendingStarted,
  storedReceived,
  type CasesState,
} from './casesSlice.ts';

/** What the sending works on: a store that holds the cases. */
export interface CasesStore {
  readonly getState: () => { readonly cases: CasesState };
  readonly dispatch: (action: unknown) => unknown;
}

/** Changes wait so long for further ones, in milliseconds. */
const PAUSE_BEFORE_SENDING_MS = 350;
/** Pauses after failed tries, in milliseconds; the last one is repeated. */
const PAUSES_AFTER_FAILURE_MS = [700, 1500, 3000, 6000] as const;

/** What came of a try: something was sent, the server did not answer, or nothing is left to send. */
export type Outcome = 'sent' | 'later' | 'nothing';

/**
 * Sends the changes of every case in their order until the server has acknowledged them, and takes in what others did.
 * One sending of a case is under way at a time; each case has its own.
 */
export class CaseSync {
  readonly #store: CasesStore;
  readonly #api: Api;
  readonly #timers = new Map<string, ReturnType<typeof setTimeout>>();
  readonly #failures = new Map<string, number>();
  readonly #busy = new Set<string>();
  #stopped = false;

  constructor(store: CasesStore, api: Api) {
    this.#store = store;
    this.#api = api;
  }

  /** Something of a case changed: it is sent after a short pause. */
  schedule(caseId: string, pauseMs: number = PAUSE_BEFORE_SENDING_MS): void {
    if (this.#stopped || this.#timers.has(caseId)) return;
    this.#timers.set(
      caseId,
      setTimeout(() => {
        this.#timers.delete(caseId);
        void this.#drain(caseId);
      }, pauseMs),
    );
  }

  /** Sends everything that waits now, as when the connection has come back. */
  flush(): void {
    for (const [caseId, { pending }] of Object.entries(this.#store.getState().cases.byId)) {
      if (pending.length === 0) continue;
      clearTimeout(this.#timers.get(caseId));
      this.#timers.delete(caseId);
      this.schedule(caseId, 0);
    }
  }

  /** Takes in what others did to a case since its last known version. Returns whether the server answered. */
  async refresh(caseId: string): Promise<boolean> {
    const entity = this.#entity(caseId);
    if (!entity) return true;
    const changes = await this.#api.changes(caseId, entity.confirmed.version);
    if (!changes.ok) {
      if (!isPassing(changes.error))
        this.#store.dispatch(caseFailed({ caseId, problem: changes.error }));
      return !isPassing(changes.error);
    }
    this.#store.dispatch(storedReceived({ caseId, events: changes.value.events }));
    await this.#readAnew(caseId, changes.value.events);
    return changes.value.more ? this.refresh(caseId) : true;
  }

  /** Sends the changes of a case until nothing is left or the server does not answer. */
  async sendAll(caseId: string): Promise<Outcome> {
    for (;;) {
      const outcome = this.#stopped ? 'nothing' : await this.#sendOnce(caseId);
      if (outcome !== 'sent') return outcome;
    }
  }

  /** Ends all sending of this page. */
  stop(): void {
    this.#stopped = true;
    for (const timer of this.#timers.values()) clearTimeout(timer);
    this.#timers.clear();
  }

  #entity(caseId: string): CaseEntity | undefined {
    return this.#store.getState().cases.byId[caseId];
  }

  async #drain(caseId: string): Promise<void> {
    if (this.#busy.has(caseId) || this.#stopped) return;
    this.#busy.add(caseId);
    const outcome = await this.sendAll(caseId);
    this.#busy.delete(caseId);
    if (outcome === 'later') {
      const failures = this.#failures.get(caseId) ?? 0;
      this.#failures.set(caseId, failures + 1);
      this.schedule(
        caseId,
        PAUSES_AFTER_FAILURE_MS[Math.min(failures, PAUSES_AFTER_FAILURE_MS.length - 1)],
      );
    } else this.#failures.delete(caseId);
  }

  async #sendOnce(caseId: string): Promise<Outcome> {
    const entity = this.#entity(caseId);
    const start = entity && startSending(entity);
    if (!start) return 'nothing';
    const { sending } = start;
    this.#store.dispatch(sendingStarted({ caseId }));
    const answer = await this.#api.append(caseId, sending);
    if (!answer.ok) return this.#failed(caseId, sending.events[0]?.id ?? '', answer.error);
    const { events, refused } = answer.value;
    await this.#receive(caseId, events);
    const id = refused ? sending.events[refused.index]?.id : undefined;
    if (refused && id !== undefined)
      this.#store.dispatch(changeSetAside({ caseId, id, problem: refused.problem }));
    this.#store.dispatch(sendingEnded({ caseId, problem: null }));
    return 'sent';
  }

  /** Takes events in; where some are missing before them, asks for those first. */
  async #receive(caseId: string, events: readonly StoredEvent[]): Promise<void> {
    const entity = this.#entity(caseId);
    if (entity && withStored(entity, events) === null) await this.refresh(caseId);
    this.#store.dispatch(storedReceived({ caseId, events }));
    await this.#readAnew(caseId, events);
  }

  /** What was taken out of a case is in no event: the page reads the case anew, so that it shows none of it. */
  async #readAnew(caseId: string, events: readonly StoredEvent[]): Promise<void> {
    if (!events.some(({ event }) => event.kind === 'forgotten')) return;
    const record = await this.#api.readCase(caseId);
    const entity = this.#entity(caseId);
    if (!record.ok || !entity) return;
    const { pending, refused } = entity;
    this.#store.dispatch(caseLoaded({ record: record.value, pending, refused }));
  }

  async #failed(caseId: string, firstId: string, problem: Problem): Promise<Outcome> {
    if (isPassing(problem)) {
      this.#store.dispatch(sendingEnded({ caseId, problem }));
      return 'later';
    }
    if (problem.code === 'conflict' && problem.field === 'baseVersion')
      return this.#startOver(caseId, problem);
    // The sending as a whole cannot be taken, as when there is no such case: the first change makes way.
    this.#store.dispatch(changeSetAside({ caseId, id: firstId, problem }));
    this.#store.dispatch(sendingEnded({ caseId, problem: null }));
    return 'sent';
  }

  /**
   * The server cannot go on from the version of this page. Where this page is behind, it takes in what happened since;
   * where it is ahead, as after a restored backup, its changes go on top of the record that is there.
   */
  async #startOver(caseId: string, problem: Problem): Promise<Outcome> {
    const version = this.#entity(caseId)?.confirmed.version;
    await this.refresh(caseId);
    if (this.#entity(caseId)?.confirmed.version !== version) {
      this.#store.dispatch(sendingEnded({ caseId, problem: null }));
      return 'sent';
    }
    const record = await this.#api.readCase(caseId);
    const entity = this.#entity(caseId);
    this.#store.dispatch(sendingEnded({ caseId, problem: record.ok ? null : problem }));
    if (!record.ok || !entity) return 'later';
    const { pending, refused } = entity;
    this.#store.dispatch(caseLoaded({ record: record.value, pending, refused }));
    return 'sent';
  }
}
