import { useId, useState } from 'react';
import { styled } from 'styled-components';
import { MAX_NOTE, type Assignee } from '../../../contracts/cases.ts';
import { Button } from '../../kit/Button.tsx';
import { Field, FieldLabel, SelectBox } from '../../kit/fields.tsx';
import { useDraft } from '../../kit/useDraft.ts';
import { Key } from '../../kit/Key.tsx';
import { selectPerson } from '../../store/session/sessionSlice.ts';
import { useAppSelector } from '../../store/store.ts';
import { usePeople } from '../../store/usePeople.ts';
import { finishTexts } from '../../texts/finishTexts.ts';
import { handoverTexts } from '../../texts/handoverTexts.ts';
import { useAddNote } from './common/useAddNote.ts';
import { useCaseId, useRecordEvent } from './common/useCase.ts';

const Fields = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 180px) minmax(0, 1fr);
  align-items: end;
  gap: 8px;
  width: 100%;
  & > div + div {
    margin-top: 0;
  }
  & select {
    width: 100%;
  }
`;

/** To whom a case goes and what is said with it. */
interface HandingOver {
  readonly to: string;
  readonly setTo: (id: string) => void;
  readonly note: string;
  readonly setNote: (text: string) => void;
  readonly others: readonly Assignee[];
  readonly handOver: () => void;
}

/** Hands the case to a colleague, or to whoever is free, with a note; colleagues are asked for when it is open. */
export function useHandingOver(open: boolean, onDone: () => void): HandingOver {
  const happen = useRecordEvent();
  const addNote = useAddNote();
  const me = useAppSelector(selectPerson);
  const others = usePeople(open).filter(({ id }) => id !== me?.id);
  const [to, setTo] = useState('');
  const { text: note, take: setNote } = useDraft(`handover.${useCaseId()}`);
  const handOver = (): void => {
    const other = others.find(({ id }) => id === to);
    addNote(note);
    happen({ kind: 'assignee-set', assignee: other ? { id: other.id, name: other.name } : null });
    setNote('');
    onDone();
  };
  return { to, setTo, note, setNote, others, handOver };
}

/** The fields of handing a case over, and the button that does it. */
export function HandOver({ to, setTo, note, setNote, others, handOver }: HandingOver) {
  const id = useId();
  return (
    <li>
      <Fields>
        <div>
          <FieldLabel htmlFor={id}>{handoverTexts.handTo}</FieldLabel>
          <SelectBox id={id} value={to} onChange={({ target }) => setTo(target.value)}>
            <option value="">{handoverTexts.whoeverIsFree}</option>
            {others.map(({ id: personId, name }) => (
              <option key={personId} value={personId}>
                {name}
              </option>
            ))}
          </SelectBox>
        </div>
        <Field label={handoverTexts.note} value={note} max={MAX_NOTE} onChange={setNote} />
      </Fields>
      <Button onPress={handOver}>
        {handoverTexts.handOver} <Key>{finishTexts.handOverKey}</Key>
      </Button>
      <small>{handoverTexts.handOverHow}</small>
    </li>
  );
}
