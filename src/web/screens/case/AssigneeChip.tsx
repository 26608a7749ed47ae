import { styled } from 'styled-components';
import type { CaseRecord, Assignee } from '../../../contracts/cases.ts';
import { Button } from '../../kit/Button.tsx';
import { Chip } from '../../kit/Chip.tsx';
import { selectPerson } from '../../store/session/sessionSlice.ts';
import { useAppSelector } from '../../store/store.ts';
import { useCan } from '../../store/useCan.ts';
import { handoverTexts } from '../../texts/handoverTexts.ts';
import { useRecordEvent } from './common/useCase.ts';

const Choices = styled.div`
  display: grid;
  justify-items: start;
  gap: 8px;
`;

/** Who has taken a case on, as its reader says it. */
function assigneeInWords(assignee: Assignee | null, me: string | undefined): string {
  if (assignee === null) return handoverTexts.nobody;
  return assignee.id === me ? handoverTexts.mine : assignee.name;
}

/** Who has the case; somebody else takes it, or it goes back to the Desk. */
export function AssigneeChip({ record: { assignee } }: { readonly record: CaseRecord }) {
  const happen = useRecordEvent();
  const me = useAppSelector(selectPerson);
  const writes = useCan('cases.write');
  return (
    <Chip name={handoverTexts.assignee} value={assigneeInWords(assignee, me?.id)}>
      {(close) => {
        const assign = (next: Assignee | null): void => {
          happen({ kind: 'assignee-set', assignee: next });
          close();
        };
        return (
          <Choices>
            {me && (
              <Button
                autoFocus
                isDisabled={!writes || assignee?.id === me.id}
                onPress={() => assign({ id: me.id, name: me.name })}
              >
                {handoverTexts.takeIt}
              </Button>
            )}
            <Button
              kind="quiet"
              isDisabled={!writes || assignee === null}
              onPress={() => assign(null)}
            >
              {handoverTexts.putBack}
            </Button>
          </Choices>
        );
      }}
    </Chip>
  );
}
