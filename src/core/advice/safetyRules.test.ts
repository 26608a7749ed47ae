import { adviceContext } from '../../test/adviceContext.ts';
import { REFERENCE_PLACE } from '../../test/miniLibrary.ts';
import { almanacAt, day, findingId } from '../../test/setting.ts';
import { causeSchema, type Category } from '../schema/cause.ts';
import { placeSchema } from '../schema/place.ts';
import { treatmentSchema } from '../schema/treatment.ts';
import { windowSchema } from '../schema/window.ts';
import type { Candidate } from './candidates.ts';
import type { AdviceContext } from './context.ts';
import * as rules from './safetyRules.ts';

const places = [placeSchema.parse(REFERENCE_PLACE)];

function candidate(
  treatment: Record<string, unknown>,
  category: Category = 'insect',
  probability = 0.9,
): Candidate {
  const cause = causeSchema.parse({
    id: 'pest',
    name: 'Pest',
    category,
    hosts: {},
    common: 'common',
    findings: {},
    harm: {},
    say: 'A pest for tests.',
    source: 'judgement',
  });
  return {
    treatment: treatmentSchema.parse({
      id: 'x',
      name: 'A treatment',
      rung: 'conventional',
      text: 'Do it as the label says.',
      source: 'judgement',
      ...treatment,
    }),
    text: 'Do it.',
    rule: null,
    state: { kind: 'always' },
    targets: [{ suspect: { cause, probability, harm: 5 }, effect: 0.6 }],
    burden: 0.1,
  };
}

const context = (change: Partial<AdviceContext> = {}): AdviceContext =>
  adviceContext({ places }, 40, '2026-05-10', change);

const insecticide = { classes: ['insecticide'] };

describe('no treatment before a cause', () => {
  it('forbids a product while the cause is a guess', () => {
    expect(rules.causeFirst(candidate(insecticide, 'insect', 0.3), context()).kind).toBe('forbid');
  });
  it('lets a practice pass at any probability', () => {
    expect(rules.causeFirst(candidate({}, 'insect', 0.1), context()).kind).toBe('allow');
  });
});

describe('the right kind of product', () => {
  it.each([
    ['insecticide', 'fungus', 'forbid'],
    ['fungicide', 'insect', 'forbid'],
    ['insecticide', 'virus', 'forbid'],
    ['fungicide', 'nutrient', 'forbid'],
    ['insecticide', 'mite', 'forbid'],
    ['fungicide', 'oomycete', 'allow'],
    ['insecticide', 'insect', 'allow'],
  ] as const)('%s on %s: %s', (product, category, ruling) => {
    expect(rules.rightKind(candidate({ classes: [product] }, category), context()).kind).toBe(
      ruling,
    );
  });
});

it('sends restricted products to a licence holder', () => {
  expect(rules.restrictedUse(candidate({ ...insecticide, restricted: true }), context()).kind).toBe(
    'refer',
  );
});

describe('systemic insecticides', () => {
  const systemic = candidate({ ...insecticide, systemic: true });
  it('never on food plants', () => {
    expect(rules.systemicOnFood(systemic, context({ traits: { edible: 'fruit' } })).kind).toBe(
      'forbid',
    );
    expect(rules.systemicOnFood(systemic, context({ traits: { edible: 'none' } })).kind).toBe(
      'allow',
    );
  });
  it('never on plants that bees visit', () => {
    expect(rules.openBlossom(systemic, context({ traits: { beeVisited: true } })).kind).toBe(
      'forbid',
    );
  });
});

describe('open blossom', () => {
  it('forbids an insecticide when the enquirer says it is in flower', () => {
    const reported = new Set([findingId('plant-in-bloom')]);
    expect(rules.openBlossom(candidate(insecticide), context({ reported })).kind).toBe('forbid');
  });
  it('forbids it in the usual weeks of bloom', () => {
    const traits = { bloom: windowSchema.parse('05-01..05-25') };
    expect(rules.openBlossom(candidate(insecticide), context({ traits })).kind).toBe('forbid');
    expect(
      rules.openBlossom(candidate(insecticide), context({ traits, today: day('2026-08-01') })).kind,
    ).toBe('caution');
  });
});

describe('oils and soaps', () => {
  const soap = candidate({ ...insecticide, oilOrSoap: true });
  it('are refused in a hot spell and on a thirsty plant', () => {
    for (const finding of ['hot-spell', 'soil-dry']) {
      expect(rules.oilInHeat(soap, context({ reported: new Set([findingId(finding)]) })).kind).toBe(
        'forbid',
      );
    }
  });
  it('are refused where the normal day reaches 32 C', () => {
    const hot = almanacAt({ places }, 34);
    expect(hot.normalOn(day('2026-07-20')).maxCelsius).toBeGreaterThan(32);
    expect(rules.oilInHeat(soap, context({ almanac: hot, today: day('2026-07-20') })).kind).toBe(
      'forbid',
    );
  });
  it('carry their caution on a mild day', () => {
    expect(rules.oilInHeat(soap, context()).kind).toBe('caution');
  });
});

it('leaves work high in a tree to an arborist', () => {
  expect(
    rules.tallTrees(candidate({ aloft: true }), context({ traits: { tall: true } })).kind,
  ).toBe('caution');
  expect(rules.tallTrees(candidate({ who: 'arborist' }), context()).kind).toBe('refer');
});

it('leaves wild animals to wildlife law', () => {
  expect(rules.wildAnimals(candidate({ who: 'wildlife' }, 'vertebrate'), context()).kind).toBe(
    'refer',
  );
});

it('keeps hazards from pets and children unless none is about', () => {
  const bait = candidate({ petHazard: true, classes: ['molluscicide'] }, 'mollusc');
  const none = new Set([findingId('pets-or-children')]);
  expect(rules.petsAndChildren(bait, context()).kind).toBe('forbid');
  expect(rules.petsAndChildren(bait, context({ ruledOut: none })).kind).toBe('plan-caution');
  expect(
    rules.petsAndChildren(bait, context({ reported: new Set([findingId('pets-or-children')]) }))
      .kind,
  ).toBe('forbid');
});

it('keeps products out of open water', () => {
  const reported = new Set([findingId('near-open-water')]);
  expect(rules.openWater(candidate(insecticide), context({ reported })).kind).toBe('forbid');
});

it('puts the label first on every product, and days to harvest on food', () => {
  expect(rules.labelDecides(candidate(insecticide), context()).kind).toBe('plan-caution');
  expect(
    rules.harvestInterval(candidate(insecticide), context({ traits: { edible: 'leaf' } })).kind,
  ).toBe('plan-caution');
  expect(rules.labelDecides(candidate({}), context()).kind).toBe('allow');
});

it('reads every rule', () => {
  const exported = Object.values(rules).filter(
    (one) => typeof one === 'function' && one !== rules.isPesticide,
  );
  expect(rules.SAFETY_RULES).toHaveLength(exported.length);
});
