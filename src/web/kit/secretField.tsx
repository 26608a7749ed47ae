import { FieldLabel, FieldRow, TextBox } from './fields.tsx';

interface EntryFieldProps {
  readonly label: string;
  readonly name: 'username' | 'current-password' | 'new-password' | 'name';
  readonly value: string;
  readonly onChange: (value: string) => void;
  readonly autoFocus?: boolean;
  readonly max: number;
}

const TYPES = {
  username: 'email',
  name: 'text',
  'current-password': 'password',
  'new-password': 'password',
} as const;

/** One line that password managers know by its name. */
export function EntryField({ label, name, value, onChange, autoFocus, max }: EntryFieldProps) {
  return (
    <FieldRow
      value={value}
      onChange={onChange}
      autoFocus={autoFocus ?? false}
      type={TYPES[name]}
      autoComplete={name}
      maxLength={max}
      isRequired
    >
      <FieldLabel>{label}</FieldLabel>
      <TextBox />
    </FieldRow>
  );
}
