import { commonTexts } from '../../texts/commonTexts.ts';
import { deskTexts, STATUS_WORDS } from '../../texts/deskTexts.ts';
import { Link } from 'react-router';
import { styled } from 'styled-components';
import { shortDate } from '../../kit/dates.ts';
import { Button } from '../../kit/Button.tsx';
import { Notice } from '../../kit/Notice.tsx';
import { Beneath, Figures, ListTable, TwoLines } from '../../kit/Table.ts';
import type { LineList } from '../../store/deskSlice.ts';

const Area = styled.section`
  min-width: 0;
`;

const RELEASE_WORDS = {
  asked: deskTexts.releaseAsked,
  released: deskTexts.released,
  'given-back': deskTexts.givenBack,
} as const;
const CHANNEL_WORDS = {
  phone: deskTexts.phone,
  email: deskTexts.email,
  'walk-in': commonTexts.atTheDesk,
  text: deskTexts.text,
} as const;

interface CaseTableProps {
  /** Null while it is not known. */
  readonly list: LineList | null;
  readonly closed: boolean;
  readonly today: string;
  /** The server does not answer. */
  readonly away: boolean;
  readonly onMore: () => void;
}

/** The queue, the newest enquiry on top. */
export function CaseTable({ list, closed, today, away, onMore }: CaseTableProps) {
  if (!list) return <Notice>{away ? deskTexts.queueNotKnown : deskTexts.readingTheQueue}</Notice>;
  const { lines, next } = list;
  if (lines.length === 0) {
    return <Notice>{closed ? deskTexts.noneClosed : deskTexts.nobodyIsWaiting}</Notice>;
  }
  return (
    <Area>
      <ListTable>
        <caption hidden>{closed ? deskTexts.closedCases : deskTexts.openCases}</caption>
        <colgroup>
          <col style={{ width: 58 }} />
          <col style={{ width: 170 }} />
          <col />
          <col style={{ width: 104 }} />
          <col style={{ width: 110 }} />
        </colgroup>
        <thead>
          <tr>
            <th scope="col">{deskTexts.number}</th>
            <th scope="col">{deskTexts.enquirer}</th>
            <th scope="col">{deskTexts.inTheirWords}</th>
            <th scope="col">{deskTexts.cameBy}</th>
            <th scope="col">{commonTexts.state}</th>
          </tr>
        </thead>
        <tbody>
          {lines.map((one) => (
            <tr key={one.id}>
              <Figures>{one.number}</Figures>
              <td>
                <Link to={`/case/${one.id}`}>{one.enquirer || deskTexts.nameNotTaken}</Link>
                <Beneath>{today && shortDate(one.openedAt.slice(0, 10), today)}</Beneath>
              </td>
              <td>
                <TwoLines>{one.words || deskTexts.nothingWrittenDownYet}</TwoLines>
              </td>
              <td>{CHANNEL_WORDS[one.channel]}</td>
              <td>
                {STATUS_WORDS[one.status]}
                {one.release !== null && one.status !== 'closed' && (
                  <Beneath>{RELEASE_WORDS[one.release]}</Beneath>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </ListTable>
      {next !== null && (
        <Button kind="quiet" onPress={onMore}>
          {deskTexts.earlierCases}
        </Button>
      )}
    </Area>
  );
}
