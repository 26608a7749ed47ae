import type { Action } from '../../contracts/access.ts';
import { useAppSelector } from './store.ts';
import { selectCan } from './session/sessionSlice.ts';

/** Whether whoever is signed in may do something of their own clinic. */
export function useCan(action: Action): boolean {
  return useAppSelector((state) => selectCan(state, action));
}
