import { useEffect, type ReactNode } from 'react';
import { styled } from 'styled-components';
import { Button } from '../../kit/Button.tsx';
import { Notice } from '../../kit/Notice.tsx';
import { goOnAs, readSession } from '../../store/sessionActions.ts';
import { store, useAppSelector } from '../../store/store.ts';
import { commonTexts } from '../../texts/commonTexts.ts';
import { entryTexts } from '../../texts/entryTexts.ts';
import { EntryPage } from './parts.tsx';
import { SessionEnded } from './SessionEnded.tsx';
import { SignInForm } from './SignInForm.tsx';

const Around = styled.div`
  display: flex;
  flex-direction: column;
  height: 100%;
`;
const Room = styled.div`
  flex: 1;
  min-height: 0;
`;

/** Shows the application to who is signed in, and the way in to everybody else. */
export function Gate({ children }: { readonly children: ReactNode }) {
  const { known, ended, problem } = useAppSelector((state) => state.session);
  const person = known?.person ?? null;
  useEffect(() => {
    if (person === null) document.title = entryTexts.signInTitle;
  }, [person]);
  if (person !== null)
    return (
      <Around>
        {ended && <SessionEnded person={ended} />}
        <Room>{children}</Room>
      </Around>
    );
  return (
    <EntryPage>
      {known === null && problem === null && <Notice>{entryTexts.asking}</Notice>}
      {known === null && problem !== null && (
        <Notice tone="caution">
          {problem.message}{' '}
          <Button onPress={() => void readSession(store)}>{commonTexts.tryAgain}</Button>
        </Notice>
      )}
      {known !== null && (
        <>
          <h1>{known.demo.length > 0 ? entryTexts.whoIsAtTheDesk : entryTexts.signIn}</h1>
          {known.firstRun ? (
            <Notice>{entryTexts.firstRun}</Notice>
          ) : (
            <SignInForm demo={known.demo} onSignedIn={(state) => goOnAs(store, state)} />
          )}
        </>
      )}
    </EntryPage>
  );
}
