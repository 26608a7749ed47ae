import { useEffect } from 'react';
import { Link, NavLink, useLocation, useNavigate, useParams, useSearchParams } from 'react-router';
import { styled } from 'styled-components';
import { usesUsUnits } from '../../../core/language/usUnits.ts';
import { CALCULATORS } from '../../../core/measures/all.ts';
import { useSpelling } from '../../store/useSpelling.ts';
import { MEASURE_WORDS } from '../../../wording/measureWords.ts';
import { listedLinks, SplitPage } from '../../kit/SplitPage.ts';
import { Notice } from '../../kit/Notice.tsx';
import { loadClinic } from '../../store/actions.ts';
import { useAppDispatch, useAppSelector } from '../../store/store.ts';
import { benchTexts } from '../../texts/benchTexts.ts';
import { commonTexts } from '../../texts/commonTexts.ts';
import { Calculation } from './Calculation.tsx';
import { ReportSheet } from './ReportSheet.tsx';
import { wayBackIn } from './wayBack.ts';
import { usualOf } from './blanks.ts';

const Side = styled.nav`
  overflow: auto;
  padding: 14px 0 20px 16px;
  border-right: 1px solid var(--hairline);
  & h2 {
    font-size: 14px;
    color: var(--quiet);
    padding-bottom: 3px;
  }
  & section + section {
    padding-top: 14px;
  }
  ${listedLinks}
`;

const GROUPS = ['water', 'ground', 'feeding', 'products', 'work'] as const;
/** The page that reads test reports stands beside the calculators. */
const REPORT = 'report';
const ALL = GROUPS.flatMap((group) => CALCULATORS[group]);

/** The bench: sums of the trade. What is typed stands in the address, so that a reload or a link keeps it. */
export function Bench() {
  const { id } = useParams();
  const [search, setSearch] = useSearchParams();
  const navigate = useNavigate();
  const { state } = useLocation() as { readonly state: unknown };
  const back = wayBackIn(state);
  const clinic = useAppSelector((state) => state.desk.clinic);
  const dispatch = useAppDispatch();
  useEffect(() => {
    if (!clinic) void loadClinic(dispatch);
  }, [clinic, dispatch]);
  const spell = useSpelling();
  const isUs = clinic === null || usesUsUnits(clinic.place);
  const calculator = id === undefined ? ALL[0] : ALL.find((one) => one.id === id);
  const typed = calculator
    ? { ...usualOf(calculator, isUs), ...Object.fromEntries(search.entries()) }
    : {};
  // From the address itself: the page may not have been drawn since the last letter of another box.
  const type = (name: string, text: string): void => {
    const next = new URLSearchParams(window.location.search);
    next.set(name, text);
    setSearch(next, { replace: true, state });
  };
  const startOver = (): void =>
    void navigate(id === undefined ? '/bench' : `/bench/${id}`, { replace: true, state });
  return (
    <SplitPage>
      <Side aria-label={commonTexts.bench}>
        {back !== null && (
          <section>
            <Link to={back}>{benchTexts.backToTheCase}</Link>
          </section>
        )}
        <section>
          <h2>{benchTexts.report.group}</h2>
          <ul>
            <li>
              <NavLink to={`/bench/${REPORT}`} state={state}>
                {benchTexts.report.name}
              </NavLink>
            </li>
          </ul>
        </section>
        {GROUPS.map((group) => (
          <section key={group}>
            <h2>{benchTexts.groups[group]}</h2>
            <ul>
              {CALCULATORS[group].map((one) => (
                <li key={one.id}>
                  <NavLink
                    to={`/bench/${one.id}`}
                    state={state}
                    aria-current={one === calculator ? 'page' : undefined}
                  >
                    {spell(MEASURE_WORDS[one.id]?.name ?? '')}
                  </NavLink>
                </li>
              ))}
            </ul>
          </section>
        ))}
      </Side>
      {id === REPORT ? (
        <ReportSheet
          typed={Object.fromEntries(search.entries())}
          isUs={isUs}
          onType={type}
          onStartOver={startOver}
        />
      ) : calculator ? (
        <Calculation
          calculator={calculator}
          typed={typed}
          isUs={isUs}
          onType={type}
          onStartOver={startOver}
        />
      ) : (
        <Notice>{benchTexts.unknown}</Notice>
      )}
    </SplitPage>
  );
}
