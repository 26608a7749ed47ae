import { commonTexts } from '../../texts/commonTexts.ts';
import { deskTexts } from '../../texts/deskTexts.ts';
import { useEffect } from 'react';
import type { OpenCase } from '../../../contracts/cases.ts';
import { useNavigate } from 'react-router';
import { styled } from 'styled-components';
import { Button } from '../../kit/Button.tsx';
import { Key } from '../../kit/Key.tsx';
import { Notice } from '../../kit/Notice.tsx';
import { useKeys } from '../../kit/useKeys.ts';
import { loadClinic, loadDesk, loadMore, makeCase } from '../../store/actions.ts';
import { closedToggled, openingSet } from '../../store/deskSlice.ts';
import { useCan } from '../../store/useCan.ts';
import { liveChanges } from '../../store/page.ts';
import { store, useAppDispatch, useAppSelector } from '../../store/store.ts';
import { timeOfDay } from '../../kit/dates.ts';
import { DueList } from './DueList.tsx';
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
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 16px;
  & h1 {
    font-size: 24px;
    margin-right: auto;
  }
`;

const Otherwise = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 2px;
`;
/** How enquiries come that are not telephoned. */
const OTHER_WAYS = [
  { channel: 'walk-in', key: 'W', text: commonTexts.atTheDesk },
  { channel: 'email', key: 'E', text: deskTexts.email },
  { channel: 'text', key: 'T', text: deskTexts.text },
] as const;

const Side = styled.div`
  display: grid;
  gap: 22px;
  align-content: start;
`;
const Wide = styled.div`
  grid-column: 1 / -1;
`;

/** The lists are read anew so often while the Desk is visible and no stream is connected, in milliseconds. */
const REFRESH_MS = 5000;
/** And this often with a stream, as days pass without a change. */
const REFRESH_CONNECTED_MS = 60_000;
/** Changes that come together are read once, so long after the first, in milliseconds. */
const TOGETHER_MS = 250;
/** Every word that is typed in the clinic is a change; the lists are read no more often than this, in milliseconds. */
const MIN_BETWEEN_READS_MS = 2000;

function useDeskRefreshed(closedShown: boolean): void {
  useEffect(() => {
    const live = liveChanges();
    let readAt = -Infinity;
    let soon: ReturnType<typeof setTimeout> | undefined;
    const read = (): void => {
      clearTimeout(soon);
      soon = undefined;
      if (document.visibilityState === 'hidden') return;
      readAt = Date.now();
      void loadDesk(store, closedShown);
    };
    read();
    const timer = setInterval(() => {
      if (!live.isConnected || Date.now() - readAt > REFRESH_CONNECTED_MS) read();
    }, REFRESH_MS);
    const unsubscribe = live.subscribe(() => {
      const wait = Math.max(TOGETHER_MS, readAt + MIN_BETWEEN_READS_MS - Date.now());
      soon ??= setTimeout(read, wait);
    });
    document.addEventListener('visibilitychange', read);
    return () => {
      clearInterval(timer);
      clearTimeout(soon);
      unsubscribe();
      document.removeEventListener('visibilitychange', read);
    };
  }, [closedShown]);
}

/** The Desk: who is waiting, whom to call back, and the start of a new call. */
export function Desk() {
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const { queue, due, lookAgain, readAt, closedShown, problem, clinic, opening } = useAppSelector(
    (state) => state.desk,
  );
  const writes = useCan('cases.write');
  useDeskRefreshed(closedShown);
  useEffect(() => {
    document.title = deskTexts.deskSounding;
    dispatch(openingSet(false));
    if (store.getState().desk.clinic === null) void loadClinic(dispatch);
  }, [dispatch]);
  const start = async (channel: OpenCase['channel']): Promise<void> => {
    const id = await makeCase(store, channel);
    if (id !== null) await navigate(`/case/${id}`);
  };
  const today = clinic?.today ?? '';
  const away = problem !== null;
  useKeys(
    writes
      ? {
          n: () => void start('phone'),
          w: () => void start('walk-in'),
          e: () => void start('email'),
          t: () => void start('text'),
        }
      : {},
  );
  return (
    <Page>
      <Top>
        <h1>{commonTexts.desk}</h1>
        <Button onPress={() => dispatch(closedToggled())}>
          {closedShown ? deskTexts.showOpenCases : deskTexts.showClosedCases}
        </Button>
        {writes && (
          <>
            <Otherwise role="group" aria-label={deskTexts.otherwise}>
              {OTHER_WAYS.map(({ channel, key, text }) => (
                <Button
                  key={channel}
                  kind="quiet"
                  isDisabled={opening}
                  onPress={() => void start(channel)}
                >
                  {text} <Key>{key}</Key>
                </Button>
              ))}
            </Otherwise>
            <Button kind="main" isDisabled={opening} onPress={() => void start('phone')}>
              {deskTexts.takeANewEnquiry} <Key>N</Key>
            </Button>
          </>
        )}
      </Top>
      {problem && (
        <Wide>
          <Notice tone="caution">
            {problem.message} {problem.cure}
            {queue && readAt !== null && deskTexts.listsAsOf(timeOfDay(readAt))}
          </Notice>
        </Wide>
      )}
      <CaseTable
        list={queue}
        closed={closedShown}
        today={today}
        away={away}
        onMore={() => void loadMore(store, 'queue')}
      />
      {!closedShown && (
        <Side>
          <DueList
            title={deskTexts.due}
            empty={deskTexts.nothingDue}
            list={due}
            today={today}
            away={away}
            dayOf={({ due: next }) => next?.on ?? null}
            whyOf={({ due: next }) => (next ? deskTexts.dueWhy[next.why] : '')}
            onMore={() => void loadMore(store, 'due')}
          />
          <DueList
            title={deskTexts.lookAgain}
            empty={deskTexts.nobodyToAsk}
            list={lookAgain}
            today={today}
            away={away}
            dayOf={({ lookAgainOn }) => lookAgainOn}
            whyOf={({ plant }) => plant?.replaceAll('-', ' ') ?? ''}
            onMore={() => void loadMore(store, 'lookAgain')}
          />
        </Side>
      )}
    </Page>
  );
}
