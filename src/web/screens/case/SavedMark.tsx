import { styled } from 'styled-components';
import { useAppSelector } from '../../store/store.ts';
import { savedWords } from './savedWords.ts';
import { useCaseId } from './common/useCase.ts';

const Words = styled.span<{ $careful: boolean }>`
  font-size: 14px;
  color: ${({ $careful }) => ($careful ? 'var(--ochre)' : 'var(--quiet)')};
`;

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
