import { amountSchema, AMOUNT_UNITS } from '../core/schema/amount.ts';
import { amountInWords, quantityText } from './quantities.ts';

const said = (text: string) => amountInWords(amountSchema.parse(text));

describe('an amount in words, in metric and US units', () => {
  // Factors: NIST SP 811 (2008), appendix B.8; rounded as on a ruler.
  it.each([
    ['5..8 cm deep', '5 to 8 cm (2 to 3 in) deep'],
    ['12 mm', '12 mm (1/2 in)'],
    ['2.5 cm', '2.5 cm (1 in)'],
    ['25..40 mm a week', '25 to 40 mm (1 to 1 1/2 in) a week'],
    ['60..90 cm', '60 to 90 cm (2 to 3 ft)'],
    ['1..2 m', '1 to 2 m (3 1/2 to 7 ft)'],
    ['0.8 mm', '0.8 mm (0.03 in)'],
    ['above 10 C', 'above 10 C (50 F)'],
    ['-20 C', '-20 C (-4 F)'],
    ['4..8 L', '4 to 8 L (1 to 2 gal)'],
    ['5 g/m2', '5 g to the square meter (1 lb to 1,000 sq ft)'],
    ['60..100 /m2', '60 to 100 to the square meter (5.6 to 9.3 to the square foot)'],
    ['every 7..10 days, 3..4 times', 'every 7 to 10 days, 3 to 4 times'],
    ['for 1 weeks', 'for 1 week'],
    ['5..5.5 pH', 'pH 5 to 5.5'],
    ['in 2..3 goes, at most 30 %', 'in 2 to 3 goes, at most 30 %'],
    ['once a year', 'once a year'],
    ['none', ''],
  ])('%s', (amount, words) => {
    expect(said(amount)).toBe(words);
  });

  it('has words for every unit', () => {
    for (const unit of AMOUNT_UNITS)
      expect(quantityText({ from: 2, to: 3, unit })).toMatch(/^(pH )?2 to 3( |$)/);
  });
});
