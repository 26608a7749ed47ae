import { libraryTexts } from '../../texts/libraryTexts.ts';
import { styled } from 'styled-components';
import { MONTHS } from '../../kit/dates.ts';
import type { Almanac } from '../../../core/timing/almanac.ts';
import { DAYS_IN_YEAR, monthSpan, type Day } from '../../../core/timing/calendar.ts';
import type { WindowRule } from '../../../core/schema/window.ts';
import { dayOfYear, spansInYear } from '../../library/yearSpans.ts';
import { capital } from '../../../wording/midSentence.ts';

/** One line of the strip: when something is so. */
export interface StripRow {
  readonly name: string;
  readonly rule: WindowRule;
  /** What the cause does, or what is done about it. */
  readonly kind: 'cause' | 'treatment';
}

const percent = (days: number): string => `${(100 * days) / DAYS_IN_YEAR}%`;

const Grid = styled.div`
  display: grid;
  grid-template-columns: minmax(110px, 190px) minmax(0, 1fr);
  column-gap: 12px;
  font-size: 13px;
`;
const Lane = styled.div`
  position: relative;
  height: 22px;
  border-bottom: 1px solid var(--hairline);
  background-image: repeating-linear-gradient(
    to right,
    var(--hairline) 0 1px,
    transparent 1px calc(100% / 12)
  );
`;
const Head = styled.div`
  display: grid;
  grid-template-columns: repeat(12, minmax(0, 1fr));
  /* Where a month is narrower than its name, its first letters stand for it. */
  & > * {
    overflow: hidden;
  }
  color: var(--quiet);
`;
const Name = styled.div`
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  line-height: 22px;
`;
const Span = styled.span<{ $kind: StripRow['kind'] }>`
  position: absolute;
  top: 5px;
  height: 12px;
  background: ${({ $kind }) =>
    $kind === 'cause'
      ? 'var(--ink)'
      : 'repeating-linear-gradient(115deg, var(--teal) 0 3px, var(--teal-wash) 3px 6px)'};
  border: 1px solid ${({ $kind }) => ($kind === 'cause' ? 'var(--ink)' : 'var(--teal)')};
`;
const Today = styled.span`
  position: absolute;
  top: 0;
  bottom: 0;
  border-left: 2px solid var(--ochre);
`;

function datesInWords(spans: readonly { readonly from: number; readonly to: number }[]): string {
  const word = (day: number): string => {
    const month = MONTHS.findIndex((_, m) => day <= monthSpan(m + 1).last);
    return `${day - monthSpan(month + 1).first + 1} ${MONTHS[month] ?? ''}`;
  };
  if (spans.length === 0) return libraryTexts.notAtThisPlace;
  if (spans.length === 1 && spans[0]?.from === 0 && spans[0].to >= DAYS_IN_YEAR - 1)
    return libraryTexts.allYear;
  return spans.map(({ from, to }) => libraryTexts.span(word(from), word(to))).join(' and ');
}

interface YearStripProps {
  readonly rows: readonly StripRow[];
  readonly almanac: Almanac;
  readonly today: Day;
}

/** The year at the clinic as a strip: solid where the cause is seen, hatched where something is done, a line for today. */
export function YearStrip({ rows, almanac, today }: YearStripProps) {
  return (
    <Grid>
      <div />
      <Head aria-hidden>
        {MONTHS.map((month) => (
          <span key={month}>{month}</span>
        ))}
      </Head>
      {rows.map(({ name, rule, kind }) => {
        const spans = spansInYear(almanac, rule, today);
        return [
          <Name key={`${kind} ${name} name`} title={name}>
            {capital(name)}
          </Name>,
          <Lane key={`${kind} ${name}`} role="img" aria-label={`${name}: ${datesInWords(spans)}`}>
            {spans.map(({ from, to }) => (
              <Span
                key={from}
                $kind={kind}
                title={datesInWords([{ from, to }])}
                style={{ left: percent(from), width: percent(to - from + 1) }}
              />
            ))}
            <Today style={{ left: percent(dayOfYear(today)) }} />
          </Lane>,
        ];
      })}
    </Grid>
  );
}
