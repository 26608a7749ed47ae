import { adviceContext } from '../../test/adviceContext.ts';
import { candidateOf, causeWith, suspectOf } from '../../test/candidate.ts';
import { miniLibrary } from '../../test/miniLibrary.ts';
import { plantId } from '../../test/setting.ts';
import { causeSchema } from '../schema/cause.ts';
import { BURDEN, EFFECT, HARM, RISK } from '../schema/scale.ts';
import { expectedGain, gatherCandidates, harmPoints, suspectsOf } from './candidates.ts';

const treatment = (id: string, more: Record<string, unknown> = {}) => ({
  id,
  name: `Do ${id}`,
  rung: 'hand',
  text: `Do ${id} in general.`,
  source: 'practice',
  ...more,
});
const LIBRARY = miniLibrary([{ id: 'sign' }], [{ id: 'pest', findings: { sign: 'always' } }], {
  'treatments/t.yaml': [
    treatment('pick', { effort: 'medium', money: 'low' }),
    treatment('spray', { rung: 'conventional', classes: ['insecticide'], effort: 'low' }),
    treatment('dry', { when: '08-01..08-20' }),
  ],
});
const gather = (causes: Record<string, unknown>[], change = {}) =>
  gatherCandidates(
    LIBRARY,
    causes.map((cause) => suspectOf(causeWith(cause))),
    adviceContext(LIBRARY, 40, '2026-06-13', change),
  );

it('counts looks half and harm to people double', () => {
  const points = (harm: Record<string, string>) => harmPoints(causeWith({ harm }).harm);
  expect(points({ yield: 'serious' })).toBe(HARM.serious);
  expect(points({ plant: 'serious', neighbours: 'slight' })).toBe(HARM.serious + HARM.slight);
  expect(points({ looks: 'serious' })).toBe(HARM.serious / 2);
  expect(points({ people: 'serious' })).toBe(2 * HARM.serious);
});

describe('who is suspected', () => {
  const suspected = (...probabilities: number[]) => {
    const causes = probabilities.map((_, i) => causeWith({ id: `cause-${i}` }));
    const ranking = probabilities.map((_, i) => i);
    ranking.sort((a, b) => (probabilities[b] ?? 0) - (probabilities[a] ?? 0));
    const posterior = { causes: Float64Array.from(probabilities), ranking };
    return suspectsOf({ causes }, posterior).map(({ probability }) => probability);
  };
  it.each([
    [
      [0.3, 0.1, 0.099],
      [0.3, 0.1],
    ],
    [
      [0.8, 0.2, 0.19],
      [0.8, 0.2],
    ],
    [
      [0.2, 0.8],
      [0.8, 0.2],
    ],
    [[0.05], []],
  ])('of %j: %j', (probabilities, expected) => {
    expect(suspected(...probabilities)).toEqual(expected);
  });
});

it('lists a treatment of two causes once, with the words for the likelier', () => {
  const found = gather([
    { id: 'a', treatments: [{ use: 'pick', effect: 'good', text: 'Pick it off at dusk.' }] },
    { id: 'b', treatments: [{ use: 'pick', effect: 'useful', text: 'Pick off the rest.' }] },
  ]);
  expect(found).toHaveLength(1);
  expect(found[0]?.text).toBe('Pick it off at dusk.');
  expect(found[0]?.targets.map(({ suspect, effect }) => [suspect.cause.id, effect])).toEqual([
    ['a', EFFECT.good],
    ['b', EFFECT.useful],
  ]);
});

it('adds effort, money and risk up to the burden', () => {
  const found = gather([{ treatments: ['pick', 'spray'].map((use) => ({ use, effect: 'good' })) }]);
  expect(found.map(({ burden }) => burden)).toEqual([
    BURDEN.medium + BURDEN.low,
    expect.closeTo(BURDEN.low + BURDEN.none + RISK.conventional, 10),
  ]);
});

it('takes the window of the cause before that of the treatment, and none under a roof', () => {
  const own = { use: 'dry', effect: 'good', when: '06-01..07-20' };
  const states = (cause: Record<string, unknown>, change = {}) =>
    gather([cause], change).map(({ state }) => state.kind);
  expect(states({ treatments: [own] })).toEqual(['open']);
  expect(states({ treatments: [{ use: 'dry', effect: 'good' }] })).toEqual(['opens']);
  expect(states({ treatments: [own] }, { traits: { indoors: true } })).toEqual(['always']);
});

it('leaves out what is not for the plant', () => {
  const treatments = [
    { use: 'pick', effect: 'good', only: ['moss'] },
    { use: 'dry', effect: 'good', except: ['fern'] },
    { use: 'spray', effect: 'good' },
  ];
  const ids = gather([{ treatments }], { kinds: [plantId('fern')] }).map((one) => one.treatment.id);
  expect(ids).toEqual(['spray']);
});

it('expects of a treatment its part of the harm that earlier steps left', () => {
  const cause = causeSchema.shape.id.parse('pest');
  const of = (harm: number, left: ReadonlyMap<string, number>) =>
    expectedGain(
      candidateOf({}, [{ suspect: suspectOf(causeWith(), 0.5, harm), effect: 0.4 }]),
      left,
    );
  expect(of(6, new Map())).toBeCloseTo(0.5 * 6 * 0.4);
  expect(of(6, new Map([[cause, 0.25]]))).toBeCloseTo(0.5 * 6 * 0.25 * 0.4);
  // Even a blemish is worth 0.8 points.
  expect(of(0.3, new Map())).toBeCloseTo(0.5 * 0.8 * 0.4);
});
