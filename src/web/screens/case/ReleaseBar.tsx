import { useState } from 'react';
import { styled } from 'styled-components';
import type { ReleaseState } from '../../../contracts/access.ts';
import { MAX_RELEASE_NOTE, type CaseRecord, type Release } from '../../../contracts/cases.ts';
import { Button } from '../../kit/Button.tsx';
import { useDraft } from '../../kit/useDraft.ts';
import { selectPerson } from '../../store/session/sessionSlice.ts';
import { useCan } from '../../store/useCan.ts';
import { useAppSelector } from '../../store/store.ts';
import { releaseTexts } from '../../texts/releaseTexts.ts';
import { useCaseId, useRecordEvent } from './common/useCase.ts';

const Bar = styled.section`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 12px;
  padding: 6px 16px;
  border-bottom: 1px solid var(--hairline);
  background: var(--teal-wash);
  font-size: 14px;
`;
const Note = styled.input`
  flex: 1 1 220px;
  min-width: 0;
  padding: 4px 8px;
  border: 1px solid var(--hairline);
  border-radius: 3px;
  background: var(--surface);
  color: var(--ink);
  font: inherit;
`;

/** Brings the release of this case to another state, signed by who is signed in, on the clinic's day. */
function useSetRelease(): (state: ReleaseState, note: string) => void {
  const happen = useRecordEvent();
  const by = useAppSelector(selectPerson)?.name ?? '';
  const on = useAppSelector(({ desk }) => desk.clinic?.today) ?? '';
  return (state, note) =>
    void happen({ kind: 'release-set', release: { state, by, on, note: note.trim() } });
}

function standing({ state, by, note }: Release): string {
  const said = note === '' ? '' : ` ${releaseTexts.note(note)}`;
  return `${releaseTexts[state](by)}${said}`;
}

/** Where the release of a trainee's advice stands, and what whoever looks can do about it. */
export function ReleaseBar({ record }: { readonly record: CaseRecord }) {
  const [gives, releases] = [useCan('advice.give'), useCan('advice.release')];
  const writes = useCan('cases.write');
  const { release, status } = record;
  const asks = writes && !gives && status !== 'closed';
  if (!asks && release?.state !== 'asked') return null;
  return (
    <Bar aria-label={releaseTexts.title}>
      <span role="status">{release ? standing(release) : releaseTexts.needed}</span>
      {asks && release?.state !== 'asked' && release?.state !== 'released' && <Ask />}
      {releases && release?.state === 'asked' && <Decide />}
    </Bar>
  );
}

function Ask() {
  const set = useSetRelease();
  return <Button onPress={() => set('asked', '')}>{releaseTexts.ask}</Button>;
}

function Decide() {
  const set = useSetRelease();
  const draft = useDraft(`release.${useCaseId()}`);
  const [missing, setMissing] = useState(false);
  const decide = (state: ReleaseState): void => {
    set(state, draft.text);
    draft.take('');
  };
  return (
    <>
      <Button kind="main" onPress={() => decide('released')}>
        {releaseTexts.release}
      </Button>
      <Note
        aria-label={releaseTexts.noteLabel}
        placeholder={releaseTexts.noteLabel}
        maxLength={MAX_RELEASE_NOTE}
        value={draft.text}
        onChange={({ target }) => draft.take(target.value)}
      />
      <Button
        onPress={() => {
          if (draft.text.trim() === '') setMissing(true);
          else decide('given-back');
        }}
      >
        {releaseTexts.giveBack}
      </Button>
      {missing && draft.text.trim() === '' && <span role="alert">{releaseTexts.sayWhy}</span>}
    </>
  );
}
