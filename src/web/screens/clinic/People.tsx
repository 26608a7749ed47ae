import { useEffect, useState } from 'react';
import { ROLES, type Role } from '../../../contracts/access.ts';
import type { Account, Accounts } from '../../../contracts/people.ts';
import type { Problem } from '../../../contracts/problem.ts';
import type { Result } from '../../../core/util/result.ts';
import { accounts } from '../../api/accounts.ts';
import { Button } from '../../kit/Button.tsx';
import { SelectBox } from '../../kit/fields.tsx';
import { Notice } from '../../kit/Notice.tsx';
import { clinicTexts } from '../../texts/clinicTexts.ts';
import { ROLE_WORDS } from '../../texts/entryTexts.ts';
import { AddPerson } from './AddPerson.tsx';
import { HandedLink } from './HandedLink.tsx';
import { Table } from '../../kit/Table.ts';

/** A link that was just made, and for whom. */
interface Handed {
  readonly name: string;
  readonly token: string;
}

/** The people of the clinic: who they are, what they may do, and how they get in. */
export function People() {
  const [list, setList] = useState<readonly Account[] | null>(null);
  const [problem, setProblem] = useState<Problem | null>(null);
  const [handed, setHanded] = useState<Handed | null>(null);
  const take = async (asked: Promise<Result<Accounts, Problem>>): Promise<boolean> => {
    const answer = await asked;
    setProblem(answer.ok ? null : answer.error);
    if (answer.ok) setList(answer.value.people);
    return answer.ok;
  };
  useEffect(() => void take(accounts.people()), []);
  const makeLink = async ({ id, name }: Account): Promise<void> => {
    const link = await accounts.linkFor(id);
    setProblem(link.ok ? null : link.error);
    setHanded(link.ok ? { name, token: link.value.token } : null);
  };
  return (
    <section aria-labelledby="people">
      <h2 id="people">{clinicTexts.people}</h2>
      {problem && (
        <Notice tone="caution">
          {problem.message} {problem.cure}
        </Notice>
      )}
      {handed && <HandedLink {...handed} />}
      {!list && !problem && <Notice>{clinicTexts.readingPeople}</Notice>}
      {list && (
        <Table>
          <thead>
            <tr>
              <th scope="col">{clinicTexts.name}</th>
              <th scope="col">{clinicTexts.role}</th>
              <th scope="col">{clinicTexts.account}</th>
              <th scope="col">{clinicTexts.acts}</th>
            </tr>
          </thead>
          <tbody>
            {list.map((one) => (
              <PersonRow
                key={one.id}
                one={one}
                onChange={(change) => void take(accounts.changePerson({ id: one.id, ...change }))}
                onLink={() => void makeLink(one)}
              />
            ))}
          </tbody>
        </Table>
      )}
      <AddPerson onAdd={(person) => take(accounts.addPerson(person))} />
    </section>
  );
}

function stateOf({ active, demo, ready }: Account): string {
  if (!active) return clinicTexts.left;
  if (demo) return clinicTexts.ofDemo;
  return ready ? clinicTexts.ready : clinicTexts.invited;
}

interface PersonRowProps {
  readonly one: Account;
  readonly onChange: (change: { readonly role?: Role; readonly active?: boolean }) => void;
  readonly onLink: () => void;
}

function PersonRow({ one, onChange, onLink }: PersonRowProps) {
  const { name, email, role, active, demo } = one;
  return (
    <tr>
      <td>
        <b>{name}</b>
        {!demo && <div>{email}</div>}
      </td>
      <td>
        <SelectBox
          aria-label={clinicTexts.roleOf(name)}
          title={clinicTexts.roleNotes[role]}
          value={role}
          disabled={!active}
          onChange={({ target }) => {
            const chosen = ROLES.find((known) => known === target.value);
            if (chosen) onChange({ role: chosen });
          }}
        >
          {ROLES.map((known) => (
            <option key={known} value={known}>
              {ROLE_WORDS[known]}
            </option>
          ))}
        </SelectBox>
      </td>
      <td>{stateOf(one)}</td>
      <td>
        {active && (
          <Button kind="quiet" aria-label={clinicTexts.linkOf(name)} onPress={onLink}>
            {clinicTexts.link}
          </Button>
        )}
        <Button
          kind="quiet"
          aria-label={active ? clinicTexts.closeOf(name) : clinicTexts.openOf(name)}
          onPress={() => onChange({ active: !active })}
        >
          {active ? clinicTexts.close : clinicTexts.openAgain}
        </Button>
      </td>
    </tr>
  );
}
