import { useEffect, useState } from 'react';
import { Dialog, Heading, Modal, ModalOverlay } from 'react-aria-components';
import { styled } from 'styled-components';
import type { Person, SessionState } from '../../../contracts/people.ts';
import { accounts } from '../../api/accounts.ts';
import { Notice } from '../../kit/Notice.tsx';
import { resumePage } from '../../store/page.ts';
import { goOnAs } from '../../store/sessionActions.ts';
import { store } from '../../store/store.ts';
import { entryTexts } from '../../texts/entryTexts.ts';
import { Small } from './parts.tsx';
import { SignInForm } from './SignInForm.tsx';

const Veil = styled(ModalOverlay)`
  position: fixed;
  inset: 0;
  display: grid;
  place-items: center;
  background: rgb(0 0 0 / 0.45);
`;
const Sheet = styled(Modal)`
  width: 460px;
  max-width: 92vw;
  max-height: 92vh;
  overflow: auto;
  padding: 22px 26px;
  background: var(--surface);
  border-top: 2px solid var(--ink);
`;

/** The session ended while somebody worked: they come back in place, and go on where they were. */
export function SessionEnded({ person }: { readonly person: Person }) {
  const [demo, setDemo] = useState<SessionState['demo'] | null>(null);
  useEffect(() => {
    void accounts.session().then((read) => {
      if (read.ok && read.value.person?.id === person.id) goOn(read.value);
      else setDemo(read.ok ? read.value.demo : []);
    });
  }, [person.id]);
  const goOn = (state: SessionState): void => {
    goOnAs(store, state);
    resumePage();
  };
  return (
    <Veil isOpen>
      <Sheet>
        <Dialog>
          <Heading slot="title">{entryTexts.sessionEnded}</Heading>
          <Notice>{entryTexts.goOn(person.name)}</Notice>
          {demo !== null && <SignInForm demo={demo} onSignedIn={goOn} />}
          <Small>
            {entryTexts.somebodyElse}: {entryTexts.somebodyElseNote}
          </Small>
        </Dialog>
      </Sheet>
    </Veil>
  );
}
