import { useEffect, useState } from 'react';
import { Dialog, DialogTrigger, Heading } from 'react-aria-components';
import { styled } from 'styled-components';
import type { Person, SessionState } from '../../../contracts/people.ts';
import { accounts } from '../../api/accounts.ts';
import { Button } from '../../kit/Button.tsx';
import { Sheet, Veil } from '../../kit/FloatingDialog.tsx';
import { resumePage } from '../../store/page.ts';
import { goOnAs } from '../../store/sessionActions.ts';
import { store } from '../../store/store.ts';
import { entryTexts } from '../../texts/entryTexts.ts';
import { Small } from './parts.tsx';
import { SignInForm } from './SignInForm.tsx';

const Strip = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 14px;
  padding: 7px 16px;
  background: var(--ochre-wash);
  border-bottom: 1px solid var(--hairline);
`;
/** Goes on as whoever signed in; what waited is sent when it is the same person. */
function goOn(state: SessionState): void {
  goOnAs(store, state);
  resumePage();
}

/**
 * The session ended while somebody worked. A strip says so and takes nothing out of their hands: they type on, and sign in
 * when the call leaves them time.
 */
export function SessionEnded({ person }: { readonly person: Person }) {
  const [demo, setDemo] = useState<SessionState['demo'] | null>(null);
  useEffect(() => {
    void accounts.session().then((read) => {
      if (read.ok && read.value.person?.id === person.id) goOn(read.value);
      else setDemo(read.ok ? read.value.demo : []);
    });
  }, [person.id]);
  return (
    <Strip role="alert">
      <b>{entryTexts.sessionEnded}.</b> {entryTexts.goOn(person.name)}
      <DialogTrigger>
        <Button>{entryTexts.signInAgain}</Button>
        <Veil isDismissable>
          <Sheet $width={460}>
            <Dialog>
              <Heading slot="title">{entryTexts.signInAgain}</Heading>
              {demo !== null && <SignInForm demo={demo} onSignedIn={goOn} />}
              <Small>{entryTexts.somebodyElse}</Small>
            </Dialog>
          </Sheet>
        </Veil>
      </DialogTrigger>
    </Strip>
  );
}
