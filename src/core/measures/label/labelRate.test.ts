import { asksForStronger, saidMix } from './labelRate.ts';

const GALLON = 3.785411784;

it.each([
  // 256 tablespoons are a US gallon.
  ['the label says 2 tablespoons per gallon and my sprayer holds 3 gallons', 2 / 256, 3 * GALLON],
  ['1 oz to the gallon, I have a 2-gallon sprayer', 1 / 128, 2 * GALLON],
  ['it says 5 ml per litre. 8 litre tank', 0.005, 8],
  ['one teaspoon per quart of water', 1 / 192, null],
  ['Mix 20 ml in 5 litres of water', 0.004, null],
  ['10 ml/l', 0.01, null],
  // 16 cups are a US gallon.
  ['1/2 cup per 2 gallons', 1 / 64, null],
  ['6 fl. oz. per 3 gallons of water', 1 / 64, null],
  ['25 ml of concentrate to 10 litres', 0.0025, null],
  ['dilute 1:50 with water', 0.02, null],
  ['mix 1 part to 20 parts of water', 0.05, null],
  ['use a 2 % solution', 0.02, null],
  ['0.5 percent by volume, 15 litre knapsack sprayer', 0.005, 15],
  ['active ingredient 49 %', null, null],
  ['it is 1:30 now', null, null],
  ['water it with 2 litres per pot in 5 litres of soil', null, null],
  ['half a cup', null, null],
  ['two cups of coffee a day', null, null],
])('%s', (text, rate, tank) => {
  const mix = saidMix(text);
  if (rate === null) expect(mix).toBeNull();
  else {
    expect(mix?.rate).toBeCloseTo(rate, 9);
    if (tank === null) expect(mix?.tank).toBeNull();
    else expect(mix?.tank).toBeCloseTo(tank, 9);
  }
});

it.each([
  ['can I double the dose', true],
  ['should I mix it stronger like the professional one', true],
  ['twice the label rate', true],
  ['double flowers on my peony', false],
  ['I water it twice a day', false],
  ['the label says once a year', false],
])('stronger than the label: %s', (text, expected) => {
  expect(asksForStronger(text)).toBe(expected);
});
