import { useCallback } from 'react';
import { styled } from 'styled-components';
import { MAX_SEARCH, type CasebookQuery } from '../../../contracts/casebook.ts';
import { Button } from '../../kit/Button.tsx';
import { Chip } from '../../kit/Chip.tsx';
import { DateField } from '../../kit/DateField.tsx';
import { Field, FieldLabel, SelectBox } from '../../kit/fields.tsx';
import { usePeople } from '../../store/usePeople.ts';
import { useRested } from '../../kit/useRested.ts';
import { PlantChooser } from '../../choosers/PlantChooser.tsx';
import { casebookTexts } from '../../texts/casebookTexts.ts';
import { deskTexts } from '../../texts/deskTexts.ts';

const Bar = styled.search`
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 8px 14px;
  padding-bottom: 6px;
  & > :first-child {
    flex: 1 1 260px;
  }
  & > div + div {
    margin-top: 0;
  }
  & input,
  & select {
    height: 36px;
  }
`;
const Help = styled.p`
  padding-bottom: 14px;
  color: var(--quiet);
  font-size: 13px;
`;
const One = styled.label`
  display: block;
`;

interface Choice {
  readonly id: string;
  readonly text: string;
}

interface PickProps {
  readonly label: string;
  readonly value: string | undefined;
  readonly none: string;
  readonly choices: readonly Choice[];
  readonly onChange: (value: string) => void;
}

function Pick({ label, value, none, choices, onChange }: PickProps) {
  return (
    <One>
      <FieldLabel elementType="span">{label}</FieldLabel>
      <SelectBox value={value ?? ''} onChange={({ target }) => onChange(target.value)}>
        <option value="">{none}</option>
        {choices.map(({ id, text }) => (
          <option key={id} value={id}>
            {text}
          </option>
        ))}
      </SelectBox>
    </One>
  );
}

const STATES: readonly Choice[] = [
  { id: 'open', text: deskTexts.open },
  { id: 'waiting', text: deskTexts.toCallBack },
  { id: 'closed', text: deskTexts.closed },
];
const OUTCOMES: readonly Choice[] = [
  { id: 'known', text: casebookTexts.known },
  { id: 'unknown', text: casebookTexts.unknown },
];

interface FiltersProps {
  readonly query: CasebookQuery;
  readonly onChange: (change: Partial<Record<keyof CasebookQuery, string>>) => void;
}

const NONE = {
  words: '',
  plant: '',
  cause: '',
  person: '',
  status: '',
  outcome: '',
  from: '',
  to: '',
} as const;

/** What cases are looked for by. */
export function Filters({ query, onChange }: FiltersProps) {
  const people = usePeople();
  const { words = '', plant, cause, from = '', to = '' } = query;
  const passOn = useCallback((text: string) => onChange({ words: text }), [onChange]);
  const [typed, setTyped] = useRested(words, passOn);
  return (
    <>
      <Bar>
        <Field
          label={casebookTexts.search}
          value={typed}
          max={MAX_SEARCH}
          autoFocus
          onChange={setTyped}
        />
        <DateField
          label={casebookTexts.from}
          value={from}
          optional
          onChange={(day) => onChange({ from: day })}
        />
        <DateField
          label={casebookTexts.to}
          value={to}
          optional
          onChange={(day) => onChange({ to: day })}
        />
        <Pick
          label={casebookTexts.state}
          value={query.status}
          none={casebookTexts.any}
          choices={STATES}
          onChange={(status) => onChange({ status })}
        />
        <Pick
          label={casebookTexts.outcome}
          value={query.outcome}
          none={casebookTexts.any}
          choices={OUTCOMES}
          onChange={(outcome) => onChange({ outcome })}
        />
        <Pick
          label={casebookTexts.worked}
          value={query.person}
          none={casebookTexts.anybody}
          choices={people.map(({ id, name }) => ({ id, text: name }))}
          onChange={(person) => onChange({ person })}
        />
        <Chip
          name={casebookTexts.plant}
          value={plant?.replaceAll('-', ' ') ?? casebookTexts.anyPlant}
        >
          {(close) => (
            <PlantChooser
              back={plant === undefined ? null : casebookTexts.anyPlant}
              onChoose={(chosen) => {
                onChange({ plant: chosen ?? '' });
                close();
              }}
            />
          )}
        </Chip>
        {cause !== undefined && (
          <span>
            {casebookTexts.cause}: <b>{cause.replaceAll('-', ' ')}</b>
          </span>
        )}
        {Object.keys(query).length > 0 && (
          <Button kind="quiet" onPress={() => onChange(NONE)}>
            {casebookTexts.clear}
          </Button>
        )}
      </Bar>
      <Help>{casebookTexts.searchHelp}</Help>
    </>
  );
}
