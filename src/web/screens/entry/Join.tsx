import { useEffect, useState, type SubmitEvent } from 'react';
import { MAX_NAME } from '../../../contracts/cases.ts';
import { MAX_PASSWORD, MIN_PASSWORD, type LinkPurpose } from '../../../contracts/people.ts';
import type { Problem } from '../../../contracts/problem.ts';
import { accounts } from '../../api/accounts.ts';
import { Button } from '../../kit/Button.tsx';
import { EntryField } from '../../kit/secretField.tsx';
import { Notice } from '../../kit/Notice.tsx';
import { entryTexts } from '../../texts/entryTexts.ts';
import { EntryPage, Stack } from './parts.tsx';

const MAX_EMAIL = 200;

/** The secret of the link: behind the #, which browsers keep to themselves. */
const tokenHere = (): string => location.hash.slice(1);

/** Takes a link that is used once: sets a password, or makes the first coordinator. */
export function Join() {
  const [purpose, setPurpose] = useState<LinkPurpose | null>(null);
  const [problem, setProblem] = useState<Problem | null>(null);
  const token = tokenHere();
  useEffect(() => {
    document.title = entryTexts.joinTitle;
    if (token === '') return;
    void accounts.readLink(token).then((read) => {
      if (read.ok) setPurpose(read.value);
      else setProblem(read.error);
    });
  }, [token]);
  return (
    <EntryPage>
      {token === '' && <Notice tone="caution">{entryTexts.noLink}</Notice>}
      {token !== '' && !purpose && !problem && <Notice>{entryTexts.readingTheLink}</Notice>}
      {problem && (
        <Notice tone="caution">
          {problem.message} {problem.cure}
        </Notice>
      )}
      {purpose && <JoinForm token={token} purpose={purpose} onProblem={setProblem} />}
    </EntryPage>
  );
}

interface JoinFormProps {
  readonly token: string;
  readonly purpose: LinkPurpose;
  readonly onProblem: (problem: Problem | null) => void;
}

function JoinForm({ token, purpose, onProblem }: JoinFormProps) {
  const [name, setName] = useState('');
  const [email, setEmail] = useState('');
  const [password, setPassword] = useState('');
  const isFirst = purpose.purpose === 'first-coordinator';
  const submit = async (event: SubmitEvent): Promise<void> => {
    event.preventDefault();
    const who = isFirst ? { name, email } : {};
    const used = await accounts.useLink({ token, password, ...who });
    onProblem(used.ok ? null : used.error);
    if (used.ok) location.assign('/');
  };
  return (
    <>
      <h1>{isFirst ? entryTexts.firstCoordinator : entryTexts.hello(purpose.name)}</h1>
      <Stack onSubmit={(event) => void submit(event)}>
        {isFirst && (
          <>
            <EntryField
              label={entryTexts.name}
              name="name"
              value={name}
              max={MAX_NAME}
              onChange={setName}
            />
            <EntryField
              label={entryTexts.email}
              name="username"
              value={email}
              max={MAX_EMAIL}
              onChange={setEmail}
            />
          </>
        )}
        <EntryField
          label={entryTexts.newPassword(MIN_PASSWORD)}
          name="new-password"
          value={password}
          max={MAX_PASSWORD}
          onChange={setPassword}
        />
        <Button kind="main" type="submit">
          {entryTexts.setAndSignIn}
        </Button>
      </Stack>
    </>
  );
}
