import { styled } from 'styled-components';
import { useAppSelector } from '../../store/store.ts';
import type { Saving } from '../../store/caseSlice.ts';

const Words = styled.span<{ $careful: boolean }>`
  font-size: 14px;
  color: ${({ $careful }) => ($careful ? 'var(--ochre)' : 'var(--quiet)')};
`;

const WORDS: Readonly<Record<Saving, string>> = {
  saved: 'Saved',
  saving: 'Saving',
  'kept-here': 'Kept on this device, server not reached',
  refused: 'Not accepted',
};

/** Where the last change stands. */
export function SavedMark() {
  const { saving, problem } = useAppSelector((state) => state.case);
  const careful = saving === 'kept-here' || saving === 'refused';
  return (
    <Words $careful={careful} role="status">
      {WORDS[saving]}
      {saving === 'refused' && problem ? `: ${problem.message}` : ''}
    </Words>
  );
}
