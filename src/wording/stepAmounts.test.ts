import type { Worked } from '../core/advice/forSize.ts';
import { readAmount } from '../core/schema/amount.ts';
import { assumedText, stepAmountText } from './stepAmounts.ts';

const said = (text: string | null, forSize: Worked['forSize'] = null) =>
  stepAmountText(text === null ? null : readAmount(text), { forSize, assumed: [] });
const litres = (from: number, to: number) => ({ from, to, unit: 'L' as const });

describe('how much a step takes', () => {
  it('is the amount of the library where no size was said', () => {
    expect(said('every 7..10 days, 3 times')).toBe('every 7 to 10 days, 3 times');
    expect(said('none')).toBe('');
    expect(said(null)).toBe('');
  });
  it('names the total in place of the rate', () => {
    const quantity = { from: 280, to: 280, unit: 'g' as const };
    expect(said('5 g/m2 of nitrogen', { code: 'total', area: 55.7, part: 0, quantity })).toBe(
      'for 56 m² (600 sq ft): 280 g (9.9 oz) of nitrogen (5 g to the square meter (1 lb to 1,000 sq ft))',
    );
  });
  it('gives water in gallons and loose stuff in cubic feet', () => {
    expect(said('25 mm', { code: 'water', area: 10, quantity: litres(250, 250) })).toBe(
      '25 mm (1 in); for 10 m² (108 sq ft) that is 250 L (66 gal)',
    );
    expect(said('5 cm', { code: 'loose', area: 10, quantity: litres(500, 500) })).toBe(
      '5 cm (2 in); for 10 m² (108 sq ft) that is 500 L (18 cu ft)',
    );
  });
  it('takes the place of what holds for any size', () => {
    const every = { from: 2, to: 3, unit: 'days' as const };
    expect(said('7 days', { code: 'each-time', quantity: litres(4, 6), every })).toBe(
      '4 to 6 L (1 to 1 1/2 gal) each time, every 2 to 3 days',
    );
    expect(said(null, { code: 'every', quantity: every })).toBe('every 2 to 3 days');
  });
  it('names the next pot first', () => {
    const quantity = { from: 21, to: 23, unit: 'cm' as const };
    expect(said('feed after 4 weeks', { code: 'pot', quantity })).toBe(
      'a pot of 21 to 23 cm (8 to 9 in); feed after 4 weeks',
    );
    expect(said(null, { code: 'pot', quantity })).toBe('a pot of 21 to 23 cm (8 to 9 in)');
  });
});

it('says what was taken as given', () => {
  expect(assumedText('trunk-an-inch')).toContain('1 in');
});

it('says what a soil test comes to', () => {
  const rate = { from: 350, to: 350, unit: 'g/m2' as const };
  const byTest = { code: 'by-test' as const, quantity: rate };
  const all = { from: 6.5, to: 6.5, unit: 'kg' as const };
  expect(said(null, { ...byTest, goes: 2, total: all, area: 18.6 })).toBe(
    '350 g to the square meter (72 lb to 1,000 sq ft); for 19 m² (200 sq ft) that is 6.5 kg (14 lb), in 2 goes half a year apart',
  );
  expect(said(null, { ...byTest, goes: 1, total: null, area: null })).toBe(
    '350 g to the square meter (72 lb to 1,000 sq ft)',
  );
});
