import { saidSum } from './saidSum.ts';

const result = (text: string, id: string): number | undefined =>
  saidSum(text, true)?.results.find((one) => one.id === id)?.from;

it('1,000 square feet of roof under an inch give 623 gallons (arithmetic of the trade)', () => {
  const said = 'how many gallons come off 1000 square feet of roof in an inch of rain';
  expect((result(said, 'gives') ?? 0) / 3.785411784).toBeCloseTo(623.4, 1);
});

it('100 square feet at 6 inches take 400 plugs', () => {
  expect(result('how many zoysia plugs for 100 square feet at 6 inches apart', 'plants')).toBe(400);
  expect(result('plugs for 10 by 10 feet, 6 inch spacing', 'plants')).toBe(400);
});

it('10 pounds that cover 5,000 square feet are 2 pounds for 1,000', () => {
  const said = '10 pounds cover 5000 square feet and I have 1000';
  expect((result(said, 'in-all') ?? 0) / 0.45359237).toBeCloseTo(2, 6);
  const both = 'the bag of 10 lb covers 5,000 sq ft, my lawn is 1,000 sq ft';
  expect((result(both, 'in-all') ?? 0) / 0.45359237).toBeCloseTo(2, 6);
});

it('mulch: a bed of 10 by 20 feet, 3 inches deep, takes 50 cubic feet or 25 bags of two', () => {
  const said = 'how many bags of mulch for a bed 10 by 20 feet, 3 inches deep';
  expect((result(said, 'in-all') ?? 0) / 28.316846592).toBeCloseTo(50, 3);
  expect(result(said, 'bags')).toBe(25);
});

it.each([
  'how much mulch around my maple',
  'how many plants do I need',
  'the roof leaks on my pots',
  '10 pounds cover 5000 square feet',
  'my plants are 6 inches apart and yellow',
])('makes no sum of %j', (text) => {
  expect(saidSum(text, true)).toBeNull();
});
