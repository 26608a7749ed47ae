import fc from 'fast-check';
import { reliabilityOf, reportLikelihood } from './evidence.ts';

const share = fc.double({ min: 0, max: 1, noNaN: true });

describe('how a report follows from the truth', () => {
  it.each([
    // sure, background, heard when it is so, heard when it is not
    [0, 0.1, 0.5, 0.5],
    [0.7, 0.1, 0.745, 0.3 * 0.12],
    [0.85, 0.004, 0.86125, 0.15 * 0.024],
    [0.35, 0.1, 0.56125, 0.65 * (0.375 + 0.25 * 0.12)],
    // Nobody is surer than 0.999.
    [1, 0.1, 0.9990005, 0.001 * 0.12],
  ])('sure %d, background %d', (sure, background, yes, mistaken) => {
    const reliability = reliabilityOf(sure, background);
    expect(reliability.yesWhenTrue).toBeCloseTo(yes, 12);
    expect(reliability.yesWhenFalse).toBeCloseTo(mistaken, 12);
  });

  it('misses more than it makes up', () => {
    fc.assert(
      fc.property(share, (sure) => {
        const { yesWhenTrue, yesWhenFalse } = reliabilityOf(sure, 0.1);
        return 1 - yesWhenTrue >= yesWhenFalse - 1e-12;
      }),
    );
  });

  it('is likelier with the sign than without it', () => {
    fc.assert(
      fc.property(share, share, (sure, background) => {
        const { yesWhenTrue, yesWhenFalse } = reliabilityOf(sure, background * 0.4);
        return yesWhenTrue >= yesWhenFalse && yesWhenFalse >= 0 && yesWhenTrue <= 1;
      }),
    );
  });
});

it('mixes both by the chance that the sign is there; yes and no sum to 1', () => {
  const reliability = { yesWhenTrue: 0.9, yesWhenFalse: 0.2 };
  expect(reportLikelihood(0, true, reliability)).toBeCloseTo(0.2, 12);
  expect(reportLikelihood(1, true, reliability)).toBeCloseTo(0.9, 12);
  expect(reportLikelihood(0.5, true, reliability)).toBeCloseTo(0.55, 12);
  expect(reportLikelihood(0.5, false, reliability)).toBeCloseTo(0.45, 12);
});
