import { almanacAt, day } from '../../test/setting.ts';
import { REFERENCE_PLACE } from '../../test/miniLibrary.ts';
import { placeSchema } from '../schema/place.ts';
import { parseWindow, SEASONS } from '../schema/window.ts';
import { windowReasonText } from '../../wording/schedule.ts';
import { windowReason } from './windowReason.ts';

const { year } = almanacAt({ places: [placeSchema.parse(REFERENCE_PLACE)] }, 40);
const reason = (text: string, on = '2026-06-13'): string => {
  const rule = parseWindow(text);
  if (!rule) throw new Error(text);
  return windowReasonText(windowReason(rule, year, day(on), false, (id) => id));
};

it('tells how much heat there is and how much it takes', () => {
  expect(reason('dd10 150..900')).toMatch(
    /^between 150 and 900 degree-days above 10 C; \d+ so far$/,
  );
  expect(reason('dd10 150..900', '2026-01-01')).toMatch(/; 0 so far$/);
});

it('names the days and the place that a date was written for', () => {
  expect(reason('04-25..05-20')).toMatch(/^25 April to 20 May in the reference place, carried/);
  expect(reason('04-25..05-20 @fresno')).toMatch(/in fresno,/);
});

it('has a reason of its own for every season, and one for turns of the plant', () => {
  const reasons = SEASONS.map((season) => reason(season));
  expect(new Set(reasons).size).toBe(SEASONS.length);
  expect(reason('bloom-end..bloom-end+28')).toMatch(/the plant itself/);
});
