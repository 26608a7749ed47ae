import { seasonTexts } from '../../texts/seasonTexts.ts';
import {
  Area,
  CartesianGrid,
  ComposedChart,
  Line,
  ReferenceLine,
  ResponsiveContainer,
  XAxis,
  YAxis,
} from 'recharts';
import { addDays, dayOf, isoDay, type Day } from '../../../core/timing/calendar.ts';
import type { HeatPoint } from '../../../core/timing/outlook.ts';
import { dayAndMonth } from '../../kit/dates.ts';

/** ISO date of a day number, as the chart hands it back. */
const isoOf = (day: number): string => isoDay(addDays(FIRST_DAY, day));
const FIRST_DAY = dayOf(1970, 1, 1);

interface HeatChartProps {
  readonly heat: readonly HeatPoint[];
  readonly today: Day;
  readonly baseCelsius: number;
}

const HEIGHT = 210;

/** Heat of the year against the normal, with the band of what may come. */
export function HeatChart({ heat, today, baseCelsius }: HeatChartProps) {
  const points = heat.map(({ day, normal, low, median, high }) => ({
    day: Number(day),
    normal: Math.round(normal),
    year: Math.round(median),
    band: [Math.round(low), Math.round(high)],
  }));
  const last = heat.findLast(({ day }) => day <= today);
  const said = last
    ? seasonTexts.heatByToday(baseCelsius, Math.round(last.median), Math.round(last.normal))
    : '';
  return (
    <figure style={{ margin: 0 }}>
      <div role="img" aria-label={said}>
        <ResponsiveContainer width="100%" height={HEIGHT}>
          <ComposedChart
            data={points}
            margin={{ top: 6, right: 8, bottom: 0, left: 0 }}
            accessibilityLayer={false}
          >
            <CartesianGrid stroke="var(--hairline)" vertical={false} />
            <XAxis
              dataKey="day"
              type="number"
              domain={['dataMin', 'dataMax']}
              tickCount={6}
              tickFormatter={(day: number) => dayAndMonth(isoOf(day))}
              stroke="var(--quiet)"
              fontSize={13}
            />
            <YAxis width={48} stroke="var(--quiet)" fontSize={13} />
            <Area dataKey="band" stroke="none" fill="var(--teal-wash)" isAnimationActive={false} />
            <Line
              dataKey="normal"
              stroke="var(--quiet)"
              strokeDasharray="5 4"
              dot={false}
              isAnimationActive={false}
            />
            <Line
              dataKey="year"
              stroke="var(--teal)"
              strokeWidth={2}
              dot={false}
              isAnimationActive={false}
            />
            <ReferenceLine x={Number(today)} stroke="var(--ochre)" strokeWidth={2} />
          </ComposedChart>
        </ResponsiveContainer>
      </div>
      <figcaption style={{ fontSize: 13, color: 'var(--quiet)' }}>
        {said} {seasonTexts.heatLegend} {dayAndMonth(isoDay(today))}.
      </figcaption>
    </figure>
  );
}
