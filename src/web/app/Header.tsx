import { appTexts } from '../texts/appTexts.ts';
import { commonTexts } from '../texts/commonTexts.ts';
import { Link, NavLink } from 'react-router';
import { styled } from 'styled-components';
import { Button } from '../kit/Button.tsx';
import { Key } from '../kit/Key.tsx';
import { selectUnsaved } from '../store/cases/selectors.ts';
import { useAppSelector } from '../store/store.ts';
import { selectPerson } from '../store/session/sessionSlice.ts';
import { AccountMenu } from './AccountMenu.tsx';
import { useTheme } from '../kit/theme.ts';
import { longDate } from '../kit/dates.ts';

const Bar = styled.header`
  display: flex;
  align-items: center;
  flex-wrap: wrap;
  gap: 0 14px;
  min-height: 44px;
  padding: 2px 16px;
  background: var(--surface);
  border-bottom: 1px solid var(--hairline);
`;
const Brand = styled(Link)`
  display: flex;
  align-items: center;
  gap: 8px;
  font: 700 18px/1 var(--heading);
  min-height: 28px;
  color: var(--ink);
  text-decoration: none;
  & img {
    width: 22px;
    height: 22px;
  }
`;
const Screens = styled.nav`
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
  & a {
    padding: 4px 10px;
    color: var(--ink);
    text-decoration: none;
    border-bottom: 2px solid transparent;
  }
  & a:hover {
    background: var(--teal-wash);
  }
  & a[aria-current='page'] {
    border-bottom-color: var(--teal);
    font-weight: 600;
  }
`;
const Where = styled.span`
  color: var(--quiet);
  flex: 1 1 220px;
  min-width: 0;
  text-align: right;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  @media (max-width: 640px) {
    display: none;
  }
`;

const Unsaved = styled(Link)`
  font-size: 14px;
  white-space: nowrap;
  color: var(--ochre);
`;

/** Cases other than the open one of which something is not saved. */
function UnsavedCases() {
  const cases = useAppSelector(selectUnsaved);
  const open = useAppSelector((state) => state.cases.open);
  return cases
    .filter(({ id }) => id !== open)
    .map(({ id, number, pending, refused }) => (
      <Unsaved key={id} to={`/case/${id}`}>
        {commonTexts.caseWord} {number}:{' '}
        {pending > 0 ? appTexts.notSavedYet(pending) : appTexts.notAccepted(refused)}
      </Unsaved>
    ));
}

/** The thin bar on top: home, the screens, the clinic and its day, the theme. */
export function Header({ onKeys }: { readonly onKeys: () => void }) {
  const clinic = useAppSelector((state) => state.desk.clinic);
  const person = useAppSelector(selectPerson);
  const [theme, turn] = useTheme();
  return (
    <Bar>
      <Brand to="/" aria-label={appTexts.soundingToTheDesk}>
        <img src="/mark.svg" alt="" />
        {appTexts.sounding}
      </Brand>
      <Screens aria-label={appTexts.screens}>
        <NavLink to="/" end>
          {commonTexts.desk}
        </NavLink>
        <NavLink to="/casebook">{commonTexts.casebook}</NavLink>
        <NavLink to="/season">{commonTexts.season}</NavLink>
        <NavLink to="/library">{commonTexts.library}</NavLink>
        <NavLink to="/bench">{commonTexts.bench}</NavLink>
        <NavLink to="/clinic">{commonTexts.clinic}</NavLink>
      </Screens>
      <UnsavedCases />
      <Where>{clinic ? `${clinic.name} · ${longDate(clinic.today)}` : ''}</Where>
      <Button kind="quiet" onPress={onKeys}>
        {appTexts.keys} <Key>?</Key>
      </Button>
      <Button kind="quiet" onPress={turn}>
        {theme === 'light' ? appTexts.dark : appTexts.light}
      </Button>
      {person && <AccountMenu person={person} />}
    </Bar>
  );
}
