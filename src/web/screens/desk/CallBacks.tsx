import { commonTexts } from '../../texts/commonTexts.ts';
import { deskTexts } from '../../texts/deskTexts.ts';
import { Link } from 'react-router';
import { styled } from 'styled-components';
import { shortDate } from '../../kit/dates.ts';
import { Button } from '../../kit/Button.tsx';
import type { LineList } from '../../store/deskSlice.ts';

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
  /** Null while they are not known. */
  readonly list: LineList | null;
  readonly today: string;
  /** The server does not answer. */
  readonly away: boolean;
  readonly onMore: () => void;
}

function emptyWords(list: LineList | null, away: boolean): string | null {
  if (list) return list.lines.length === 0 ? deskTexts.noCallBackIsBooked : null;
  return away ? deskTexts.callBacksNotKnown : deskTexts.readingTheCallBacks;
}

/** Whom to call back, the most overdue first. */
export function CallBacks({ list, today, away, onMore }: CallBacksProps) {
  const empty = emptyWords(list, away);
  return (
    <Area aria-label={deskTexts.callBacks}>
      <h2>{commonTexts.callBack}</h2>
      {empty !== null && <p>{empty}</p>}
      <ul>
        {list?.lines.map(({ id, number, enquirer, callBackOn }) => (
          <li key={id}>
            <Due $late={callBackOn !== null && callBackOn < today}>
              {callBackOn !== null && shortDate(callBackOn, today)}{' '}
              {callBackOn !== null && dueWord(callBackOn, today)}
            </Due>
            <Link to={`/case/${id}`}>{enquirer || deskTexts.caseNumber(number)}</Link>
          </li>
        ))}
      </ul>
      {list !== null && list.next !== null && (
        <Button kind="quiet" onPress={onMore}>
          {deskTexts.laterCallBacks}
        </Button>
      )}
    </Area>
  );
}
