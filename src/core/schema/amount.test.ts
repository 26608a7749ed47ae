import { repeatIn, amountSchema, firstQuantity, readAmount } from './amount.ts';

const parts = (text: string) => readAmount(text)?.parts ?? null;
const quantity = (from: number, to: number, unit: string) => ({ from, to, unit });

describe('an amount of the library', () => {
  it.each([
    ['every 7..10 days', ['every ', quantity(7, 10, 'days')]],
    ['5..8 cm deep', [quantity(5, 8, 'cm'), ' deep']],
    ['pH 5..5.5; 25 mm a week', ['pH 5..5.5; ', quantity(25, 25, 'mm'), ' a week']],
    ['5..5.5 pH', [quantity(5, 5.5, 'pH')]],
    ['stands -20 C', ['stands ', quantity(-20, -20, 'C')]],
    ['-5..5 C', [quantity(-5, 5, 'C')]],
    ['more than 60..100 /m2', ['more than ', quantity(60, 100, '/m2')]],
    ['10 g/m2 of nitrogen', [quantity(10, 10, 'g/m2'), ' of nitrogen']],
    ['2..3 L/m2', [quantity(2, 3, 'L/m2')]],
    ['once a year', ['once a year']],
    ['none', []],
  ])('%s', (text, expected) => {
    expect(parts(text)).toEqual(expected);
  });
  it.each(['some', '10-15 cm', '8..5 cm', '5 cmx', 'day by day', ''])('is not "%s"', (text) => {
    expect(parts(text)).toBeNull();
    expect(amountSchema.safeParse(text).success).toBe(false);
  });
  it('is worth its first quantity', () => {
    const first = (text: string) => firstQuantity(amountSchema.parse(text));
    expect(first('in 2..3 goes, 5..8 cm deep, 3 times')).toEqual(quantity(5, 8, 'cm'));
    expect(first('once a year')).toBeNull();
  });
});

describe('how often', () => {
  it.each([
    ['every 10..12 days, 4 times', { everyDays: 10, times: 4 }],
    ['again every 10..12 days, 4 times', { everyDays: 10, times: 4 }],
    ['every 7 days, for 4..5 weeks; alcohol of 70 %', { everyDays: 7, times: 5 }],
    ['every 2 weeks, 3..4 times', { everyDays: 14, times: 3 }],
    ['every 2..3 days', null],
    ['5..8 cm deep', null],
    ['every 2 years', null],
    ['every 2 days, for 12 weeks', null],
    ['3 times', null],
  ])('of %j', (text, wanted) => {
    const amount = readAmount(text);
    expect(amount && repeatIn(amount)).toEqual(wanted);
  });
});
