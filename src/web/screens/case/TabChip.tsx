import { styled } from 'styled-components';
import { newId } from '../../../contracts/ids.ts';
import { removalProblem } from '../../../contracts/appendEvents.ts';
import { MAX_TAB, type CasePlant, type CaseRecord } from '../../../contracts/cases.ts';
import { Button } from '../../kit/Button.tsx';
import { Chip } from '../../kit/Chip.tsx';
import { Field } from '../../kit/fields.tsx';
import { plantShown } from '../../store/cases/casesSlice.ts';
import { useAppDispatch } from '../../store/store.ts';
import { useCan } from '../../store/useCan.ts';
import { tabTexts } from '../../texts/tabTexts.ts';
import { useRecordEvent } from './common/useCase.ts';
import { joiningEvents, splittingEvents } from './splitAndJoin.ts';

const Area = styled.div`
  display: grid;
  justify-items: start;
  gap: 8px;
  width: 300px;
  max-width: 80vw;
  & > :first-child {
    width: 100%;
  }
  & small {
    font-size: 14px;
    color: var(--quiet);
  }
`;

interface TabChipProps {
  readonly record: CaseRecord;
  readonly plant: CasePlant;
  /** Of all plants, in their order. */
  readonly titles: readonly string[];
}

/** Names the open tab, joins it to another, or removes it. */
export function TabChip({ record, plant, titles }: TabChipProps) {
  const happen = useRecordEvent();
  const dispatch = useAppDispatch();
  const writes = useCan('cases.write');
  const others = record.plants
    .map((other, i) => ({ plant: other, title: titles[i] ?? '' }))
    .filter((other) => other.plant.id !== plant.id);
  const problem = removalProblem(record, plant);
  const show = (plantId: string): void => void dispatch(plantShown({ caseId: record.id, plantId }));
  const join = (to: CasePlant): void => {
    show(to.id);
    for (const event of joiningEvents(plant, to)) happen(event);
  };
  // The box keeps its cursor while it is left.
  const cursor = (): number => {
    const box = document.getElementById('words');
    return box instanceof HTMLTextAreaElement ? box.selectionStart : 0;
  };
  const split = (): void => {
    const plantId = newId();
    const events = splittingEvents(plant, cursor(), plantId);
    for (const event of events) happen(event);
    if (events.length > 0) show(plantId);
  };
  const remove = (): void => {
    const [next] = others;
    if (next) show(next.plant.id);
    happen({ kind: 'plant-removed', plantId: plant.id });
  };
  return (
    <Chip name={tabTexts.chip} value={tabTexts.change}>
      {(close) => (
        <Area>
          <Field
            label={tabTexts.name}
            value={plant.name}
            max={MAX_TAB}
            autoFocus
            onChange={(name) => happen({ kind: 'plant-named', plantId: plant.id, name })}
          />
          <Button
            isDisabled={!writes || splittingEvents(plant, cursor(), '').length === 0}
            onPress={() => {
              close();
              split();
            }}
          >
            {tabTexts.split}
          </Button>
          {others.length > 0 && writes && problem === null && (
            <>
              {others.map((other) => (
                <Button
                  key={other.plant.id}
                  onPress={() => {
                    close();
                    join(other.plant);
                  }}
                >
                  {tabTexts.join(other.title)}
                </Button>
              ))}
              <small>{tabTexts.joinHow}</small>
              <Button
                onPress={() => {
                  close();
                  remove();
                }}
              >
                {tabTexts.remove}
              </Button>
              <small>{tabTexts.removeHow}</small>
            </>
          )}
          {others.length > 0 && problem !== null && (
            <small>
              {problem.message} {problem.cure}
            </small>
          )}
        </Area>
      )}
    </Chip>
  );
}
