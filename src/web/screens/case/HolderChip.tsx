import { styled } from 'styled-components';
import type { CaseRecord, Holder } from '../../../contracts/cases.ts';
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
function holderInWords(holder: Holder | null, me: string | undefined): string {
  if (holder === null) return handoverTexts.nobody;
  return holder.id === me ? handoverTexts.mine : holder.name;
}

/** Who has the case; somebody else takes it, or it goes back to the Desk. */
export function HolderChip({ record: { holder } }: { readonly record: CaseRecord }) {
  const happen = useRecordEvent();
  const me = useAppSelector(selectPerson);
  const writes = useCan('cases.write');
  return (
    <Chip name={handoverTexts.holder} value={holderInWords(holder, me?.id)}>
      {(close) => {
        const hold = (next: Holder | null): void => {
          happen({ kind: 'holder-set', holder: next });
          close();
        };
        return (
          <Choices>
            {me && (
              <Button
                autoFocus
                isDisabled={!writes || holder?.id === me.id}
                onPress={() => hold({ id: me.id, name: me.name })}
              >
                {handoverTexts.takeIt}
              </Button>
            )}
            <Button kind="quiet" isDisabled={!writes || holder === null} onPress={() => hold(null)}>
              {handoverTexts.putBack}
            </Button>
          </Choices>
        );
      }}
    </Chip>
  );
}
