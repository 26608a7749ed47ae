import { useEffect, useState, type SubmitEvent } from 'react';
import { styled } from 'styled-components';
import { MAX_CONTACT, MAX_NAME } from '../../../contracts/cases.ts';
import { TRADES, type ClinicContact, type Trade } from '../../../contracts/contacts.ts';
import { newId } from '../../../contracts/ids.ts';
import { api } from '../../api/api.ts';
import { Button } from '../../kit/Button.tsx';
import { Field, FieldLabel, SelectBox } from '../../kit/fields.tsx';
import { Table } from '../../kit/Table.ts';
import { loadContacts } from '../../store/actions.ts';
import { contactsRead } from '../../store/deskSlice.ts';
import { useAppDispatch, useAppSelector } from '../../store/store.ts';
import { clinicTexts, TRADE_WORDS } from '../../texts/clinicTexts.ts';

const Form = styled.form`
  display: grid;
  grid-template-columns: 160px 1fr 1fr 1fr auto;
  gap: 6px 12px;
  align-items: end;
  padding-top: 10px;
  & > div + div {
    margin-top: 0;
  }
  & select {
    width: 100%;
    height: 36px;
  }
  @media (max-width: 760px) {
    grid-template-columns: 1fr;
  }
`;
const What = styled.p`
  padding-bottom: 6px;
  color: var(--quiet);
  font-size: 14px;
`;

const NOBODY = { trade: 'arborist', name: '', reach: '', area: '' } as const;

/** Whom the clinic sends people to, by trade; whoever may write changes them. */
export function Contacts({ writes }: { readonly writes: boolean }) {
  const dispatch = useAppDispatch();
  const contacts = useAppSelector((state) => state.desk.contacts);
  const [edited, setEdited] = useState<ClinicContact | null>(null);
  const [said, setSaid] = useState<string | null>(null);
  useEffect(() => void loadContacts(dispatch), [dispatch]);
  const remove = async ({ id }: ClinicContact): Promise<void> => {
    const left = await api.removeContact(id);
    if (left.ok) dispatch(contactsRead(left.value));
    else setSaid(`${left.error.message} ${left.error.cure}`);
  };
  return (
    <section aria-labelledby="contacts">
      <h2 id="contacts">{clinicTexts.contacts}</h2>
      <What>{clinicTexts.contactsWhat}</What>
      {contacts.length === 0 ? (
        <p>{clinicTexts.noContacts}</p>
      ) : (
        <Table>
          <thead>
            <tr>
              <th scope="col">{clinicTexts.trade}</th>
              <th scope="col">{clinicTexts.contactName}</th>
              <th scope="col">{clinicTexts.reach}</th>
              <th scope="col">{clinicTexts.area}</th>
              {writes && <th scope="col">{clinicTexts.acts}</th>}
            </tr>
          </thead>
          <tbody>
            {contacts.map((one) => (
              <tr key={one.id}>
                <td>{TRADE_WORDS[one.trade]}</td>
                <td>{one.name}</td>
                <td>{one.reach}</td>
                <td>{one.area}</td>
                {writes && (
                  <td>
                    <Button
                      kind="quiet"
                      aria-label={clinicTexts.editContact(one.name)}
                      onPress={() => setEdited(one)}
                    >
                      {clinicTexts.changeContact}
                    </Button>
                    <Button
                      kind="quiet"
                      aria-label={clinicTexts.removeContact(one.name)}
                      onPress={() => void remove(one)}
                    >
                      {clinicTexts.remove}
                    </Button>
                  </td>
                )}
              </tr>
            ))}
          </tbody>
        </Table>
      )}
      {writes && (
        <ContactForm key={edited?.id ?? 'new'} edited={edited} onDone={() => setEdited(null)} />
      )}
      <p role="status">{said}</p>
    </section>
  );
}

interface ContactFormProps {
  /** Null for a new one. */
  readonly edited: ClinicContact | null;
  readonly onDone: () => void;
}

function ContactForm({ edited, onDone }: ContactFormProps) {
  const dispatch = useAppDispatch();
  const start = edited ?? NOBODY;
  const [trade, setTrade] = useState<Trade>(start.trade);
  const [name, setName] = useState<string>(start.name);
  const [reach, setReach] = useState<string>(start.reach);
  const [area, setArea] = useState<string>(start.area);
  const [said, setSaid] = useState<string | null>(null);
  const keep = async (event: SubmitEvent): Promise<void> => {
    event.preventDefault();
    const kept = await api.keepContact({ id: edited?.id ?? newId(), trade, name, reach, area });
    setSaid(kept.ok ? clinicTexts.saved : `${kept.error.message} ${kept.error.cure}`);
    if (!kept.ok) return;
    dispatch(contactsRead(kept.value));
    setName('');
    setReach('');
    setArea('');
    onDone();
  };
  return (
    <>
      <Form onSubmit={(event) => void keep(event)}>
        <label>
          <FieldLabel elementType="span">{clinicTexts.trade}</FieldLabel>
          <SelectBox
            value={trade}
            onChange={({ target }) => setTrade(TRADES.find((one) => one === target.value) ?? trade)}
          >
            {TRADES.map((one) => (
              <option key={one} value={one}>
                {TRADE_WORDS[one]}
              </option>
            ))}
          </SelectBox>
        </label>
        <Field label={clinicTexts.contactName} value={name} max={MAX_NAME} onChange={setName} />
        <Field label={clinicTexts.reach} value={reach} max={MAX_CONTACT} onChange={setReach} />
        <Field label={clinicTexts.area} value={area} max={MAX_NAME} onChange={setArea} />
        <Button type="submit" isDisabled={name.trim() === ''}>
          {edited ? clinicTexts.changeContact : clinicTexts.addContact}
        </Button>
      </Form>
      {edited && (
        <Button kind="quiet" onPress={onDone}>
          {clinicTexts.cancel}
        </Button>
      )}
      <p role="status">{said}</p>
    </>
  );
}
