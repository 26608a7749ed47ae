import { useState, type SubmitEvent } from 'react';
import { styled } from 'styled-components';
import { MAX_PASSWORD, type SessionState } from '../../../contracts/people.ts';
import type { Problem } from '../../../contracts/problem.ts';
import type { Result } from '../../../core/util/result.ts';
import { accounts } from '../../api/accounts.ts';
import { Button } from '../../kit/Button.tsx';
import { EntryField } from '../../kit/secretField.tsx';
import { Notice } from '../../kit/Notice.tsx';
import { entryTexts, ROLE_WORDS } from '../../texts/entryTexts.ts';
import { Small, Stack } from './parts.tsx';

const MAX_EMAIL = 200;
const People = styled.ul`
  width: 100%;
  & li {
    border-top: 1px solid var(--hairline);
  }
  & button {
    width: 100%;
    justify-content: space-between;
    padding: 9px 4px;
    font-size: 15px;
  }
  & span {
    color: var(--quiet);
    font-weight: 400;
  }
`;
const Ways = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
`;

interface SignInFormProps {
  /** People of a demonstration, who are chosen instead; empty elsewhere. */
  readonly demo: SessionState['demo'];
  readonly onSignedIn: (state: SessionState) => void;
}

/** Signs somebody in: by choice in a demonstration, by password or passkey elsewhere. */
export function SignInForm({ demo, onSignedIn }: SignInFormProps) {
  const [problem, setProblem] = useState<Problem | null>(null);
  const [busy, setBusy] = useState(false);
  const take = async (asked: Promise<Result<SessionState, Problem>>): Promise<void> => {
    setBusy(true);
    const answer = await asked;
    setBusy(false);
    setProblem(answer.ok ? null : answer.error);
    if (answer.ok) onSignedIn(answer.value);
  };
  const said = problem && (
    <Notice tone="caution">
      {problem.message} {problem.cure}
    </Notice>
  );
  if (demo.length === 0) return <ByPassword busy={busy} said={said} onTry={take} />;
  return (
    <>
      <People>
        {demo.map(({ id, name, role }) => (
          <li key={id}>
            <Button kind="quiet" isDisabled={busy} onPress={() => void take(accounts.signInAs(id))}>
              {name} <span>{ROLE_WORDS[role]}</span>
            </Button>
          </li>
        ))}
      </People>
      {said}
      <Small>{entryTexts.demoNote}</Small>
    </>
  );
}

interface ByPasswordProps {
  readonly busy: boolean;
  readonly said: React.ReactNode;
  readonly onTry: (asked: Promise<Result<SessionState, Problem>>) => Promise<void>;
}

function ByPassword({ busy, said, onTry }: ByPasswordProps) {
  const [email, setEmail] = useState('');
  const [password, setPassword] = useState('');
  const submit = (event: SubmitEvent): void => {
    event.preventDefault();
    void onTry(accounts.signIn(email, password));
  };
  return (
    <Stack onSubmit={submit}>
      <EntryField
        label={entryTexts.email}
        name="username"
        value={email}
        max={MAX_EMAIL}
        autoFocus
        onChange={setEmail}
      />
      <EntryField
        label={entryTexts.password}
        name="current-password"
        value={password}
        max={MAX_PASSWORD}
        onChange={setPassword}
      />
      {said}
      <Ways>
        <Button kind="main" type="submit" isDisabled={busy}>
          {entryTexts.signIn}
        </Button>
        <Button isDisabled={busy} onPress={() => void onTry(accounts.signInByPasskey())}>
          {entryTexts.byPasskey}
        </Button>
      </Ways>
      <Small>{entryTexts.forgotten}</Small>
    </Stack>
  );
}
