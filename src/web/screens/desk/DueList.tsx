import { Link } from 'react-router';
import { styled } from 'styled-components';
import type { CaseSummary } from '../../../contracts/cases.ts';
import { Button } from '../../kit/Button.tsx';
import { shortDate } from '../../kit/dates.ts';
import type { LineList } from '../../store/deskSlice.ts';
import { deskTexts } from '../../texts/deskTexts.ts';

const Area = styled.aside`
  border-top: 2px solid var(--ink);
  & h2 {
    font-size: 16px;
    padding: 8px 0;
  }
  & li {
    display: grid;
    grid-template-columns: 108px 1fr;
    gap: 2px 8px;
    padding: 8px 0;
    border-top: 1px solid var(--hairline);
  }
`;
const Due = styled.span<{ $late: boolean }>`
  font-family: var(--figures);
  font-size: 14px;
  white-space: nowrap;
  color: ${({ $late }) => ($late ? 'var(--ochre)' : 'var(--quiet)')};
`;
const Why = styled.span`
  grid-column: 2;
  color: var(--quiet);
  font-size: 14px;
`;

const dueWord = (on: string, today: string): string => {
  if (on < today) return deskTexts.late;
  return on === today ? deskTexts.today : '';
};

interface DueListProps {
  readonly title: string;
  /** What is said where there is nothing. */
  readonly empty: string;
  /** Null while it is not known. */
  readonly list: LineList | null;
  readonly today: string;
  /** The server does not answer. */
  readonly away: boolean;
  readonly dayOf: (line: CaseSummary) => string | null;
  readonly whyOf: (line: CaseSummary) => string;
  readonly onMore: () => void;
}

function emptyWords({ list, away, empty }: DueListProps): string | null {
  if (list) return list.lines.length === 0 ? empty : null;
  return away ? deskTexts.notKnown : deskTexts.reading;
}

/** Cases that come up again, the most overdue first: the day, who, and why. */
export function DueList(props: DueListProps) {
  const { title, list, today, dayOf, whyOf, onMore } = props;
  const words = emptyWords(props);
  return (
    <Area aria-label={title}>
      <h2>{title}</h2>
      {words !== null && <p>{words}</p>}
      <ul>
        {list?.lines.map((line) => {
          const on = dayOf(line);
          return (
            <li key={line.id}>
              <Due $late={on !== null && on < today}>
                {on !== null && shortDate(on, today)} {on !== null && dueWord(on, today)}
              </Due>
              <Link to={`/case/${line.id}`}>
                {line.enquirer || deskTexts.caseNumber(line.number)}
              </Link>
              <Why>{whyOf(line)}</Why>
            </li>
          );
        })}
      </ul>
      {list !== null && list.next !== null && (
        <Button kind="quiet" onPress={onMore}>
          {deskTexts.later}
        </Button>
      )}
    </Area>
  );
}
