import { styled } from 'styled-components';
import type { CaseEntity } from '../../store/cases/caseEntity.ts';
import { useAppSelector } from '../../store/store.ts';
import { useCaseId } from './useCase.ts';

const Words = styled.span<{ $careful: boolean }>`
  font-size: 14px;
  color: ${({ $careful }) => ($careful ? 'var(--ochre)' : 'var(--quiet)')};
`;

const counted = (count: number): string => (count === 1 ? '1 change' : `${count} changes`);

/** Where the changes of a case stand; `careful` when it needs a look. */
export function savedWords(
  { pending, refused, sync }: Pick<CaseEntity, 'pending' | 'refused' | 'sync'>,
  kept: boolean,
): { readonly text: string; readonly careful: boolean } {
  const aside = refused.length > 0 ? `, ${counted(refused.length)} not accepted` : '';
  const careful = refused.length > 0;
  if (pending.length === 0)
    return careful
      ? { text: `${counted(refused.length)} not accepted`, careful }
      : { text: 'Saved', careful };
  if (sync.kind === 'waiting') {
    const where = kept ? 'on this device' : 'on this page only, keep it open';
    const text = `Kept ${where}, server not reached: ${counted(pending.length)}${aside}`;
    return { text, careful: true };
  }
  return { text: `Saving ${counted(pending.length)}${aside}`, careful };
}

/** Where the changes of this case stand. */
export function SavedMark() {
  const caseId = useCaseId();
  const entity = useAppSelector((state) => state.cases.byId[caseId]);
  const kept = useAppSelector((state) => state.cases.kept);
  if (!entity) return null;
  const { text, careful } = savedWords(entity, kept);
  return (
    <Words $careful={careful} role="status">
      {text}
    </Words>
  );
}
