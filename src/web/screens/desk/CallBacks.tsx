import { Link } from 'react-router';
import { styled } from 'styled-components';
import type { CaseSummary } from '../../../contracts/cases.ts';
import { shortDate } from '../../app/dates.ts';

const Area = styled.aside`
  border-top: 2px solid var(--ink);
  & h2 {
    font-size: 16px;
    padding: 8px 0;
  }
  & li {
    display: grid;
    grid-template-columns: 74px 1fr;
    gap: 4px 8px;
    padding: 8px 0;
    border-top: 1px solid var(--hairline);
  }
`;
const Due = styled.span<{ $late: boolean }>`
  font-family: var(--figures);
  font-size: 14px;
  color: ${({ $late }) => ($late ? 'var(--ochre)' : 'var(--quiet)')};
`;

const dueWord = (on: string, today: string): string => {
  if (on < today) return 'late';
  return on === today ? 'today' : '';
};

interface CallBacksProps {
  readonly cases: readonly CaseSummary[];
  readonly today: string;
}

/** Whom to call back, the most overdue first. */
export function CallBacks({ cases, today }: CallBacksProps) {
  const due = cases
    .flatMap((one) => (one.callBackOn === null ? [] : [{ ...one, on: one.callBackOn }]))
    .sort((a, b) => a.on.localeCompare(b.on));
  return (
    <Area aria-label="Call-backs">
      <h2>Call back</h2>
      {due.length === 0 && <p>No call-back is booked.</p>}
      <ul>
        {due.map((one) => (
          <li key={one.id}>
            <Due $late={one.on < today}>
              {shortDate(one.on, today)} {dueWord(one.on, today)}
            </Due>
            <Link to={`/case/${one.id}`}>{one.enquirer || `Case ${one.number}`}</Link>
          </li>
        ))}
      </ul>
    </Area>
  );
}
