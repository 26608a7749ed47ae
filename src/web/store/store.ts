import { configureStore, createListenerMiddleware } from '@reduxjs/toolkit';
import { useDispatch, useSelector } from 'react-redux';
import { casesReducer } from './cases/casesSlice.ts';
import { deskReducer } from './deskSlice.ts';
import { sessionReducer } from './session/sessionSlice.ts';

/** A store of its own, with a way to listen to its actions. */
export function makeStore() {
  const listener = createListenerMiddleware();
  const store = configureStore({
    reducer: { cases: casesReducer, desk: deskReducer, session: sessionReducer },
    // Cases and answers are large; walking through them at every action is not worth its time.
    middleware: (defaults) =>
      defaults({ immutableCheck: false, serializableCheck: false }).prepend(listener.middleware),
  });
  return { store, listen: listener.startListening };
}

/** The store of this page, with its listeners. */
export const page = makeStore();
export const { store } = page;

export type Store = typeof store;
export type State = ReturnType<Store['getState']>;
export type Dispatch = Store['dispatch'];
export const useAppDispatch = useDispatch.withTypes<Dispatch>();
export const useAppSelector = useSelector.withTypes<State>();
