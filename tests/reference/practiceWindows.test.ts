import { causeId, day } from '../../src/test/setting.ts';
import { createAlmanacs, type Almanac } from '../../src/core/timing/almanac.ts';
import { addDays, civil, isoDay, type Day } from '../../src/core/timing/calendar.ts';
import { weeksBelow } from '../../src/core/timing/degreeDays.ts';
import type { WindowRule } from '../../src/core/schema/window.ts';
import { library } from '../support/wholeLibrary.ts';

// Common practice of plant clinics, with no published source unless one is named beside the check.
const at = createAlmanacs(library.places);
const MIDWEST_42 = at({ lat: 42.3, lon: -83 });
const SOUTH_35 = at({ lat: 35.5, lon: -97.5 });
const COAST_44 = at({ lat: 44.6, lon: -67.9 });

function causeOf(id: string) {
  const cause = library.causes.get(causeId(id));
  if (!cause) throw new Error(`${id} is not in the library`);
  return cause;
}
function windowOf(id: string, treatment: string): WindowRule {
  const option = causeOf(id).treatments.find(({ use }) => use === treatment);
  const rule = option?.when ?? (option && library.treatments.get(option.use)?.when);
  if (!rule) throw new Error(`${id} has no window for ${treatment}`);
  return rule;
}
function stageOf(id: string, name: string): WindowRule {
  const stage = causeOf(id).stages.find((one) => one.name === name);
  if (!stage) throw new Error(`${id} has no stage ${name}`);
  return stage.when;
}
/** First and last day of the opening that is current on a day or comes next. */
function opening(almanac: Almanac, rule: WindowRule, on: string): { from: Day; to: Day } {
  const state = almanac.state(rule, day(on));
  if (state.kind !== 'open' && state.kind !== 'opens') throw new Error(state.kind);
  return state.span;
}
const monthDay = (one: Day): string => isoDay(one).slice(5);

it('boxwood psyllid: soap in late June is too late at 42 N; next is late April to late May', () => {
  const rule = windowOf('boxwood-psyllid', 'insecticidal-soap');
  const state = MIDWEST_42.state(rule, day('2026-06-25'));
  expect(state.kind).toBe('opens');
  const { from, to } = opening(MIDWEST_42, rule, '2026-06-25');
  expect(civil(from).year).toBe(2027);
  expect(monthDay(from) >= '04-18' && monthDay(to) <= '06-02').toBe(true);
});

it('bagworm: Bt about late May to early June at 35 N, later further north', () => {
  const rule = windowOf('bagworm', 'bt-caterpillar');
  const south = opening(SOUTH_35, rule, '2026-03-01');
  expect(monthDay(south.from) >= '05-01' && monthDay(south.from) <= '05-31').toBe(true);
  expect(monthDay(south.to) <= '06-20').toBe(true);
  const north = opening(MIDWEST_42, rule, '2026-03-01');
  expect(north.from - south.from).toBeGreaterThan(10);
  expect(opening(COAST_44, rule, '2026-03-01').from).toBeGreaterThan(north.from);
});

it('magnolia scale: crawlers in July to September at 42 N', () => {
  const { from, to } = opening(MIDWEST_42, stageOf('magnolia-scale', 'crawlers'), '2026-03-01');
  expect(monthDay(from) >= '07-10' && monthDay(from) <= '08-15').toBe(true);
  expect(monthDay(to) <= '09-20').toBe(true);
});

it('peachtree borer: the trunk is protected in early to mid June at 42 N', () => {
  const { from } = opening(
    MIDWEST_42,
    windowOf('peachtree-borer', 'preventive-borer-spray'),
    '2026-03-01',
  );
  expect(monthDay(from) >= '05-28' && monthDay(from) <= '06-15').toBe(true);
});

it('pine tip moth: the season of sprays runs from March to September at 35 N and repeats each 20 days', () => {
  const { from, to } = opening(SOUTH_35, windowOf('pine-tip-moth', 'spinosad'), '2026-01-10');
  expect(monthDay(from) >= '02-01' && monthDay(from) <= '03-31').toBe(true);
  expect(monthDay(to) >= '08-31').toBe(true);
  const told = causeOf('pine-tip-moth').treatments.map(({ text }) => text ?? '');
  expect(told.join(' ')).toMatch(/every 20 days/);
});

it('oil and soap are refused at 33 C and allowed at 25 C', () => {
  for (const id of ['horticultural-oil', 'insecticidal-soap'] as const) {
    const limits = [...library.treatments.values()].find((one) => one.id === id)?.limits;
    expect(limits?.maxCelsius).toBeLessThan(33);
    expect(limits?.maxCelsius).toBeGreaterThan(25);
  }
});

// Degree-days base 50 F from 1 January at first adult emergence of Japanese beetle: about 970 F, that is 540 C
// (D. A. Herms, "Using degree-days and plant phenology to predict pest activity", 2004).
it('Japanese beetle: adults from about 540 degree-days above 10 C, early July or before at 42 N', () => {
  const rule = stageOf('japanese-beetle', 'adults feed');
  expect(rule.kind === 'degree-days' && Math.abs(rule.from - 540) <= 40).toBe(true);
  const { from } = opening(MIDWEST_42, rule, '2026-03-01');
  expect(monthDay(from) >= '06-12' && monthDay(from) <= '07-12').toBe(true);
});

it('codling moth: first eggs hatch between mid May and mid June at 42 N', () => {
  const { from } = opening(MIDWEST_42, stageOf('codling-moth', 'first eggs hatch'), '2026-03-01');
  expect(monthDay(from) >= '05-10' && monthDay(from) <= '06-15').toBe(true);
});

it('a season comes half a year later south of the equator', () => {
  const south = at({ lat: -42.3, lon: 147 });
  const rule = stageOf('bagworm', 'eggs hatch');
  const { from } = opening(south, rule, '2026-07-01');
  expect(monthDay(from) >= '11-01' || monthDay(from) <= '02-28').toBe(true);
});

it('winter chill: a peony gets its 14 weeks below 11 C outside at 45 N, and none in a heated house', () => {
  const outside = at({ lat: 45, lon: -75 });
  const year = Array.from({ length: 365 }, (_, i) =>
    outside.normalOn(addDays(day('2026-01-01'), i)),
  );
  expect(weeksBelow(year, 11)).toBeGreaterThan(14);
  const house = year.map(() => ({ minCelsius: 15, maxCelsius: 21 }));
  expect(weeksBelow(house, 11)).toBe(0);
});

// Common practice of each place: when tomatoes go out, when most shrubs break, and when roses are pruned.
const MILD_AND_COLD: readonly (readonly [string, number, number, string, string, string])[] = [
  // place, latitude, longitude; out from; buds from; roses until
  ['Columbus', 39.96, -83, '05-10', '04-01', '04-01'],
  ['Minneapolis', 44.9, -93.2, '05-15', '04-20', '04-25'],
  ['Atlanta', 33.7, -84.4, '04-10', '02-20', '02-20'],
  ['Phoenix', 33.45, -112.07, '02-20', '01-25', '01-31'],
  ['Seattle', 47.6, -122.3, '05-15', '03-01', '03-01'],
  ['Denver', 39.7, -105, '05-20', '03-20', '04-01'],
  ['Bristol', 51.45, -2.6, '05-25', '03-15', '03-15'],
  ['London', 51.5, -0.1, '05-20', '03-12', '03-12'],
  ['Rome', 41.9, 12.5, '04-20', '02-25', '02-25'],
  ['Melbourne', -37.8, 145, '10-10', '09-01', '08-31'],
  ['Sydney', -33.9, 151.2, '09-01', '08-15', '08-20'],
];
/** Practice itself differs by so many days from year to year and from one garden to the next. */
const DAYS_APART = 24;

it.each(MILD_AND_COLD)(
  'the year of %s begins when its gardeners begin',
  (name, lat, lon, out, buds, roses) => {
    const almanac = at({ lat, lon });
    const spans = (season: 'frost-free' | 'bud-break' | 'late-winter') =>
      opening(almanac, { kind: 'season', season }, lat < 0 ? '2026-05-01' : '2025-11-15');
    const far = (one: Day, monthAndDay: string): number =>
      Math.abs(one - day(`${civil(one).year}-${monthAndDay}`));
    if (name !== 'Sydney') expect(far(spans('frost-free').from, out)).toBeLessThan(DAYS_APART);
    expect(far(spans('bud-break').from, buds)).toBeLessThan(DAYS_APART);
    expect(far(spans('late-winter').to, roses)).toBeLessThan(DAYS_APART);
  },
);

it('gives no dates of the north where there is no winter', () => {
  const miami = at({ lat: 25.8, lon: -80.2 });
  for (const text of ['calendar', 'heat'] as const) {
    const rule: WindowRule =
      text === 'calendar'
        ? { kind: 'calendar', from: { month: 9, day: 25 }, to: { month: 11, day: 20 }, at: null }
        : { kind: 'degree-days', baseCelsius: 10, from: 100, to: 300 };
    expect(miami.state(rule, day('2026-07-05')).kind).toBe('watch');
  }
});
