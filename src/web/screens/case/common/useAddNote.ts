import { newId } from '../../../../contracts/ids.ts';
import { selectPerson } from '../../../store/session/sessionSlice.ts';
import { useAppSelector } from '../../../store/store.ts';
import { useRecordEvent } from './useCase.ts';

/** Leaves a note for colleagues, signed and dated; false for one without words. */
export function useAddNote(): (text: string) => boolean {
  const happen = useRecordEvent();
  const me = useAppSelector(selectPerson);
  const on = useAppSelector((state) => state.desk.clinic?.today ?? '');
  return (text) => {
    const said = text.trim();
    if (said === '' || !me || on === '') return false;
    happen({ kind: 'note-added', note: { id: newId(), on, by: me.name, text: said } });
    return true;
  };
}
