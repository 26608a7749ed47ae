import type { SessionState } from '../../contracts/people.ts';
import type { Problem } from '../../contracts/problem.ts';
import type { Result } from '../../core/util/result.ts';
import { accounts } from '../api/accounts.ts';
import { whenSignedOut } from '../api/request.ts';
import { startPage } from './page.ts';
import type { Store } from './store.ts';
import { selectPerson, sessionEnded, sessionFailed, sessionRead } from './session/sessionSlice.ts';

/** Asks the server who is signed in, and notices from then on when the session ends. */
export async function startSession(store: Store): Promise<void> {
  whenSignedOut(() => store.dispatch(sessionEnded()));
  await readSession(store);
}

/** The sending and keeping of changes runs before the first screen asks for it. */
function take(store: Store, session: SessionState): void {
  if (session.person) startPage(session.person);
  store.dispatch(sessionRead(session));
}

/** Asks the server who is signed in. */
export async function readSession(store: Store): Promise<void> {
  const read = await accounts.session();
  if (read.ok) take(store, read.value);
  else store.dispatch(sessionFailed(read.error));
}

/**
 * Goes on with who signed in. The page belongs to one person: when it was another one's, everything is loaded anew, and
 * what the other one typed waits on this device.
 */
export function goOnAs(store: Store, signedIn: SessionState): void {
  const before = selectPerson(store.getState());
  if (before !== null && before.id !== signedIn.person?.id) location.assign('/');
  else take(store, signedIn);
}

/** Signs out and reloads the page. Returns the problem when the server did not answer. */
export async function signOut(everywhere: boolean): Promise<Result<SessionState, Problem>> {
  const ended = await accounts.signOut(everywhere);
  if (ended.ok) location.assign('/');
  return ended;
}
