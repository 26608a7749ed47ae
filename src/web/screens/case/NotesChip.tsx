import { styled } from 'styled-components';
import { MAX_NOTE, type CaseRecord, type Note } from '../../../contracts/cases.ts';
import { Button } from '../../kit/Button.tsx';
import { Chip } from '../../kit/Chip.tsx';
import { shortDate } from '../../kit/dates.ts';
import { Field } from '../../kit/fields.tsx';
import { useDraft } from '../../kit/useDraft.ts';
import { useAppSelector } from '../../store/store.ts';
import { useCan } from '../../store/useCan.ts';
import { handoverTexts } from '../../texts/handoverTexts.ts';
import { useRecordEvent } from './common/useCase.ts';
import { useAddNote } from './common/useAddNote.ts';

const Area = styled.div`
  display: grid;
  gap: 10px;
  width: 340px;
  max-width: 80vw;
  & ul {
    display: grid;
    gap: 8px;
    max-height: 40vh;
    overflow: auto;
  }
  & p {
    overflow-wrap: anywhere;
  }
`;
const Quiet = styled.p`
  font-size: 14px;
  color: var(--quiet);
`;
const Signed = styled.div`
  display: flex;
  align-items: baseline;
  gap: 8px;
  font-size: 14px;
  color: var(--quiet);
`;

const Add = styled.form`
  display: grid;
  justify-items: start;
  gap: 8px;
  & > :first-child {
    width: 100%;
  }
`;

function NoteLine({ note, onRemove }: { readonly note: Note; readonly onRemove: () => void }) {
  const today = useAppSelector((state) => state.desk.clinic?.today ?? note.on);
  const writes = useCan('cases.write');
  return (
    <li>
      <p>{note.text}</p>
      <Signed>
        {handoverTexts.signed(note.by, shortDate(note.on, today))}
        {writes && (
          <Button
            kind="quiet"
            aria-label={handoverTexts.removeNote(note.text.slice(0, 40))}
            onPress={onRemove}
          >
            {handoverTexts.remove}
          </Button>
        )}
      </Signed>
    </li>
  );
}

/** What colleagues left for each other about a case, and room for another note. */
export function NotesChip({ record: { id, notes } }: { readonly record: CaseRecord }) {
  const happen = useRecordEvent();
  const addNote = useAddNote();
  const writes = useCan('cases.write');
  const { text, take } = useDraft(`note.${id}`);
  const add = (): void => {
    if (addNote(text)) take('');
  };
  const value = notes.length === 0 ? handoverTexts.noNotes : handoverTexts.count(notes.length);
  return (
    <Chip name={handoverTexts.notes} value={value}>
      {() => (
        <Area>
          <Quiet>{handoverTexts.forColleagues}</Quiet>
          {notes.length > 0 && (
            <ul>
              {notes.map((note) => (
                <NoteLine
                  key={note.id}
                  note={note}
                  onRemove={() => happen({ kind: 'note-removed', noteId: note.id })}
                />
              ))}
            </ul>
          )}
          {writes && (
            <Add
              onSubmit={(event) => {
                event.preventDefault();
                add();
              }}
            >
              <Field
                label={handoverTexts.note}
                value={text}
                max={MAX_NOTE}
                autoFocus
                onChange={take}
              />
              <Button type="submit" isDisabled={text.trim() === ''}>
                {handoverTexts.addNote}
              </Button>
            </Add>
          )}
        </Area>
      )}
    </Chip>
  );
}
