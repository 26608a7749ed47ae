import { commonTexts } from '../../texts/commonTexts.ts';
import { seasonTexts } from '../../texts/seasonTexts.ts';
import { eventName } from '../../../wording/season.ts';
import { useState } from 'react';
import { Link } from 'react-router';
import { styled } from 'styled-components';
import { civil, DAYS_IN_YEAR, dayOf, isoDay, type Day } from '../../../core/timing/calendar.ts';
import { standsOn, type BandedDay } from '../../../core/timing/yearAhead.ts';
import { dayAndMonth, MONTHS } from '../../kit/dates.ts';
import { Button } from '../../kit/Button.tsx';
import { Notice } from '../../kit/Notice.tsx';
import { Doubt, TimelineRow, MonthNames, Span, Today } from '../../kit/timelineRow.ts';
import type { DatedEvent } from '../../season/seasonFiles.ts';

const Legend = styled.p`
  font-size: 13px;
  color: var(--quiet);
  padding-bottom: 6px;
`;
const Group = styled.h2`
  font-size: 15px;
  padding: 14px 0 4px;
  & span {
    color: var(--quiet);
    font-size: 13px;
    font-weight: 400;
    font-family: var(--sans);
  }
`;
const Row = styled.li`
  display: grid;
  grid-template-columns: 220px minmax(0, 1fr) 206px;
  gap: 12px;
  align-items: center;
  border-top: 1px solid var(--hairline);
  font-size: 14px;
  line-height: 1.3;
`;
/** Stays in sight while the list is scrolled. */
const MonthRow = styled(Row)`
  position: sticky;
  top: -8px;
  z-index: 1;
  background: var(--surface);
`;
const Name = styled.div`
  padding: 4px 0;
  & small {
    display: block;
    font-size: 13px;
    color: var(--quiet);
  }
`;
const Dates = styled.span`
  font-family: var(--figures);
  font-size: 13px;
`;

const percent = (days: number): string => `${(100 * days) / DAYS_IN_YEAR}%`;
const inYear = (day: Day, first: Day): number => Math.max(0, Math.min(DAYS_IN_YEAR, day - first));
const word = (day: Day): string => dayAndMonth(isoDay(day));
const spread = ({ early, late }: BandedDay): number => Math.round((late - early) / 2);

function inWords({ span: { from, to } }: DatedEvent): string {
  const doubt = Math.max(spread(from), spread(to));
  return seasonTexts.timelineSpan(word(from.median), word(to.median), doubt);
}

interface TimelineProps {
  readonly dated: readonly DatedEvent[];
  readonly today: Day;
}

const MAX_SHOWN = 30;

/** What is going on, what comes next and what is over, each on the axis of the year with its band. */
export function Timeline({ dated, today }: TimelineProps) {
  const of = (state: ReturnType<typeof standsOn>): DatedEvent[] =>
    dated.filter(({ span }) => standsOn(span, today) === state);
  const open = of('open').sort((a, b) => a.span.to.median - b.span.to.median);
  const ahead = of('ahead').sort((a, b) => a.span.from.median - b.span.from.median);
  const over = of('over').sort((a, b) => b.span.to.median - a.span.to.median);
  if (dated.length === 0) return <Notice>{seasonTexts.nothingDated}</Notice>;
  return (
    <div>
      <Legend>{seasonTexts.timelineLegend}</Legend>
      <MonthRow as="div" aria-hidden>
        <span />
        <MonthNames>
          {MONTHS.map((month) => (
            <span key={month}>{month}</span>
          ))}
        </MonthNames>
        <span />
      </MonthRow>
      <Rows
        title={commonTexts.now}
        note={seasonTexts.theSoonestToCloseFirst}
        list={open}
        today={today}
      />
      <Rows
        title={seasonTexts.next}
        note={seasonTexts.theSoonestToOpenFirst}
        list={ahead}
        today={today}
      />
      <Rows
        title={seasonTexts.overForThisYear}
        note={seasonTexts.theLastToCloseFirst}
        list={over}
        today={today}
      />
    </div>
  );
}

interface RowsProps extends Pick<TimelineProps, 'today'> {
  readonly title: string;
  readonly note: string;
  readonly list: readonly DatedEvent[];
}

function Rows({ title, note, list, today }: RowsProps) {
  const [all, setAll] = useState(false);
  const first = dayOf(civil(today).year, 1, 1);
  if (list.length === 0) return null;
  const shown = all ? list : list.slice(0, MAX_SHOWN);
  return (
    <section aria-label={title}>
      <Group>
        {title}{' '}
        <span>
          {shown.length < list.length ? seasonTexts.shownOf(MAX_SHOWN, list.length) : ''}
          {note}
        </span>
      </Group>
      <ul>
        {shown.map((one) => {
          const { event, span } = one;
          const name = eventName(event.name);
          const [from, to] = [inYear(span.from.median, first), inYear(span.to.median, first)];
          const [early, late] = [inYear(span.from.early, first), inYear(span.to.late, first)];
          return (
            <Row key={`${event.about} ${event.kind} ${name}`}>
              <Name>
                <Link to={`/library/${event.kind === 'plant' ? 'plant' : 'cause'}/${event.about}`}>
                  {event.aboutName}
                </Link>
                <small>{name}</small>
              </Name>
              <TimelineRow role="img" aria-label={`${event.aboutName}, ${name}: ${inWords(one)}`}>
                <Doubt style={{ left: percent(early), width: percent(late - early) }} />
                <Span
                  data-kind={event.kind}
                  style={{ left: percent(from), width: percent(Math.max(2, to - from + 1)) }}
                />
                <Today style={{ left: percent(today - first) }} />
              </TimelineRow>
              <Dates>{inWords(one)}</Dates>
            </Row>
          );
        })}
      </ul>
      {shown.length < list.length && (
        <Button kind="quiet" onPress={() => setAll(true)}>
          {seasonTexts.showAll} {list.length}
        </Button>
      )}
    </section>
  );
}
