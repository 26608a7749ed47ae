import { useState } from 'react';
import { styled } from 'styled-components';
import type { PlanStep } from '../../../../application/editedPlan.ts';
import { MAX_OWN_STEP, type CasePlant } from '../../../../contracts/cases.ts';
import { newId } from '../../../../contracts/ids.ts';
import { Button } from '../../../kit/Button.tsx';
import { DateField } from '../../../kit/DateField.tsx';
import { Field } from '../../../kit/fields.tsx';
import { useDraft } from '../../../kit/useDraft.ts';
import { planTexts } from '../../../texts/planTexts.ts';
import { useCaseId, useRecordEvent } from '../common/useCase.ts';

const Row = styled.div`
  grid-column: 2;
  display: flex;
  flex-wrap: wrap;
  gap: 2px 6px;
`;
const Add = styled.div`
  display: grid;
  grid-template-columns: 1fr auto;
  align-items: end;
  gap: 6px 10px;
  padding: 8px 0;
  border-top: 1px solid var(--hairline);
  & > button {
    justify-self: start;
  }
`;

interface ChangesProps {
  readonly one: PlanStep;
  readonly plant: CasePlant;
  readonly onMove: (by: -1 | 1) => void;
}

/** Moves a step, leaves it out, or removes one of the advisor’s own. */
export function Changes({ one, plant, onMove }: ChangesProps) {
  const happen = useRecordEvent();
  const { text } = one.step;
  const about = { plantId: plant.id, step: one.id };
  return (
    <Row>
      <Button kind="quiet" aria-label={planTexts.up(text)} onPress={() => onMove(-1)}>
        ↑
      </Button>
      <Button kind="quiet" aria-label={planTexts.down(text)} onPress={() => onMove(1)}>
        ↓
      </Button>
      {one.kind === 'own' ? (
        <Button
          kind="quiet"
          aria-label={planTexts.removeOf(text)}
          onPress={() => void happen({ kind: 'own-step-removed', ...about })}
        >
          {planTexts.remove}
        </Button>
      ) : (
        <Button
          kind="quiet"
          aria-label={planTexts.leaveOutOf(text)}
          onPress={() => void happen({ kind: 'step-left-out', ...about })}
        >
          {planTexts.leaveOut}
        </Button>
      )}
    </Row>
  );
}

/** A step of the advisor’s own. */
export function AddStep({ plantId }: { readonly plantId: string }) {
  const happen = useRecordEvent();
  const { text, take } = useDraft(`step.${useCaseId()}.${plantId}`);
  const [on, setOn] = useState('');
  const add = (): void => {
    const step = { id: `own-${newId()}`, text: text.trim(), on: on === '' ? null : on };
    if (happen({ kind: 'own-step-added', plantId, step }) !== null) return;
    take('');
    setOn('');
  };
  return (
    <Add>
      <Field label={planTexts.ours} value={text} onChange={take} max={MAX_OWN_STEP} />
      <DateField label={planTexts.on} optional value={on} onChange={setOn} />
      <Button isDisabled={text.trim() === ''} onPress={add}>
        {planTexts.add}
      </Button>
    </Add>
  );
}
