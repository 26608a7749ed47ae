import { useState, type SubmitEvent } from 'react';
import { styled } from 'styled-components';
import { ROLES, type Role } from '../../../contracts/access.ts';
import { MAX_NAME } from '../../../contracts/cases.ts';
import { newId } from '../../../contracts/ids.ts';
import type { NewPerson } from '../../../contracts/people.ts';
import { Button } from '../../kit/Button.tsx';
import { Field, SelectBox } from '../../kit/fields.tsx';
import { clinicTexts } from '../../texts/clinicTexts.ts';
import { ROLE_WORDS } from '../../texts/entryTexts.ts';

const MAX_EMAIL = 200;
const Form = styled.form`
  display: grid;
  grid-template-columns: 1fr 1fr auto auto;
  gap: 6px 12px;
  align-items: end;
  padding-top: 14px;
  & h3,
  & p {
    grid-column: 1 / -1;
    font-size: 15px;
  }
  & p {
    color: var(--quiet);
    font-size: 14px;
  }
  & > div + div {
    margin-top: 0;
  }
  & > button {
    justify-self: start;
  }
  @media (max-width: 760px) {
    grid-template-columns: 1fr;
  }
`;

interface AddPersonProps {
  /** Returns whether the person was added; what was typed stays otherwise. */
  readonly onAdd: (person: NewPerson) => Promise<boolean>;
}

/** Adds somebody to the clinic; they come in by a link. */
export function AddPerson({ onAdd }: AddPersonProps) {
  const [id, setId] = useState(newId);
  const [name, setName] = useState('');
  const [email, setEmail] = useState('');
  const [role, setRole] = useState<Role>('advisor');
  const add = async (event: SubmitEvent): Promise<void> => {
    event.preventDefault();
    if (!(await onAdd({ id, name, email, role }))) return;
    setId(newId());
    setName('');
    setEmail('');
  };
  return (
    <Form onSubmit={(event) => void add(event)}>
      <h3>{clinicTexts.addTitle}</h3>
      <Field label={clinicTexts.name} value={name} max={MAX_NAME} onChange={setName} />
      <Field label={clinicTexts.email} value={email} max={MAX_EMAIL} onChange={setEmail} />
      <SelectBox
        aria-label={clinicTexts.role}
        value={role}
        onChange={({ target }) =>
          setRole(ROLES.find((known) => known === target.value) ?? 'advisor')
        }
      >
        {ROLES.map((known) => (
          <option key={known} value={known}>
            {ROLE_WORDS[known]}
          </option>
        ))}
      </SelectBox>
      <Button type="submit" isDisabled={name.trim() === '' || email.trim() === ''}>
        {clinicTexts.add}
      </Button>
      <p>{clinicTexts.roleNotes[role]}</p>
    </Form>
  );
}
