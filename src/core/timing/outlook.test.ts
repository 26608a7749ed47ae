import { readMini } from '../../test/miniLibrary.ts';
import { day } from '../../test/setting.ts';
import { addDays } from './calendar.ts';
import { outlookFor, type OutlookRequest } from './outlook.ts';
import { standsOn } from './yearAhead.ts';

const { library } = readMini([{ id: 'spots' }], [{ id: 'a', findings: { spots: 'usual' } }]);
const today = day('2026-06-13');
const request: OutlookRequest = {
  places: library.places,
  at: { lat: 44.6, lon: -67.9 },
  today,
  observed: [],
  simulated: false,
  rules: [
    { kind: 'degree-days', baseCelsius: 10, from: 20, to: 60 },
    { kind: 'degree-days', baseCelsius: 10, from: 600, to: 700 },
    { kind: 'any' },
  ],
  bloom: null,
  baseCelsius: 10,
};
const outlook = outlookFor(request);

it('dates each rule in its order, and none for what is always so', () => {
  const [past, later, always] = outlook.predictionIntervals;
  expect(past && standsOn(past, today)).toBe('over');
  expect(later && standsOn(later, today)).toBe('ahead');
  expect(always).toBeNull();
});

it('draws heat that never falls, with the normal inside the band', () => {
  expect(outlook.heat.length).toBeGreaterThan(60);
  outlook.heat.forEach(({ low, median, high }, i) => {
    const before = outlook.heat[i - 1]?.median ?? 0;
    expect(low <= median && median <= high && median >= before).toBe(true);
  });
  const end = outlook.heat.at(-1);
  expect(Math.abs((end?.median ?? 0) / (end?.normal ?? 1) - 1)).toBeLessThan(0.15);
});

it('tells the next ten days, less surely the further they are', () => {
  expect(outlook.coming.map((one) => one.day)).toEqual(
    Array.from({ length: 10 }, (_, i) => addDays(today, i)),
  );
  expect(outlook.coming.at(-1)?.plusMinus).toBeGreaterThan(outlook.coming[0]?.plusMinus ?? 0);
  for (const { rain } of outlook.coming) expect(rain >= 0 && rain <= 1).toBe(true);
});

it('goes on from the last observed day', () => {
  const hot = {
    day: addDays(today, -1),
    minCelsius: 24,
    maxCelsius: 38,
    rainMillimetres: 0,
    windKmh: null,
  };
  const after = outlookFor({ ...request, observed: [hot] });
  expect(after.coming[0]?.maxCelsius).toBeGreaterThan((outlook.coming[0]?.maxCelsius ?? 0) + 4);
});
