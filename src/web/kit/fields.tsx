import { kitTexts } from '../texts/kitTexts.ts';
import {
  Input,
  Label,
  NumberField,
  RadioButton,
  RadioField,
  RadioGroup,
  TextField,
} from 'react-aria-components';
import { css, styled } from 'styled-components';
import { storableText } from '../../contracts/storableText.ts';

/** The words over a field. */
export const FieldLabel = styled(Label)`
  display: block;
  font-size: 13px;
  color: var(--quiet);
  margin-bottom: 3px;
`;
const box = css`
  padding: 6px 8px;
  border: 1px solid var(--hairline);
  border-radius: 3px;
  background: var(--surface);
  color: var(--ink);
  font: inherit;
`;
/** The box of one line of text. */
export const TextBox = styled(Input)`
  width: 100%;
  ${box}
`;
/** One of some words, in a box. */
export const SelectBox = styled.select`
  max-width: 260px;
  ${box}
`;
/** Room for words that are read out or pasted. */
export const Paper = styled.textarea`
  width: 100%;
  min-height: 125px;
  resize: vertical;
  ${box}
  padding: 8px 10px;
  border-left: 3px solid var(--teal);
`;
/** A label above its box. */
export const FieldRow = styled(TextField)`
  display: block;
  & + & {
    margin-top: 10px;
  }
`;

interface FieldProps {
  readonly label: string;
  readonly value: string;
  readonly onChange: (value: string) => void;
  readonly autoFocus?: boolean;
  /** Most characters; how many are left is said before the last ones are used. */
  readonly max?: number;
}

const Left = styled.span`
  display: block;
  margin-top: 3px;
  font-size: 13px;
  color: var(--quiet);
`;
/** From this part of the limit on the rest is counted. */
const COUNTED_FROM = 0.8;

/** Says how many characters are left, near the limit. */
export function CharactersLeft({ used, max }: { readonly used: number; readonly max: number }) {
  if (used < max * COUNTED_FROM) return null;
  const left = max - used;
  return (
    <Left role="status">
      {left > 0 ? kitTexts.charactersLeft(left) : kitTexts.tooManyCharacters(max)}
    </Left>
  );
}

/** One line of text with its label. What cannot be stored and what is over the limit does not get in. */
export function Field({ label, value, onChange, autoFocus = false, max }: FieldProps) {
  const take = (text: string): void => {
    const storable = storableText(text);
    onChange(max === undefined ? storable : storableText(storable.slice(0, max)));
  };
  return (
    <FieldRow value={value} onChange={take} autoFocus={autoFocus}>
      <FieldLabel>{label}</FieldLabel>
      <TextBox maxLength={max} />
      {max !== undefined && <CharactersLeft used={value.length} max={max} />}
    </FieldRow>
  );
}

const NumberRow = styled(NumberField)`
  display: inline-grid;
  grid-template-columns: auto 72px;
  gap: 8px;
  align-items: baseline;
`;

interface WholeNumberProps {
  readonly label: string;
  readonly value: number | null;
  readonly least: number;
  readonly most: number;
  readonly onChange: (value: number | null) => void;
}

/** A whole number that may be left empty. */
export function WholeNumber({ label, value, least, most, onChange }: WholeNumberProps) {
  return (
    <NumberRow
      value={value ?? NaN}
      minValue={least}
      maxValue={most}
      step={1}
      onChange={(next) => onChange(Number.isNaN(next) ? null : next)}
    >
      <FieldLabel>{label}</FieldLabel>
      <TextBox />
    </NumberRow>
  );
}

const AmountRow = styled(NumberField)`
  display: block;
`;

interface AmountFieldProps {
  readonly label: string;
  readonly value: number | null;
  readonly most: number;
  readonly onChange: (value: number | null) => void;
}

/** A sum of money, in whatever money the clinic counts in; it may be left empty. */
export function AmountField({ label, value, most, onChange }: AmountFieldProps) {
  return (
    <AmountRow
      value={value ?? NaN}
      minValue={0}
      maxValue={most}
      formatOptions={{ maximumFractionDigits: 2 }}
      onChange={(next) => onChange(Number.isNaN(next) ? null : next)}
    >
      <FieldLabel>{label}</FieldLabel>
      <TextBox />
    </AmountRow>
  );
}

const Choice = styled(RadioButton)`
  display: block;
  padding: 5px 8px;
  border-left: 3px solid transparent;
  cursor: pointer;
  &[data-selected] {
    border-left-color: var(--teal);
    background: var(--teal-wash);
    font-weight: 600;
  }
`;

interface ChoicesProps<T extends string> {
  readonly label: string;
  readonly value: T;
  readonly choices: readonly { readonly id: T; readonly text: string }[];
  readonly onChange: (value: T) => void;
}

/** One of a few choices. */
export function Choices<T extends string>({ label, value, choices, onChange }: ChoicesProps<T>) {
  const choose = (id: string): void => {
    const chosen = choices.find((choice) => choice.id === id);
    if (chosen) onChange(chosen.id);
  };
  return (
    <RadioGroup value={value} onChange={choose}>
      <FieldLabel>{label}</FieldLabel>
      {choices.map(({ id, text }) => (
        <RadioField key={id} value={id}>
          <Choice>{text}</Choice>
        </RadioField>
      ))}
    </RadioGroup>
  );
}

interface OneOfProps<T extends string> {
  readonly label: string;
  readonly value: T;
  readonly choices: readonly (readonly [value: T, words: string])[];
  readonly onChange: (value: T) => void;
}

/** One of some words, with its label. */
export function OneOf<T extends string>({ label, value, choices, onChange }: OneOfProps<T>) {
  return (
    <label>
      <FieldLabel elementType="span">{label}</FieldLabel>
      <SelectBox
        value={value}
        onChange={({ target }) =>
          onChange(choices.find(([one]) => one === target.value)?.[0] ?? value)
        }
      >
        {choices.map(([one, words]) => (
          <option key={one} value={one}>
            {words}
          </option>
        ))}
      </SelectBox>
    </label>
  );
}
