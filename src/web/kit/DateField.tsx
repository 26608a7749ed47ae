import { kitTexts } from '../texts/kitTexts.ts';
import { useState, type FocusEvent } from 'react';

import { styled } from 'styled-components';
import { parseDay } from '../../core/timing/calendar.ts';
import { FieldLabel, FieldRow, TextBox } from './fields.tsx';

const Wrong = styled.p`
  margin-top: 3px;
  font-size: 13px;
  color: var(--ochre);
`;

/** Days that the application knows. */
const FIRST_DAY = '1900-01-01';
const LAST_DAY = '2200-12-31';

interface DateFieldProps {
  readonly label: string;
  /** An ISO date, or empty for none. */
  readonly value: string;
  /** Called with whole dates between 1900 and 2200 only, or with an empty text. */
  readonly onChange: (value: string) => void;
  /** Whether the date may be taken away. */
  readonly optional?: boolean;
}

/** What is typed: `from` is the value it began on, so that a value from elsewhere shows at once. */
interface Draft {
  readonly from: string;
  readonly text: string;
}

/** A date. While it is typed, half a date stays in the box and is not passed on. */
export function DateField({ label, value, onChange, optional = false }: DateFieldProps) {
  const [draft, setDraft] = useState<Draft | null>(null);
  const shown = draft?.from === value ? draft.text : value;
  const isWhole = parseDay(shown).ok;
  const type = (text: string): void => {
    const whole = parseDay(text).ok;
    setDraft(whole ? null : { from: value, text });
    if (whole && text !== value) onChange(text);
  };
  // An empty text is also what a browser gives for half a date, which takes nothing away.
  const leave = ({ target }: FocusEvent): void => {
    const isHalf = target instanceof HTMLInputElement && target.validity.badInput;
    const isCleared = draft?.from === value && draft.text === '' && !isHalf;
    setDraft(null);
    if (optional && isCleared && value !== '') onChange('');
  };
  const typing = draft !== null && draft.text !== '' && !isWhole;
  return (
    <FieldRow value={shown} onChange={type} onBlur={leave} type="date">
      <FieldLabel>{label}</FieldLabel>
      <TextBox min={FIRST_DAY} max={LAST_DAY} />
      {typing && <Wrong>{kitTexts.dateIncomplete}</Wrong>}
    </FieldRow>
  );
}
