import { useEffect } from 'react';
import { Link } from 'react-router';
import { styled } from 'styled-components';
import type { CasebookLine } from '../../../contracts/casebook.ts';
import { shortDate } from '../../kit/dates.ts';
import { Button } from '../../kit/Button.tsx';
import { Notice } from '../../kit/Notice.tsx';
import { Beneath, Figures, ListTable, TwoLines } from '../../kit/Table.ts';
import { loadClinic } from '../../store/actions.ts';
import { useCan } from '../../store/useCan.ts';
import { store, useAppDispatch, useAppSelector } from '../../store/store.ts';
import { casebookTexts } from '../../texts/casebookTexts.ts';
import { commonTexts } from '../../texts/commonTexts.ts';
import { importTexts } from '../../texts/importTexts.ts';
import { learnedTexts } from '../../texts/learnedTexts.ts';
import { deskTexts, STATUS_WORDS } from '../../texts/deskTexts.ts';
import { Filters } from './Filters.tsx';
import { SavedSearches } from './SavedSearches.tsx';
import { TakeOut } from './TakeOut.tsx';
import { useCasebookQuery, useFoundCases } from './useSearch.ts';

const Page = styled.main`
  padding: 20px 24px 40px;
  overflow: auto;
  & h1 {
    font-size: 24px;
    padding-bottom: 12px;
  }
`;

const Head = styled.div`
  display: flex;
  align-items: baseline;
  gap: 20px;
`;

/** An id of the library as words: `rose-rust` is `rose rust`. */
const inWords = (id: string): string => id.replaceAll('-', ' ');

/** Every case of the clinic, found by what is known of it. */
export function Casebook() {
  const dispatch = useAppDispatch();
  const [query, change] = useCasebookQuery();
  const { lines, next, problem, more } = useFoundCases(query);
  const exports = useCan('cases.export');
  const imports = useCan('cases.import');
  const today = useAppSelector((state) => state.desk.clinic?.today ?? '');
  useEffect(() => {
    document.title = casebookTexts.title;
    if (store.getState().desk.clinic === null) void loadClinic(dispatch);
  }, [dispatch]);
  return (
    <Page>
      <Head>
        <h1>{commonTexts.casebook}</h1>
        <Link to="/casebook/learned">{learnedTexts.title}</Link>
        {imports && <Link to="/casebook/import">{importTexts.title}</Link>}
      </Head>
      <SavedSearches />
      <Filters query={query} onChange={change} />
      {problem && (
        <Notice tone="caution">
          {problem.message} {problem.cure}
        </Notice>
      )}
      {lines === null && !problem && <Notice>{casebookTexts.searching}</Notice>}
      {lines?.length === 0 && <Notice>{casebookTexts.nothing}</Notice>}
      {lines !== null && lines.length > 0 && <Lines lines={lines} today={today} />}
      {next !== null && (
        <Button kind="quiet" onPress={more}>
          {casebookTexts.more}
        </Button>
      )}
      {exports && lines !== null && lines.length > 0 && <TakeOut query={query} />}
    </Page>
  );
}

interface LinesProps {
  readonly lines: readonly CasebookLine[];
  readonly today: string;
}

function Lines({ lines, today }: LinesProps) {
  return (
    <ListTable>
      <caption hidden>{commonTexts.casebook}</caption>
      <colgroup>
        <col style={{ width: 66 }} />
        <col style={{ width: 110 }} />
        <col style={{ width: 170 }} />
        <col />
        <col style={{ width: 170 }} />
        <col style={{ width: 120 }} />
      </colgroup>
      <thead>
        <tr>
          <th scope="col">{casebookTexts.number}</th>
          <th scope="col">{casebookTexts.opened}</th>
          <th scope="col">{casebookTexts.enquirer}</th>
          <th scope="col">{casebookTexts.words}</th>
          <th scope="col">{casebookTexts.itWas}</th>
          <th scope="col">{casebookTexts.state}</th>
        </tr>
      </thead>
      <tbody>
        {lines.map(({ id, number, openedAt, enquirer, words, plant, people, outcome, status }) => (
          <tr key={id}>
            <Figures>{number}</Figures>
            <Figures>{shortDate(openedAt.slice(0, 10), today)}</Figures>
            <td>
              <Link to={`/casebook/${id}`}>{enquirer || deskTexts.nameNotTaken}</Link>
              <Beneath>{people.join(', ')}</Beneath>
            </td>
            <td>
              <TwoLines>{words || deskTexts.nothingWrittenDownYet}</TwoLines>
              {plant !== null && <Beneath>{inWords(plant)}</Beneath>}
            </td>
            <td>
              {outcome && (
                <>
                  <Link to={`/library/cause/${outcome.cause}`}>{inWords(outcome.cause)}</Link>
                  <Beneath>{casebookTexts.confirmed[outcome.confirmed]}</Beneath>
                </>
              )}
            </td>
            <td>{STATUS_WORDS[status]}</td>
          </tr>
        ))}
      </tbody>
    </ListTable>
  );
}
