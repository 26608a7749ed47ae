import { useEffect, useState } from 'react';
import { styled } from 'styled-components';
import { MAX_NAME, type ClinicLabel } from '../../../../contracts/cases.ts';
import { newId } from '../../../../contracts/ids.ts';
import type { Problem } from '../../../../contracts/problem.ts';
import type { Result } from '../../../../core/util/result.ts';
import { api } from '../../../api/api.ts';
import { Button } from '../../../kit/Button.tsx';
import { Field, SelectBox } from '../../../kit/fields.tsx';
import { labelTexts } from '../../../texts/labelTexts.ts';

const Bar = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 6px 12px;
  margin-top: 10px;
  padding: 8px 0;
  border-top: 1px solid var(--hairline);
`;

interface ClinicLabelsProps {
  readonly text: string;
  readonly onChoose: (text: string) => void;
}

/** The clinic's own labels: chosen from, added to, and removed from. */
export function ClinicLabels({ text, onChoose }: ClinicLabelsProps) {
  const [labels, setLabels] = useState<readonly ClinicLabel[]>([]);
  const [name, setName] = useState('');
  const [chosen, setChosen] = useState('');
  const [note, setNote] = useState('');
  const take = (
    read: Result<{ readonly labels: readonly ClinicLabel[] }, Problem>,
    said: string,
  ) => {
    if (read.ok) setLabels(read.value.labels);
    setNote(read.ok ? said : `${read.error.message} ${read.error.cure}`);
  };
  useEffect(() => {
    void api.labels().then((read) => take(read, ''));
  }, []);
  const known = labels.find((one) => one.name === name.trim());
  const keep = async (): Promise<void> => {
    const id = known?.id ?? newId();
    take(await api.keepLabel({ id, name: name.trim(), text }), labelTexts.keptOurs);
    setChosen(id);
  };
  const remove = async (): Promise<void> => {
    take(await api.removeLabel(chosen), labelTexts.removed);
    setChosen('');
  };
  return (
    <Bar role="group" aria-label={labelTexts.ours}>
      <SelectBox
        aria-label={labelTexts.choose}
        value={chosen}
        onChange={({ target }) => {
          const label = labels.find(({ id }) => id === target.value);
          setChosen(target.value);
          if (!label) return;
          setName(label.name);
          onChoose(label.text);
        }}
      >
        <option value="">{labelTexts.choose}</option>
        {labels.map((one) => (
          <option key={one.id} value={one.id}>
            {one.name}
          </option>
        ))}
      </SelectBox>
      {chosen !== '' && (
        <Button kind="quiet" onPress={() => void remove()}>
          {labelTexts.remove}
        </Button>
      )}
      <Field label={labelTexts.name} value={name} onChange={setName} max={MAX_NAME} />
      <Button isDisabled={name.trim() === '' || text.trim() === ''} onPress={() => void keep()}>
        {labelTexts.keepOurs}
      </Button>
      <span role="status">{note}</span>
    </Bar>
  );
}
