import { adviceContext } from '../../test/adviceContext.ts';
import { candidateOf, causeWith, suspectOf } from '../../test/candidate.ts';
import { REFERENCE_PLACE } from '../../test/miniLibrary.ts';
import { day, plantId } from '../../test/setting.ts';
import { lawSchema, lawsOf, type Law, type LawHere, type LawScope } from '../schema/law.ts';
import { areaSchema } from '../schema/range.ts';
import { placeSchema } from '../schema/place.ts';
import type { WindowState } from '../timing/windows.ts';
import type { Candidate } from './candidates.ts';
import type { AdviceContext } from './context.ts';
import { lawsOn, lawsOnPlant, localLaw, mattersOf } from './localLaw.ts';
import { judge } from './safetyJudge.ts';

const places = [placeSchema.parse(REFERENCE_PLACE)];
const SAY = 'It is not allowed there.';

const law = (change: Record<string, unknown>): Law =>
  lawSchema.parse({
    id: 'a-law',
    where: ['de'],
    matters: ['felling'],
    effect: 'forbids',
    say: SAY,
    who: 'council',
    asOf: 2026,
    source: 'practice',
    ...change,
  });

const here = (change: Record<string, unknown>, scope: LawScope = 'there'): LawHere => ({
  law: law(change),
  scope,
});

const candidate = (treatment: Record<string, unknown>, state?: WindowState): Candidate => {
  const made = candidateOf(treatment, [
    { suspect: suspectOf(causeWith({ category: 'insect' }), 0.9), effect: 0.6 },
  ]);
  return state === undefined ? made : { ...made, state };
};

const at = (change: Partial<AdviceContext> = {}, today = '2026-05-10'): AdviceContext =>
  adviceContext({ places }, 40, today, { region: 'de', ...change });

const felling = candidate({ matters: ['felling'] });
const rule = (change: Record<string, unknown> = {}) => ({
  code: 'local-law',
  say: SAY,
  region: 'de',
  scope: 'there',
  who: 'council',
  ...change,
});
const open = (from: string, to: string): WindowState => ({
  kind: 'open',
  span: { from: day(from), to: day(to) },
});

describe('what a step does that the law may rule', () => {
  const lawn = [plantId('turf')];
  it.each([
    ['a synthetic fungicide', { classes: ['fungicide'], organic: false }, ['synthetic-pesticide']],
    ['an organic one', { classes: ['fungicide'] }, []],
    ['a feed', { classes: ['nutrient'], organic: false }, []],
    ['a weed killer', { classes: ['herbicide'] }, ['herbicide']],
    [
      'a neonicotinoid',
      { classes: ['insecticide'], organic: false, modeOfAction: 'IRAC 4A' },
      ['neonicotinoid', 'synthetic-pesticide'],
    ],
    [
      'one of a like group',
      { classes: ['insecticide'], organic: false, modeOfAction: 'IRAC 4C' },
      ['synthetic-pesticide'],
    ],
    ['what the library says', { matters: ['burning'] }, ['burning']],
  ])('%s', (_, treatment, matters) => {
    expect([...mattersOf(candidate(treatment).treatment, [])].sort()).toEqual(matters);
  });
  it('counts an insecticide of the lawn apart, unless it is organic', () => {
    const spread = (organic: boolean) =>
      mattersOf(candidate({ classes: ['insecticide'], organic }).treatment, lawn);
    expect(spread(false)).toContain('lawn-insecticide');
    expect(spread(true)).not.toContain('lawn-insecticide');
  });
  it('counts a feed of the lawn, but of nothing else', () => {
    const feed = candidate({ classes: ['nutrient'] }).treatment;
    expect([...mattersOf(feed, lawn)]).toEqual(['lawn-feeding']);
    expect([...mattersOf(feed, [])]).toEqual([]);
    expect([...mattersOf(candidate({}).treatment, lawn)]).toEqual([]);
  });
});

describe('whom a law concerns', () => {
  it.each([
    ['another matter', { matters: ['burning'] }, {}],
    ['another plant', { plants: ['oak'] }, { kinds: [plantId('rose')] }],
    ['another cause', { causes: ['moles'] }, {}],
  ])('nobody, for %s', (_, change, context) => {
    expect(lawsOn(felling, at({ ...context, laws: [here(change)] }))).toEqual([]);
  });
  it('whoever does one of several things to one of several plants', () => {
    const wide = here({
      matters: ['felling', 'burning'],
      plants: ['oak', 'ash'],
      causes: ['pest', 'blight'],
    });
    const kinds = [plantId('oak'), plantId('tree')];
    const targets = ['pest', 'other'].map((id) => ({
      suspect: suspectOf(causeWith({ id, category: 'insect' }), 0.9),
      effect: 0.6,
    }));
    const asked = candidateOf({ matters: ['felling'] }, targets);
    expect(lawsOn(asked, at({ kinds, laws: [wide] }))).toEqual([wide]);
  });
  it('the plants of a group', () => {
    const oaks = here({ plants: ['oak'] });
    const kinds = [plantId('white-oak'), plantId('oak')];
    expect(lawsOn(felling, at({ kinds, laws: [oaks] }))).toEqual([oaks]);
  });
});

describe('what a law makes of a step', () => {
  it('forbids it', () => {
    expect(localLaw(here({}))(felling, at())).toEqual({ kind: 'forbid', reason: rule() });
  });
  it('says that one must ask first', () => {
    expect(localLaw(here({ effect: 'ask-first' }))(felling, at())).toEqual({
      kind: 'caution',
      caution: rule(),
    });
  });
  it.each([
    ['wildlife-office', 'wildlife-office'],
    ['pesticide-office', 'licensed-applicator'],
  ])('refers what needs a licence that %s knows to %s', (who, to) => {
    expect(localLaw(here({ effect: 'licence', who }))(felling, at())).toEqual({
      kind: 'refer',
      to,
      caution: rule({ who }),
    });
  });
  it('only says what holds in parts of a known region', () => {
    expect(localLaw(here({}, 'in-parts'))(felling, at())).toEqual({
      kind: 'caution',
      caution: rule({ scope: 'in-parts' }),
    });
  });
  it.each(['state-unknown', 'country-unknown'] as const)('is as strict with its %s', (scope) => {
    const unknown = here({ inParts: true }, scope);
    expect(localLaw(unknown)(felling, at())).toEqual({ kind: 'forbid', reason: rule({ scope }) });
  });
});

it('says of a plant what the law says of growing it', () => {
  const listed = here({ matters: ['growing-the-plant'], plants: ['butterfly-bush'] });
  const said = (...kinds: string[]) =>
    lawsOnPlant(at({ kinds: kinds.map(plantId), laws: [listed, here({})] }));
  expect(said('butterfly-bush', 'shrub')).toEqual([rule()]);
  const two = here({ matters: ['growing-the-plant'], plants: ['broom', 'gorse'] });
  expect(lawsOnPlant(at({ kinds: [plantId('gorse')], laws: [two] }))).toEqual([rule()]);
  expect(said('shrub')).toEqual([]);
  expect(said()).toEqual([]);
});

describe('a closed season', () => {
  const birds = here({ effect: 'closed-season', closed: { from: '03-01', to: '09-30' } });
  const until = (today: string, state: WindowState) =>
    localLaw(birds)(candidate({ matters: ['felling'] }, state), at({}, today));
  it('moves the step to the day after it', () => {
    expect(until('2026-05-10', { kind: 'always' })).toEqual({
      kind: 'postpone',
      reason: rule(),
      until: day('2026-10-01'),
    });
  });
  it.each(['2026-03-01', '2026-09-30'])('holds on its edges, such as %s', (today) => {
    expect(until(today, { kind: 'always' }).kind).toBe('postpone');
  });
  it.each(['2026-02-28', '2026-10-01'])('is over, or to come, on %s, and is said', (today) => {
    expect(until(today, { kind: 'always' })).toEqual({ kind: 'caution', caution: rule() });
  });
  it('goes by the day of the work and not by today', () => {
    const opens = {
      ...{ kind: 'opens' as const, closedSince: null },
      span: { from: day('2027-02-10'), to: day('2027-02-25') },
    };
    expect(until('2026-05-10', opens).kind).toBe('caution');
  });
  it('is said where the step has no dates', () => {
    expect(until('2026-05-10', { kind: 'watch' }).kind).toBe('caution');
    expect(until('2026-05-10', { kind: 'never', why: 'too-cool' }).kind).toBe('caution');
  });
  it('may last over the turn of the year', () => {
    const winter = here({ effect: 'closed-season', closed: { from: '11-01', to: '02-15' } });
    const on = (today: string) => localLaw(winter)(felling, at({}, today));
    expect(on('2026-12-20')).toMatchObject({ until: day('2027-02-16') });
    expect(on('2027-01-10')).toMatchObject({ until: day('2027-02-16') });
    expect(on('2027-02-16').kind).toBe('caution');
  });
  it('is needed where the effect says so', () => {
    expect(() => law({ effect: 'closed-season' })).toThrow();
    expect(() => law({ closed: { from: '03-01', to: '09-30' } })).toThrow();
  });
});

it('is applied to every step beside the rules of safety', () => {
  const judged = judge(candidate({ matters: ['felling'] }, open('2026-05-01', '2026-12-01')), {
    ...at(),
    laws: [here({ effect: 'closed-season', closed: { from: '03-01', to: '09-30' } })],
  });
  expect(judged.notBefore).toBe(day('2026-10-01'));
  const closing = (to: string) => here({ effect: 'closed-season', closed: { from: '03-01', to } });
  for (const laws of [
    [closing('07-31'), closing('09-30')],
    [closing('09-30'), closing('07-31')],
  ])
    expect(judge(felling, { ...at(), laws }).notBefore).toBe(day('2026-10-01'));
  const refused = judge(felling, { ...at(), laws: [here({})] });
  expect(refused.forbidden).toEqual(rule());
});

describe('the laws of a region', () => {
  const eu = areaSchema.parse({
    id: 'eu',
    name: 'The Union',
    regions: ['de', 'fr'],
    source: 'practice',
  });
  const areas = new Map([[eu.id, eu]]);
  const laws = [
    law({ where: ['de'] }),
    law({ where: ['eu'], inParts: true }),
    law({ where: ['us'] }),
    law({ where: ['us-me', 'us-ny'] }),
  ];
  it.each([
    ['de', ['there', 'in-parts']],
    ['fr', ['in-parts']],
    ['us-me', ['there', 'there']],
    ['us-oh', ['there']],
    ['us', ['there', 'state-unknown']],
    ['jp', []],
    [null, Array(4).fill('country-unknown')],
  ])('%s has those that hold %j', (region, scopes) => {
    expect(lawsOf(laws, region, areas).map(({ scope }) => scope)).toEqual(scopes);
  });
});
