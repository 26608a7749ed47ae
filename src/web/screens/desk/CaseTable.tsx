import { commonTexts } from '../../texts/commonTexts.ts';
import { deskTexts, STATUS_WORDS } from '../../texts/deskTexts.ts';
import { Link } from 'react-router';
import { styled } from 'styled-components';
import type { CaseSummary } from '../../../contracts/cases.ts';
import { lastingInWords, shortDate, timeOfDay } from '../../kit/dates.ts';
import { useServerNow } from '../../store/useServerNow.ts';
import { Button } from '../../kit/Button.tsx';
import { Notice } from '../../kit/Notice.tsx';
import { Beneath, Figures, ListTable, TwoLines } from '../../kit/Table.ts';
import type { LineList } from '../../store/deskSlice.ts';

const Area = styled.section`
  min-width: 0;
`;

const Quiet = styled.span`
  color: var(--quiet);
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

/** When an enquiry came; how long ago where it came today and nobody has closed it. */
function cameInWords({ openedAt, status }: CaseSummary, today: string, now: number): string {
  const day = openedAt.slice(0, 10);
  if (day !== today || status === 'closed') return shortDate(day, today);
  return deskTexts.waits(timeOfDay(openedAt), lastingInWords(now - Date.parse(openedAt)));
}

/** The plants of a case by the name of the first. */
function plantOf({ plant, leading, plantCount }: CaseSummary): string {
  const name = leading?.plant ?? plant?.replaceAll('-', ' ') ?? deskTexts.plantNotKnown;
  return deskTexts.plants(name, plantCount - 1);
}

/** The queue, the newest enquiry on top. */
export function CaseTable({ list, closed, today, away, onMore }: CaseTableProps) {
  const now = useServerNow();
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
          <col style={{ width: 52 }} />
          <col style={{ width: 150 }} />
          <col style={{ width: 170 }} />
          <col />
          <col style={{ width: 92 }} />
          <col style={{ width: 116 }} />
          <col style={{ width: 104 }} />
        </colgroup>
        <thead>
          <tr>
            <th scope="col">{deskTexts.number}</th>
            <th scope="col">{deskTexts.enquirer}</th>
            <th scope="col">{deskTexts.plantAndCause}</th>
            <th scope="col">{deskTexts.inTheirWords}</th>
            <th scope="col">{deskTexts.cameBy}</th>
            <th scope="col">{deskTexts.assignee}</th>
            <th scope="col">{commonTexts.state}</th>
          </tr>
        </thead>
        <tbody>
          {lines.map((one) => (
            <tr key={one.id}>
              <Figures>{one.number}</Figures>
              <td>
                <Link to={`/case/${one.id}`}>{one.enquirer || deskTexts.nameNotTaken}</Link>
                <Beneath>{today && cameInWords(one, today, now)}</Beneath>
              </td>
              <td>
                {plantOf(one)}
                <Beneath>{one.leading?.cause ?? deskTexts.nothingLeads}</Beneath>
              </td>
              <td>
                <TwoLines>{one.words || deskTexts.nothingWrittenDownYet}</TwoLines>
              </td>
              <td>{CHANNEL_WORDS[one.channel]}</td>
              <td>{one.assignee ?? <Quiet>{deskTexts.nobodyHasIt}</Quiet>}</td>
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
