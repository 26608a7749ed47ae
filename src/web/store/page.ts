import type { Person } from '../../contracts/people.ts';
import type { Author } from './cases/changes.ts';
import { consultant } from '../workers/consultClient.ts';
import { actAs } from '../api/request.ts';
import { api } from '../api/api.ts';
import { LiveChanges } from '../api/liveChanges.ts';
import { takeEarlierOutbox } from './cases/earlierOutbox.ts';
import { openIndexedOutbox } from './cases/outbox.ts';
import { loadCase as loadCaseWith, type ChainServices } from './cases/chains.ts';
import { startRefreshing, startSync } from './startSync.ts';
import { signOn } from './cases/writers.ts';
import {
  closeCase as closeCaseBy,
  showWithout as showWithoutBy,
  startConsulting,
} from './consulting.ts';
import { selectCan, selectPerson } from './session/sessionSlice.ts';
import { authorHere } from './device.ts';
import { page } from './store.ts';

/** What a page works with for the person it belongs to. */
interface Running {
  readonly services: ChainServices;
  readonly live: LiveChanges;
  readonly resume: () => void;
}

let running: Running | null = null;

function started(): Running {
  if (!running) throw new Error('nobody is signed in');
  return running;
}

/** Sends and keeps the changes of this page for a person, and asks the consultant. Later calls change nothing. */
export function startPage({ id, name }: Person): void {
  if (running) return;
  actAs(id);
  const services = { api, outbox: openIndexedOutbox(id), writers: signOn() };
  const author = authorHere(name);
  const sync = startSync(page, services);
  const live = new LiveChanges(id);
  const resume = startRefreshing(page, sync, services, live);
  startConsulting(page, consultant, author, () => selectCan(page.store.getState(), 'cases.write'));
  // A storage that is closed or full of something else has nothing to hand over.
  takeEarlierOutbox(localStorage, services, author).catch(() => undefined);
  running = { services, live, resume };
}

/** Who makes the changes of this page. */
export const author = (): Author => authorHere(selectPerson(page.store.getState())?.name ?? '');

/** What others do to the cases of the clinic. */
export const liveChanges = (): LiveChanges => started().live;

/** Sends what waits, as after signing in again. */
export const resumePage = (): void => started().resume();

/** Loads a case with what this device keeps of it. */
export function loadCase(caseId: string): Promise<void> {
  return loadCaseWith(page.store, caseId, started().services);
}

/** Shows the ranking without one finding; null shows it as it is. */
export function showWithout(caseId: string, finding: string | null): Promise<void> {
  return showWithoutBy(page.store, consultant, caseId, finding);
}

/** Closes a case with the answers that stand. */
export function closeCase(caseId: string): Promise<void> {
  return closeCaseBy(page.store, consultant, author(), caseId);
}
