import { adviceContext } from '../../test/adviceContext.ts';
import { candidateOf, causeWith, suspectOf } from '../../test/candidate.ts';
import { REFERENCE_PLACE } from '../../test/miniLibrary.ts';
import { day, findingId } from '../../test/setting.ts';
import { CATEGORIES, type Category } from '../schema/cause.ts';
import { placeSchema } from '../schema/place.ts';
import { windowSchema } from '../schema/window.ts';
import { addDays, type Day } from '../timing/calendar.ts';
import type { Candidate } from './candidates.ts';
import type { AdviceContext } from './context.ts';
import * as rules from './safetyRules.ts';

const places = [placeSchema.parse(REFERENCE_PLACE)];

const candidate = (
  treatment: Record<string, unknown>,
  category: Category = 'insect',
  probability = 0.9,
): Candidate =>
  candidateOf(treatment, [
    { suspect: suspectOf(causeWith({ category }), probability), effect: 0.6 },
  ]);

const context = (change: Partial<AdviceContext> = {}): AdviceContext =>
  adviceContext({ places }, 40, '2026-05-10', change);

const insecticide = { classes: ['insecticide'] };

const allow = { kind: 'allow' };
const forbid = (code: string) => ({ kind: 'forbid', reason: { code } });
const postponed = (code: string, until: Day) => ({ kind: 'postpone', reason: { code }, until });
const caution = (code: string) => ({ kind: 'caution', caution: { code } });
const planCaution = (code: string) => ({ kind: 'plan-caution', caution: { code } });
const reporting = (...ids: string[]) => ({ reported: new Set(ids.map(findingId)) });

describe('no treatment before a cause', () => {
  it.each([
    [0.49, forbid('cause-unsure')],
    [0.5, allow],
  ])('a product at a probability of %d', (probability, ruling) => {
    expect(rules.causeFirst(candidate(insecticide, 'insect', probability), context())).toEqual(
      ruling,
    );
  });
  it('lets a practice pass at any probability', () => {
    expect(rules.causeFirst(candidate({}, 'insect', 0.1), context())).toEqual(allow);
  });
  it('lets pass what a question of care asks about', () => {
    const topic = causeWith({
      id: 'care-x',
      category: 'care',
      findings: { 'asks-care-x': 'always' },
    });
    const asked = candidateOf(insecticide, [{ suspect: suspectOf(topic, 0.1), effect: 0.6 }]);
    expect(rules.causeFirst(asked, context())).toEqual(allow);
    const { targets } = candidate(insecticide, 'insect', 0.1);
    const besides = candidateOf(insecticide, [...asked.targets, ...targets]);
    expect(rules.causeFirst(besides, context())).toEqual(forbid('cause-unsure'));
  });
  it('adds up what a product is against', () => {
    const one = candidate(insecticide, 'insect', 0.3);
    const both = { ...one, targets: [...one.targets, ...one.targets] };
    expect(rules.causeFirst(both, context())).toEqual(allow);
  });
});

describe('what is a pesticide', () => {
  it.each([
    [[], false],
    [['nutrient'], false],
    [['repellent'], false],
    [['repellent', 'nutrient'], false],
    [['repellent', 'insecticide'], true],
    [['fungicide'], true],
    [['bactericide'], true],
    [['herbicide'], true],
    [['rodenticide'], true],
  ])('%j: %s', (classes, pesticide) => {
    expect(rules.isPesticide(candidate({ classes }).treatment)).toBe(pesticide);
  });
});

describe('the right kind of product', () => {
  it.each([
    ['insecticide', ['insect']],
    ['miticide', ['mite']],
    ['molluscicide', ['mollusc']],
    ['fungicide', ['fungus', 'oomycete']],
    ['bactericide', ['bacterium']],
    ['herbicide', ['weed']],
    ['rodenticide', ['vertebrate']],
  ] as const)('%s works on %j alone', (product, categories) => {
    // A question of care names what it is for.
    const works = CATEGORIES.filter((category) => category !== 'care').filter(
      (category) =>
        rules.rightKind(candidate({ classes: [product] }, category), context()).kind === 'allow',
    );
    expect(works).toEqual(expect.arrayContaining([...categories]));
    expect(works).toHaveLength(categories.length);
  });

  it('is what a question of care asks for', () => {
    const asked = candidate({ classes: ['herbicide'] }, 'care');
    expect(rules.rightKind(asked, context())).toEqual(allow);
  });

  const on = (classes: string[], ...categories: Category[]) =>
    rules.rightKind(
      {
        ...candidate({ classes }),
        targets: categories.flatMap((category) => candidate({}, category).targets),
      },
      context(),
    );
  it('names its reason', () => {
    expect(on(['insecticide'], 'fungus')).toEqual(forbid('wrong-kind-of-product'));
  });
  it('wants every target reached, each by one of the classes', () => {
    expect(on(['insecticide'], 'insect', 'mite').kind).toBe('forbid');
    expect(on(['insecticide', 'miticide'], 'insect', 'mite').kind).toBe('allow');
  });
});

it.each([
  ['licensed', 'licensed-applicator', 'licence-holders-only'],
  ['pest-control', 'pest-control', 'operators-only'],
])('sends what is for those who are %s to a %s', (who, to, code) => {
  expect(rules.restrictedUse(candidate({ who }), context())).toEqual({
    kind: 'refer',
    to,
    caution: { code },
  });
});
it('sends nobody to a licence holder without need', () => {
  expect(rules.restrictedUse(candidate(insecticide), context())).toEqual(allow);
});

describe('systemic insecticides', () => {
  const systemic = { ...insecticide, hazards: ['systemic'] };
  it.each([
    [systemic, { edible: 'fruit' as const }, forbid('systemic-on-food')],
    [systemic, { edible: 'none' as const }, allow],
    // What is not known of a plant counts against the product.
    [systemic, {}, forbid('systemic-on-food')],
    [insecticide, { edible: 'fruit' as const }, allow],
    [{ classes: ['fungicide'], hazards: ['systemic'] }, { edible: 'fruit' as const }, allow],
  ])('%j on a plant with %j', (treatment, traits, ruling) => {
    expect(rules.systemicOnFood(candidate(treatment), context({ traits }))).toEqual(ruling);
  });

  it.each([
    [systemic, { beeVisited: true }, forbid('systemic-where-bees-visit')],
    [systemic, {}, forbid('systemic-where-bees-visit')],
    [systemic, { beeVisited: false }, caution('never-on-open-blossom')],
    [insecticide, { beeVisited: true }, caution('never-on-open-blossom')],
    [{ ...insecticide, applied: 'soil' }, { beeVisited: true }, allow],
    [{ ...systemic, applied: 'soil' }, { beeVisited: true }, forbid('systemic-where-bees-visit')],
  ])('%j where bees are: %j', (treatment, traits, ruling) => {
    expect(rules.openBlossom(candidate(treatment), context({ traits }))).toEqual(ruling);
  });
});

describe('open blossom', () => {
  const inBloom = reporting('plant-in-bloom');
  const afterThreeWeeks = postponed('open-blossom', addDays(context().today, 21));
  it.each([
    [['insecticide'], afterThreeWeeks],
    [['miticide'], afterThreeWeeks],
    [['fungicide', 'insecticide'], afterThreeWeeks],
    [['fungicide'], allow],
    [[], allow],
  ])('of a plant reported in flower, %j', (classes, ruling) => {
    expect(rules.openBlossom(candidate({ classes }), context(inBloom))).toEqual(ruling);
  });
  it('is what the usual weeks of bloom bring', () => {
    const traits = { bloom: windowSchema.parse('05-01..05-25') };
    const on = (today: string) =>
      rules.openBlossom(candidate(insecticide), context({ traits, today: day(today) }));
    expect(on('2026-05-10')).toEqual(postponed('open-blossom', day('2026-05-26')));
    expect(on('2026-08-01')).toEqual(caution('never-on-open-blossom'));
  });
});

describe('oils and soaps', () => {
  const soap = candidate({ ...insecticide, hazards: ['oil-or-soap'] });
  // Common practice: above about 90 F they burn leaves.
  const reason = { code: 'oil-in-heat', maxCelsius: 32 };
  const heat = { kind: 'postpone', reason };
  // No cooler day comes.
  const inHeat = { kind: 'forbid', reason };
  const careful = { kind: 'caution', caution: { code: 'oil-limits', maxCelsius: 32 } };
  const at = (maxCelsius: number) => ({
    almanac: { ...context().almanac, normalOn: () => ({ minCelsius: 20, maxCelsius }) },
  });
  it.each([
    ['in a hot spell', reporting('hot-spell'), { ...heat, until: addDays(context().today, 7) }],
    [
      'on a thirsty plant',
      reporting('soil-dry'),
      postponed('oil-on-thirsty-plant', addDays(context().today, 3)),
    ],
    ['where the normal day reaches the limit', at(32), inHeat],
    ['where the normal day stays below it', at(31.9), careful],
    ['on a mild day', {}, careful],
  ])('%s', (_, change, ruling) => {
    expect(rules.oilInHeat(soap, context(change))).toEqual(ruling);
  });

  it('wait for the first day whose normal maximum is below the limit', () => {
    const { today, almanac } = context();
    const cool = addDays(today, 40);
    const normalOn = (on: Day) => ({ minCelsius: 20, maxCelsius: on < cool ? 33 : 31 });
    const summer = context({ almanac: { ...almanac, normalOn } });
    expect(rules.oilInHeat(soap, summer)).toEqual({ ...heat, until: cool });
  });

  it.each([
    [150, 'postpone'],
    [151, 'forbid'],
  ])('look %d days ahead for it: %s', (days, kind) => {
    const { today, almanac } = context();
    const normalOn = (on: Day) => ({ minCelsius: 20, maxCelsius: on < today + days ? 33 : 31 });
    const summer = context({ almanac: { ...almanac, normalOn } });
    expect(rules.oilInHeat(soap, summer).kind).toBe(kind);
  });
  it('concern no other product', () => {
    expect(rules.oilInHeat(candidate(insecticide), context(reporting('hot-spell')))).toEqual(allow);
  });
});

describe('work high in a tree', () => {
  const fromTheGround = {
    kind: 'refer',
    to: 'arborist',
    caution: { code: 'reach-from-the-ground' },
  };
  it('is an arborist’s', () => {
    expect(rules.tallTrees(candidate({ who: 'arborist' }), context())).toEqual({
      kind: 'refer',
      to: 'arborist',
      caution: { code: 'arborist-only' },
    });
  });
  it.each([
    [{ hazards: ['aloft'] }, { traits: { tall: true } }, fromTheGround],
    [{ hazards: ['aloft'] }, reporting('tall-plant'), fromTheGround],
    [{ hazards: ['aloft'] }, {}, allow],
    [{}, { traits: { tall: true } }, allow],
  ])('%j with %j', (treatment, change, ruling) => {
    expect(rules.tallTrees(candidate(treatment), context(change))).toEqual(ruling);
  });
});

it.each([
  [{ hazards: ['oil-or-soap'] }, { oilSensitive: true }, forbid('oil-burns-this-plant')],
  [{ hazards: ['oil-or-soap'] }, {}, allow],
  [{}, { oilSensitive: true }, allow],
])('%j on a plant that is %j', (treatment, traits, ruling) => {
  expect(rules.oilOnSensitive(candidate(treatment), context({ traits }))).toEqual(ruling);
});

it('leaves wild animals to wildlife law', () => {
  expect(rules.wildAnimals(candidate({ who: 'wildlife' }, 'vertebrate'), context())).toEqual({
    kind: 'refer',
    to: 'wildlife-office',
    caution: { code: 'wildlife-law' },
  });
  expect(rules.wildAnimals(candidate({}, 'vertebrate'), context())).toEqual(allow);
});

describe('pets and children', () => {
  const bait = { hazards: ['pets'], classes: ['molluscicide'] };
  const none = { ruledOut: new Set([findingId('pets-or-children')]) };
  it.each([
    [bait, {}, forbid('pets-or-children')],
    [bait, reporting('pets-or-children'), forbid('pets-or-children')],
    [bait, none, planCaution('keep-away-until-dry')],
    [{ hazards: ['pets'] }, none, planCaution('keep-away-until-dry')],
    [insecticide, {}, planCaution('keep-away-until-dry')],
    [{}, {}, allow],
  ])('%j with %j', (treatment, change, ruling) => {
    expect(rules.petsAndChildren(candidate(treatment), context(change))).toEqual(ruling);
  });
});

it('keeps products out of open water', () => {
  const near = context(reporting('near-open-water'));
  expect(rules.openWater(candidate(insecticide), near)).toEqual(forbid('near-open-water'));
  expect(rules.openWater(candidate({}), near)).toEqual(allow);
  expect(rules.openWater(candidate(insecticide), context())).toEqual(allow);
});

it('puts the label first on every product', () => {
  expect(rules.labelDecides(candidate(insecticide), context())).toEqual(
    planCaution('label-decides'),
  );
  expect(rules.labelDecides(candidate({}), context())).toEqual(allow);
});

it.each([
  [insecticide, { edible: 'leaf' as const }, planCaution('days-to-harvest')],
  [insecticide, { edible: 'none' as const }, allow],
  [insecticide, {}, planCaution('days-to-harvest')],
  [{}, { edible: 'leaf' as const }, allow],
])('counts days to harvest for %j on %j', (treatment, traits, ruling) => {
  expect(rules.harvestInterval(candidate(treatment), context({ traits }))).toEqual(ruling);
});

it('reads every rule', () => {
  const exported = Object.values(rules).filter(
    (one) => typeof one === 'function' && one !== rules.isPesticide,
  );
  expect(new Set(rules.SAFETY_RULES)).toEqual(new Set(exported));
});
