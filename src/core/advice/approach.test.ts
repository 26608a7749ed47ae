import { treatmentWith } from '../../test/candidate.ts';
import { RUNGS } from '../schema/treatment.ts';
import { hiddenBy } from './approach.ts';

const treatment = (rung: string, organic = true) => treatmentWith({ rung, organic });

it('hides nothing from those who take whatever works', () => {
  for (const rung of RUNGS) expect(hiddenBy('integrated', treatment(rung, false))).toBeNull();
});

it('hides what is not organic from those who garden so', () => {
  expect(hiddenBy('organic', treatment('hand'))).toBeNull();
  expect(hiddenBy('organic', treatment('conventional', false))).toEqual({ code: 'not-organic' });
});

it('leaves to those who would rather leave it alone what needs no product, and what must be done', () => {
  const shown = RUNGS.filter((rung) => hiddenBy('leave', treatment(rung)) === null);
  expect(shown).toEqual(['leave', 'hand', 'conditions', 'professional', 'replace']);
  expect(hiddenBy('leave', treatment('biological'))).toEqual({ code: 'not-left-alone' });
});
