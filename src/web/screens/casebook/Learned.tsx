import { useEffect, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { styled } from 'styled-components';
import { learnedQuerySchema, type Learned as Counted } from '../../../contracts/learned.ts';
import type { Problem } from '../../../contracts/problem.ts';
import { CONFIRMATIONS } from '../../../core/diagnosis/learning.ts';
import type { Result } from '../../../core/util/result.ts';
import { api } from '../../api/api.ts';
import { DateField } from '../../kit/DateField.tsx';
import { FieldLabel, SelectBox } from '../../kit/fields.tsx';
import { HeadedPage as Page } from '../../kit/HeadedPage.ts';
import { Notice } from '../../kit/Notice.tsx';
import { useLibrary } from '../../library/useLibrary.ts';
import { loadClinic } from '../../store/actions.ts';
import { store, useAppDispatch } from '../../store/store.ts';
import { useCan } from '../../store/useCan.ts';
import { learnedTexts } from '../../texts/learnedTexts.ts';
import { ByCause, ByPerson, BySureness, FollowUps } from './LearnedTables.tsx';

const Bar = styled.search`
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 8px 14px;
  padding: 12px 0 4px;
  & > div + div {
    margin-top: 0;
  }
  & input,
  & select {
    height: 36px;
  }
`;
const Facts = styled.dl`
  display: flex;
  flex-wrap: wrap;
  gap: 10px 36px;
  margin: 14px 0 0;
  & div {
    max-width: 210px;
  }
  & dt {
    font: 600 26px/1.1 var(--figures);
  }
  & dd {
    margin: 0;
    color: var(--quiet);
    font-size: 14px;
  }
`;
const Halves = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 0 32px;
  @media (max-width: 1000px) {
    grid-template-columns: minmax(0, 1fr);
  }
`;

/** What is asked for, from the address; a field that says nothing sensible is left out. */
function useQuery() {
  const [params, setParams] = useSearchParams();
  const asked = learnedQuerySchema.safeParse(Object.fromEntries(params));
  const change = (key: string, value: string): void =>
    setParams(
      (before) => {
        const next = new URLSearchParams(before);
        if (value === '') next.delete(key);
        else next.set(key, value);
        return next;
      },
      { replace: true },
    );
  return { query: asked.success ? asked.data : {}, change };
}

/** What was said when cases were closed, beside what proved true. */
export function Learned() {
  const dispatch = useAppDispatch();
  const { query, change } = useQuery();
  const [read, setRead] = useState<Result<Counted, Problem> | null>(null);
  const key = JSON.stringify(query);
  useEffect(() => {
    document.title = learnedTexts.pageTitle;
    if (store.getState().desk.clinic === null) void loadClinic(dispatch);
    let isNewest = true;
    void api.learned(query).then((done) => {
      if (isNewest) setRead(done);
    });
    return () => {
      isNewest = false;
    };
  }, [dispatch, key]);
  return (
    <Page>
      <h1>{learnedTexts.title}</h1>
      <p>
        {learnedTexts.what} <Link to="/casebook">{learnedTexts.toCasebook}</Link>
      </p>
      <Bar>
        <DateField
          label={learnedTexts.from}
          value={query.from ?? ''}
          optional
          onChange={(day) => change('from', day)}
        />
        <DateField
          label={learnedTexts.to}
          value={query.to ?? ''}
          optional
          onChange={(day) => change('to', day)}
        />
        <label>
          <FieldLabel elementType="span">{learnedTexts.confirmedBy}</FieldLabel>
          <SelectBox
            value={query.confirmed ?? 'enquirer'}
            onChange={({ target }) =>
              change('confirmed', target.value === 'enquirer' ? '' : target.value)
            }
          >
            {CONFIRMATIONS.map((id) => (
              <option key={id} value={id}>
                {learnedTexts.confirmed[id]}
              </option>
            ))}
          </SelectBox>
        </label>
      </Bar>
      {read === null && <Notice>{learnedTexts.reading}</Notice>}
      {read?.ok === false && (
        <Notice tone="caution">
          {read.error.message} {read.error.cure}
        </Notice>
      )}
      {read?.ok === true && <Counts counted={read.value} />}
    </Page>
  );
}

const percent = (share: number | null): string =>
  share === null ? '–' : `${Math.round(100 * share)} %`;

function Counts({ counted }: { readonly counted: Counted }) {
  const { reading } = useLibrary();
  const seesAll = useCan('people.read');
  const shelf = reading?.shelf ?? null;
  const { cases, first, amongThree, brier, bins, causes, people, followUps } = counted;
  return (
    <>
      {cases === 0 ? (
        <Notice>{learnedTexts.none}</Notice>
      ) : (
        <>
          <Facts>
            <div>
              <dt>{cases}</dt>
              <dd>{learnedTexts.outcomes}</dd>
            </div>
            <div>
              <dt>{percent(first.share)}</dt>
              <dd>{learnedTexts.firstRight}</dd>
            </div>
            <div>
              <dt>{percent(amongThree.share)}</dt>
              <dd>{learnedTexts.amongThree}</dd>
            </div>
            <div>
              <dt>{brier?.toFixed(2)}</dt>
              <dd>{learnedTexts.brier}</dd>
            </div>
          </Facts>
          <BySureness bins={bins} />
          <ByCause causes={causes} shelf={shelf} />
        </>
      )}
      <Halves>
        <ByPerson people={people} seesAll={seesAll} />
        <FollowUps followUps={followUps} />
      </Halves>
    </>
  );
}
