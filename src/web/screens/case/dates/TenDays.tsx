import { datesTexts } from '../../../texts/datesTexts.ts';
import { styled } from 'styled-components';
import { addDays, isoDay, type Day } from '../../../../core/timing/calendar.ts';
import { dayReasonText } from '../../../../wording/schedule.ts';
import type { DayCheck } from '../../../../core/timing/dayCheck.ts';
import { weekdayAndDay } from '../../../kit/dates.ts';

const Days = styled.table`
  width: 100%;
  table-layout: fixed;
  border-collapse: collapse;
  font-size: 13px;
  line-height: 1.25;
  & th {
    font: 400 13px/1.3 var(--figures);
    color: var(--quiet);
    text-align: left;
    padding: 0 2px;
  }
  & td {
    padding: 2px 2px 2px 6px;
    border-left: 3px solid var(--teal);
    vertical-align: top;
  }
  & td[data-go='doubtful'] {
    border-left-style: dotted;
    border-left-color: var(--ochre);
  }
  & td[data-go='no-go'] {
    border-left: 3px double var(--brick);
    color: var(--quiet);
  }
  & b {
    display: block;
    font-weight: 600;
    color: var(--ink);
  }
`;

const WORD = { go: 'good', doubtful: 'perhaps', 'no-go': 'not' } as const;

function briefly({ go, reasons, hours }: DayCheck): string {
  if (go === 'no-go' || reasons.length > 0)
    return reasons.map((reason) => dayReasonText(reason).brief).join(', ');
  return hours ? `${hours.from}–${hours.to} h` : '';
}

function inFull({ reasons, hours }: DayCheck): string {
  const when = hours ? datesTexts.betweenHours(hours.from, hours.to) : '';
  return [...reasons.map((reason) => dayReasonText(reason).text), when].filter(Boolean).join('; ');
}

interface TenDaysProps {
  readonly checks: readonly DayCheck[];
  readonly from: Day;
  readonly name: string;
}

/** Whether each of the next days suits a step, with the reason. */
export function TenDays({ checks, from, name }: TenDaysProps) {
  const days = checks.map((check, i) => ({ check, day: isoDay(addDays(from, i)) }));
  return (
    <Days aria-label={datesTexts.nextDaysFor(name)}>
      <thead>
        <tr>
          {days.map(({ day }) => (
            <th key={day} scope="col">
              {weekdayAndDay(day)}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        <tr>
          {days.map(({ check, day }) => (
            <td key={day} data-go={check.go} title={inFull(check)}>
              <b>{WORD[check.go]}</b>
              {briefly(check)}
            </td>
          ))}
        </tr>
      </tbody>
    </Days>
  );
}
