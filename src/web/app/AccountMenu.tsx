import { useState } from 'react';
import { Dialog, DialogTrigger, Popover } from 'react-aria-components';
import { styled } from 'styled-components';
import type { Person } from '../../contracts/people.ts';
import { Button } from '../kit/Button.tsx';
import { Notice } from '../kit/Notice.tsx';
import { selectUnsaved } from '../store/cases/selectors.ts';
import { signOut } from '../store/sessionActions.ts';
import { useAppSelector } from '../store/store.ts';
import { entryTexts, ROLE_WORDS } from '../texts/entryTexts.ts';

const Floating = styled(Popover)`
  width: 290px;
  padding: 12px 14px;
  background: var(--surface);
  border: 1px solid var(--hairline);
  border-radius: 4px;
  box-shadow: 0 4px 18px rgb(0 0 0 / 0.18);
`;
const Ways = styled.div`
  display: grid;
  justify-items: start;
  gap: 4px;
  padding-top: 8px;
`;
const Role = styled.span`
  color: var(--quiet);
  font-size: 14px;
`;

/** Who is signed in, and the ways out. Changes that are not saved are named before. */
export function AccountMenu({ person }: { readonly person: Person }) {
  const unsaved = useAppSelector(selectUnsaved).reduce((sum, { pending }) => sum + pending, 0);
  const [said, setSaid] = useState<string | null>(null);
  const leave = async (everywhere: boolean): Promise<void> => {
    const ended = await signOut(everywhere);
    if (!ended.ok) setSaid(`${ended.error.message} ${ended.error.cure}`);
  };
  return (
    <DialogTrigger>
      <Button kind="quiet" aria-label={entryTexts.account(person.name, ROLE_WORDS[person.role])}>
        {person.name}
      </Button>
      <Floating placement="bottom end">
        <Dialog aria-label={person.name}>
          <b>{person.name}</b> <Role>{ROLE_WORDS[person.role]}</Role>
          {unsaved > 0 && <Notice tone="caution">{entryTexts.stillUnsaved(unsaved)}</Notice>}
          {said !== null && <Notice tone="caution">{said}</Notice>}
          <Ways>
            <Button onPress={() => void leave(false)}>
              {unsaved > 0 ? entryTexts.signOutAnyway : entryTexts.signOut}
            </Button>
            <Button kind="quiet" onPress={() => void leave(true)}>
              {entryTexts.signOutEverywhere}
            </Button>
          </Ways>
        </Dialog>
      </Floating>
    </DialogTrigger>
  );
}
