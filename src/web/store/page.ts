import { consultant } from '../workers/consultClient.ts';
import { api } from '../api/api.ts';
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
import { thisDesk } from './device.ts';
import { page } from './store.ts';

const services: ChainServices = { api, outbox: openIndexedOutbox(), writers: signOn() };

/** Who makes the changes of this page. */
export const desk = thisDesk();

/** Sends and keeps the changes of this page, and asks the consultant. */
export function startPage(): void {
  const sync = startSync(page, services);
  startRefreshing(page, sync, services);
  startConsulting(page, consultant, desk);
  // A storage that is closed or full of something else has nothing to hand over.
  takeEarlierOutbox(localStorage, services, desk).catch(() => undefined);
}

/** Loads a case with what this device keeps of it. */
export function loadCase(caseId: string): Promise<void> {
  return loadCaseWith(page.store, caseId, services);
}

/** Shows the ranking without one finding; null shows it as it is. */
export function showWithout(caseId: string, finding: string | null): Promise<void> {
  return showWithoutBy(page.store, consultant, caseId, finding);
}

/** Closes a case with the answers that stand. */
export function closeCase(caseId: string): Promise<void> {
  return closeCaseBy(page.store, consultant, desk, caseId);
}
