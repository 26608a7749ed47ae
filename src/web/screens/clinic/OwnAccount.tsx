import { useEffect, useState, type SubmitEvent } from 'react';
import { styled } from 'styled-components';
import { MAX_NAME } from '../../../contracts/cases.ts';
import { MAX_PASSWORD, MIN_PASSWORD, type Passkeys } from '../../../contracts/people.ts';
import type { Problem } from '../../../contracts/problem.ts';
import type { Result } from '../../../core/util/result.ts';
import { accounts } from '../../api/accounts.ts';
import { Button } from '../../kit/Button.tsx';
import { Field, OneOf } from '../../kit/fields.tsx';
import { SPELLINGS, type Spelling } from '../../../wording/spelling.ts';
import { sessionRead } from '../../store/session/sessionSlice.ts';
import { useAppDispatch, useAppSelector } from '../../store/store.ts';
import { Notice } from '../../kit/Notice.tsx';
import { EntryField } from '../../kit/secretField.tsx';
import { clinicTexts, SPELLING_WORDS } from '../../texts/clinicTexts.ts';

const Form = styled.form`
  display: grid;
  gap: 10px;
  justify-items: start;
  padding-bottom: 24px;
  & > div {
    justify-self: stretch;
    margin: 0;
  }
`;
const Row = styled.li`
  display: flex;
  justify-content: space-between;
  padding: 4px 0;
  border-top: 1px solid var(--hairline);
`;
const Choice = styled.div`
  padding-bottom: 18px;
`;
const What = styled.p`
  font-size: 14px;
  color: var(--quiet);
`;

/** Spelling, password and passkeys of whoever looks. */
export function OwnAccount() {
  return (
    <section aria-labelledby="own">
      <h2 id="own">{clinicTexts.own}</h2>
      <OwnSpelling />
      <OwnPassword />
      <OwnPasskeys />
    </section>
  );
}

/** Stands for the spelling of the clinic. */
const OF_CLINIC = 'clinic';

function OwnSpelling() {
  const dispatch = useAppDispatch();
  const known = useAppSelector(({ session }) => session.known);
  const [problem, setProblem] = useState<Problem | null>(null);
  if (!known) return null;
  const choose = async (chosen: Spelling | typeof OF_CLINIC): Promise<void> => {
    const answer = await accounts.setSpelling(chosen === OF_CLINIC ? null : chosen);
    setProblem(answer.ok ? null : answer.error);
    if (answer.ok) dispatch(sessionRead({ ...known, ...answer.value }));
  };
  return (
    <Choice>
      <OneOf
        label={clinicTexts.ownSpelling}
        value={known.spelling ?? OF_CLINIC}
        choices={[
          [OF_CLINIC, clinicTexts.spellingOfClinic],
          ...SPELLINGS.map((one) => [one, SPELLING_WORDS[one]] as const),
        ]}
        onChange={(chosen) => void choose(chosen)}
      />
      {problem && (
        <Notice tone="caution">
          {problem.message} {problem.cure}
        </Notice>
      )}
    </Choice>
  );
}

function OwnPassword() {
  const [current, setCurrent] = useState('');
  const [next, setNext] = useState('');
  const [said, setSaid] = useState<string | null>(null);
  const set = async (event: SubmitEvent): Promise<void> => {
    event.preventDefault();
    const done = await accounts.setPassword(current, next);
    setSaid(done.ok ? clinicTexts.passwordSet : `${done.error.message} ${done.error.cure}`);
    if (!done.ok) return;
    setCurrent('');
    setNext('');
  };
  return (
    <Form onSubmit={(event) => void set(event)}>
      <EntryField
        label={clinicTexts.currentPassword}
        name="current-password"
        value={current}
        max={MAX_PASSWORD}
        onChange={setCurrent}
      />
      <EntryField
        label={clinicTexts.nextPassword(MIN_PASSWORD)}
        name="new-password"
        value={next}
        max={MAX_PASSWORD}
        onChange={setNext}
      />
      <Button type="submit">{clinicTexts.setPassword}</Button>
      <span role="status">{said}</span>
    </Form>
  );
}

function OwnPasskeys() {
  const [list, setList] = useState<Passkeys['passkeys']>([]);
  const [name, setName] = useState('');
  const [problem, setProblem] = useState<Problem | null>(null);
  const take = async (asked: Promise<Result<Passkeys, Problem>>): Promise<boolean> => {
    const answer = await asked;
    setProblem(answer.ok ? null : answer.error);
    if (answer.ok) setList(answer.value.passkeys);
    return answer.ok;
  };
  useEffect(() => void take(accounts.passkeys()), []);
  const add = async (event: SubmitEvent): Promise<void> => {
    event.preventDefault();
    if (await take(accounts.addPasskey(name))) setName('');
  };
  return (
    <Form onSubmit={(event) => void add(event)}>
      <h3>{clinicTexts.passkeys}</h3>
      <What>{clinicTexts.passkeysWhat}</What>
      {list.length === 0 ? (
        <p>{clinicTexts.noPasskeys}</p>
      ) : (
        <ul>
          {list.map((one) => (
            <Row key={one.id}>
              {one.name}
              <Button
                kind="quiet"
                aria-label={clinicTexts.removeOf(one.name)}
                onPress={() => void take(accounts.removePasskey(one.id))}
              >
                {clinicTexts.remove}
              </Button>
            </Row>
          ))}
        </ul>
      )}
      <Field label={clinicTexts.passkeyName} value={name} max={MAX_NAME} onChange={setName} />
      {problem && (
        <Notice tone="caution">
          {problem.message} {problem.cure}
        </Notice>
      )}
      <Button type="submit" isDisabled={name.trim() === ''}>
        {clinicTexts.addPasskey}
      </Button>
    </Form>
  );
}
