import { configureStore, createListenerMiddleware } from '@reduxjs/toolkit';
import { useDispatch, useSelector } from 'react-redux';
import { caseReducer } from './caseSlice.ts';
import { deskReducer } from './deskSlice.ts';

const listener = createListenerMiddleware();

export const store = configureStore({
  reducer: { case: caseReducer, desk: deskReducer },
  middleware: (defaults) => defaults().prepend(listener.middleware),
});

export type State = ReturnType<typeof store.getState>;
export type Dispatch = typeof store.dispatch;
export const startListening = listener.startListening.withTypes<State, Dispatch>();
export const useAppDispatch = useDispatch.withTypes<Dispatch>();
export const useAppSelector = useSelector.withTypes<State>();
