import { useEffect } from 'react';
import { useNavigate } from 'react-router';
import { styled } from 'styled-components';
import { Button } from '../../kit/Button.tsx';
import { Key } from '../../kit/Key.tsx';
import { Notice } from '../../kit/Notice.tsx';
import { useKeys } from '../../kit/useKeys.ts';
import { loadDesk, makeCase } from '../../store/actions.ts';
import { closedToggled } from '../../store/deskSlice.ts';
import { useAppDispatch, useAppSelector } from '../../store/store.ts';
import { CallBacks } from './CallBacks.tsx';
import { CaseTable } from './CaseTable.tsx';

const Page = styled.main`
  display: grid;
  grid-template-columns: minmax(0, 1fr) 300px;
  gap: 24px;
  align-content: start;
  padding: 20px 24px;
  overflow: auto;
  @media (max-width: 900px) {
    grid-template-columns: minmax(0, 1fr);
  }
`;
const Top = styled.div`
  grid-column: 1 / -1;
  display: flex;
  align-items: center;
  gap: 16px;
  & h1 {
    font-size: 24px;
    margin-right: auto;
  }
`;

/** The Desk: who is waiting, whom to call back, and the start of a new call. */
export function Desk() {
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const { cases, closedShown, problem, clinic } = useAppSelector((state) => state.desk);
  useEffect(() => {
    document.title = 'Desk - Sounding';
    void loadDesk(dispatch, closedShown);
  }, [dispatch, closedShown]);
  const start = async (): Promise<void> => {
    const id = await makeCase(dispatch);
    if (id !== null) await navigate(`/case/${id}`);
  };
  useKeys({ n: () => void start() });
  return (
    <Page>
      <Top>
        <h1>Desk</h1>
        <Button onPress={() => dispatch(closedToggled())}>
          {closedShown ? 'Show open cases' : 'Show closed cases'}
        </Button>
        <Button kind="main" onPress={() => void start()}>
          Take a new enquiry <Key>N</Key>
        </Button>
      </Top>
      {problem && (
        <Notice tone="caution">
          {problem.message} {problem.cure}
        </Notice>
      )}
      <CaseTable cases={cases} closed={closedShown} today={clinic?.today ?? ''} />
      {!closedShown && <CallBacks cases={cases ?? []} today={clinic?.today ?? ''} />}
    </Page>
  );
}
