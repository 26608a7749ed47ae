import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { can, type Action } from '../../../contracts/access.ts';
import type { Person, SessionState } from '../../../contracts/people.ts';
import type { Problem } from '../../../contracts/problem.ts';

/** Who is at this page. */
export interface SessionSlice {
  /** Null until the server has said it. */
  readonly known: SessionState | null;
  /** Whoever was signed in when the session ended; null while it goes on. */
  readonly ended: Person | null;
  /** Why the server could not be asked. */
  readonly problem: Problem | null;
}

const initialState: SessionSlice = { known: null, ended: null, problem: null };

const slice = createSlice({
  name: 'session',
  initialState,
  reducers: {
    sessionRead: (_state, { payload }: PayloadAction<SessionState>): SessionSlice => ({
      known: payload,
      ended: null,
      problem: null,
    }),
    sessionFailed: (state, { payload }: PayloadAction<Problem>): SessionSlice => ({
      ...state,
      problem: payload,
    }),
    sessionEnded: (state): SessionSlice => ({
      ...state,
      ended: state.ended ?? state.known?.person ?? null,
    }),
  },
});

export const { sessionEnded, sessionFailed, sessionRead } = slice.actions;
export const sessionReducer = slice.reducer;

/** State that holds who is at this page. */
export interface WithSession {
  readonly session: SessionSlice;
}

/** Who is signed in; null when nobody is. */
export const selectPerson = ({ session }: WithSession): Person | null =>
  session.known?.person ?? null;

/** Whether whoever is signed in may do something of their own clinic. */
export function selectCan(state: WithSession, action: Action): boolean {
  const person = selectPerson(state);
  return person !== null && can(person, action, person);
}
