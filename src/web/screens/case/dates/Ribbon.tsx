import { datesTexts } from '../../../texts/datesTexts.ts';
import { styled } from 'styled-components';
import {
  addDays,
  civil,
  dayOf,
  DAYS_IN_YEAR,
  isoDay,
  type Day,
} from '../../../../core/timing/calendar.ts';
import type { StepSchedule } from '../../../../core/timing/schedule.ts';
import { dayAndMonth, MONTHS } from '../../../kit/dates.ts';
import { Doubt, TimelineRow, MonthNames, Span, Today } from '../../../kit/timelineRow.ts';

const Tick = styled.span`
  position: absolute;
  top: 3px;
  height: 24px;
  width: 5px;
  margin-left: -2px;
  background: var(--ink);
  &[data-done='yes'] {
    background: var(--surface);
    border: 1px solid var(--ink);
  }
`;

/** First day of the twelve months that are shown: the month of today is the first. */
export function ribbonStart(today: Day): Day {
  const { year, month } = civil(today);
  return dayOf(year, month, 1);
}

const within = (days: number): number => Math.max(0, Math.min(DAYS_IN_YEAR, days));
const share = (days: number): string => `${(100 * days) / DAYS_IN_YEAR}%`;

/** Left edge and width of a span, cut where the ribbon ends. */
function placed(from: Day, to: Day, first: Day): { left: string; width: string } {
  const left = within(from - first);
  return { left: share(left), width: share(within(to - first) - left) };
}
const word = (day: Day): string => dayAndMonth(isoDay(day));

/** The names of the next twelve months. */
export function RibbonMonths({ today }: { readonly today: Day }) {
  const { month } = civil(today);
  return (
    <MonthNames aria-hidden>
      {MONTHS.map((_, i) => {
        const name = MONTHS[(month - 1 + i) % 12] ?? '';
        return <span key={name}>{name}</span>;
      })}
    </MonthNames>
  );
}

interface RibbonProps {
  readonly step: StepSchedule;
  readonly today: Day;
}

/** A step in the next twelve months: its window with bands, today, and the days on which it is done. */
export function Ribbon({ step: { state, band, list }, today }: RibbonProps) {
  const first = ribbonStart(today);
  const span =
    state.kind === 'open' || state.kind === 'opens'
      ? state.span
      : { from: first, to: addDays(first, DAYS_IN_YEAR) };
  const open = state.kind === 'open' || state.kind === 'opens';
  const days = list.map(({ on }) => word(on)).join(', ');
  const label = open ? datesTexts.openTo(word(span.from), word(span.to)) : '';
  return (
    <TimelineRow
      role="img"
      aria-label={datesTexts.doneOnDays(label, days === '' ? datesTexts.noDay : days)}
    >
      {open && band && <Doubt style={placed(band.from.early, band.to.late, first)} />}
      {open && <Span data-kind="step" style={placed(span.from, addDays(span.to, 1), first)} />}
      <Today style={{ left: share(today - first) }} />
      {list
        .filter(({ on }) => on >= first && on < first + DAYS_IN_YEAR)
        .map(({ number, on, done }) => (
          <Tick
            key={number}
            data-done={done ? 'yes' : 'no'}
            style={{ left: share(on - first + 0.5) }}
          />
        ))}
    </TimelineRow>
  );
}
