import { adviceContext } from '../../test/adviceContext.ts';
import { candidateOf } from '../../test/candidate.ts';
import { REFERENCE_PLACE } from '../../test/miniLibrary.ts';
import { findingId } from '../../test/setting.ts';
import { placeSchema } from '../schema/place.ts';
import { addDays } from '../timing/calendar.ts';
import type { WindowState } from '../timing/windows.ts';
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
    notBefore: null,
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
    notBefore: null,
  });
});

it('stops at the first rule that forbids', () => {
  const near = {
    ...context,
    reported: new Set([findingId('plant-in-bloom'), findingId('near-open-water')]),
  };
  const spray = candidateOf({ classes: ['insecticide'], who: 'licensed' });
  expect(judge(spray, near)).toMatchObject({
    planCautions: [{ code: 'keep-away-until-dry' }],
    referTo: ['licensed-applicator'],
    forbidden: { code: 'near-open-water' },
  });
});

describe('a step that a rule postpones', () => {
  const inBloom = { ...context, reported: new Set([findingId('plant-in-bloom')]) };
  const { today } = context;
  const until = addDays(today, 21);
  const inWindow = (from: number, to: number, kind: 'open' | 'opens'): WindowState => {
    const span = { from: addDays(today, from), to: addDays(today, to) };
    return kind === 'open' ? { kind, span } : { kind, span, closedSince: null };
  };
  const due = (state: WindowState) =>
    judge(candidateOf({ classes: ['insecticide'] }, undefined, { state }), inBloom);

  it.each<[string, WindowState, number, number]>([
    ['at any time', { kind: 'always' }, 21, 66],
    ['that is open beyond it', inWindow(-5, 40, 'open'), 21, 40],
    ['that opens before it', inWindow(10, 40, 'opens'), 21, 40],
    ['that opens after it', inWindow(30, 40, 'opens'), 30, 40],
  ])('is due then: %s', (_, state, from, to) => {
    const { candidate, cautions, forbidden, notBefore } = due(state);
    expect(forbidden).toBeNull();
    expect(notBefore).toBe(until);
    expect(candidate.state).toEqual(inWindow(from, to, 'opens'));
    expect(cautions).toContainEqual({ code: 'postponed', why: { code: 'open-blossom' } });
  });

  it('is forbidden where its window is over by then', () => {
    expect(due(inWindow(-5, 20, 'open')).forbidden).toEqual({ code: 'open-blossom' });
    expect(due({ kind: 'watch' }).forbidden).toEqual({ code: 'open-blossom' });
    expect(due({ kind: 'open', span: { from: today, to: until } }).forbidden).toBeNull();
  });
});
