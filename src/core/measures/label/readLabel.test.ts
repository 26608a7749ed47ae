import { readLabel } from './readLabel.ts';

const WHOLE = `Active ingredient: spinosad 0.5 %. CAUTION. For caterpillars and thrips on tomatoes and roses.
Mix 4 tablespoons per gallon of water. One gallon covers 200 sq ft. Repeat every 7 days. Do not apply more than 6 times
per year. Days to harvest: 3. Do not enter treated areas for 4 hours. Do not apply if rain is expected within 24 hours.
Do not apply above 90 F or below 50 F. My sprayer holds 2 gallons.`;

it('reads a whole label', () => {
  const label = readLabel(WHOLE);
  expect(label).toMatchObject({
    signal: 'caution',
    restricted: false,
    byAcre: false,
    everyDays: 7,
    mostPerYear: 6,
    daysToHarvest: 3,
    reentryHours: 4,
    rainFreeHours: 24,
    maxCelsius: 32,
    minCelsius: 10,
    spread: null,
  });
  // 4 tablespoons are a sixty-fourth of a gallon; a gallon on 200 sq ft is 4.908 square metres to the litre.
  expect(label.rate).toBeCloseTo(1 / 64, 9);
  expect(label.tank).toBeCloseTo(7.5708, 4);
  expect(label.covers).toBeCloseTo(18.5806 / 3.785412, 4);
});

it.each([
  ['Warning: causes eye damage', 'warning'],
  ['signal word is danger', 'danger'],
  ['DANGER. POISON', 'danger'],
  ['CAUTION, and WARNING below', 'warning'],
  ['use with caution.', null],
  ['there is no danger, it says', null],
  ['keep away from pets', null],
] as const)('signal word of %j', (text, signal) => {
  expect(readLabel(text).signal).toBe(signal);
});

it.each([
  ['10 lb covers 5,000 square feet', { spread: (10 * 453.59237) / (5000 * 0.09290304) }],
  ['spread 50 g to 1 square metre', { spread: 50 }],
  ['2 pints per acre', { byAcre: true }],
  ['interval of 2 weeks', { everyDays: 14 }],
  ['every 7 to 10 days', { everyDays: 7 }],
  ['14-day intervals', { everyDays: 14 }],
  ['pre-harvest interval of 7 days', { daysToHarvest: 7, everyDays: null }],
  ['restricted-entry interval of 12 hours', { reentryHours: 12, everyDays: null }],
  ['REI 12 hours', { reentryHours: 12 }],
  ['apply 20 g per square metre', { spread: 20 }],
  ['30 g/m2 of granules', { spread: 30 }],
  ['100 ml covers 50 square metres', { spread: null }],
  ['twice a year', { mostPerYear: 2 }],
  ['no more than eight applications a season', { mostPerYear: 8 }],
  ['wait 14 days before harvest', { daysToHarvest: 14, everyDays: null }],
  ['do not harvest within 7 days', { daysToHarvest: 7 }],
  ['PHI 1 day', { daysToHarvest: 1 }],
  ['re-entry after 2 days', { reentryHours: 48 }],
  ['rainfast in 2 hours', { rainFreeHours: 2 }],
  ['do not water for 6 hours', { rainFreeHours: 6 }],
  ['not when the temperature exceeds 30 C', { maxCelsius: 30 }],
  ['restricted use pesticide', { restricted: true }],
  ['for professional use only', { restricted: true }],
])('reads %j', (text, wanted) => {
  const label = readLabel(text);
  for (const [fact, value] of Object.entries(wanted)) {
    const read = label[fact as keyof typeof label];
    if (typeof value === 'number') expect(read).toBeCloseTo(value, 4);
    else expect(read).toBe(value);
  }
});

it('takes nothing as given that was not read', () => {
  const { text: _words, restricted, byAcre, ...rest } = readLabel('a green bottle');
  expect([restricted, byAcre]).toEqual([false, false]);
  expect(new Set(Object.values(rest))).toEqual(new Set([null]));
});
