import { styled } from 'styled-components';
import { HANDLED, type ConsultResponse } from '../../../contracts/consult.ts';
import type { CasePlant } from '../../../contracts/cases.ts';
import { newId } from '../../../contracts/ids.ts';
import { Button } from '../../kit/Button.tsx';
import { Key } from '../../kit/Key.tsx';
import { useKeys } from '../../kit/useKeys.ts';
import { caseTexts } from '../../texts/caseTexts.ts';
import { useAppSelector } from '../../store/store.ts';
import { contactLine, contactsOf } from '../../../application/contacts.ts';
import { useRecordEvent } from './common/useCase.ts';

const Bar = styled.section`
  display: grid;
  grid-template-columns: auto 1fr auto;
  gap: 4px 16px;
  align-items: start;
  padding: 12px 16px;
  border: 3px solid var(--ink);
  background: var(--ochre-wash);
  & h2 {
    font-size: 16px;
  }
  & p {
    grid-column: 1 / -1;
    font-size: 17px;
    max-width: 90ch;
  }
  & ul {
    grid-column: 1 / 3;
    display: flex;
    flex-wrap: wrap;
    gap: 4px 24px;
    list-style: none;
    padding: 0;
    margin: 0;
  }
  & ul b {
    font: 500 17px var(--mono);
  }
`;
const Mark = styled.span`
  padding: 1px 8px;
  background: var(--ink);
  color: var(--surface);
  font-weight: 700;
`;

type Urgent = NonNullable<ConsultResponse['urgent']>;

interface UrgentBarProps {
  readonly plant: CasePlant;
  readonly urgent: Urgent;
}

/** What comes before any diagnosis: what to do in the next minutes, and whom to call. */
export function UrgentBar({ plant, urgent }: UrgentBarProps) {
  const happen = useRecordEvent();
  const contacts = useAppSelector((state) => state.desk.contacts);
  const finding = `${HANDLED}${urgent.kind}`;
  const goOn = (): void =>
    void happen({
      kind: 'answer-given',
      plantId: plant.id,
      answer: { id: newId(), finding, value: true, sure: 1 },
    });
  useKeys({ 'alt+g': goOn });
  return (
    <Bar role="alert" aria-label={caseTexts.urgent}>
      <Mark>{caseTexts.urgent}</Mark>
      <h2>{urgent.name}</h2>
      <Button onPress={goOn}>
        {caseTexts.dealtWithGoOn} <Key>Alt G</Key>
      </Button>
      <p>{urgent.say}</p>
      <ul aria-label={caseTexts.whomToCall}>
        {urgent.call.map(({ call, who, number }) => (
          <li key={call}>
            {caseTexts.call(who)} {number !== null && <b>{number}</b>}
            {contactsOf(contacts, call).map((ours) => (
              <span key={ours.id}> {contactLine(ours)}</span>
            ))}
          </li>
        ))}
      </ul>
    </Bar>
  );
}
