import { adviceContext } from '../../test/adviceContext.ts';
import { candidateOf } from '../../test/candidate.ts';
import { REFERENCE_PLACE } from '../../test/miniLibrary.ts';
import { findingId } from '../../test/setting.ts';
import { placeSchema } from '../schema/place.ts';
import { judge } from './safetyJudge.ts';

const context = adviceContext({ places: [placeSchema.parse(REFERENCE_PLACE)] }, 40, '2026-05-10', {
  traits: { edible: 'none' },
});

it('lets a practice pass with the cautions of the library', () => {
  const pulling = candidateOf({ rung: 'hand', cautions: ['Wear gloves.'] });
  expect(judge(pulling, context)).toEqual({
    candidate: pulling,
    cautions: [{ code: 'library', text: 'Wear gloves.' }],
    planCautions: [],
    referTo: [],
    forbidden: null,
  });
});

it('adds up what the rules say of a product', () => {
  const spray = candidateOf({
    classes: ['insecticide'],
    who: 'licensed',
    cautions: ['Not indoors.'],
  });
  expect(judge(spray, context)).toEqual({
    candidate: spray,
    cautions: [
      { code: 'library', text: 'Not indoors.' },
      { code: 'licence-holders-only' },
      { code: 'never-on-open-blossom' },
    ],
    planCautions: [{ code: 'keep-away-until-dry' }, { code: 'label-decides' }],
    referTo: ['licensed-applicator'],
    forbidden: null,
  });
});

it('stops at the first rule that forbids', () => {
  const near = {
    ...context,
    reported: new Set([findingId('plant-in-bloom'), findingId('near-open-water')]),
  };
  const spray = candidateOf({ classes: ['insecticide'], restricted: true });
  expect(judge(spray, near)).toEqual({
    candidate: spray,
    cautions: [{ code: 'licence-holders-only' }],
    planCautions: [],
    referTo: ['licensed-applicator'],
    forbidden: { code: 'open-blossom' },
  });
});
