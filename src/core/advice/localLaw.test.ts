import { adviceContext } from '../../test/adviceContext.ts';
import { candidateOf, causeWith, suspectOf } from '../../test/candidate.ts';
import { REFERENCE_PLACE } from '../../test/miniLibrary.ts';
import { day, plantId } from '../../test/setting.ts';
import { lawSchema, lawsOf, type Law } from '../schema/law.ts';
import { areaSchema } from '../schema/range.ts';
import { placeSchema } from '../schema/place.ts';
import type { WindowState } from '../timing/windows.ts';
import type { Candidate } from './candidates.ts';
import type { AdviceContext } from './context.ts';
import { lawsOn, localLaw, mattersOf } from './localLaw.ts';
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

const candidate = (treatment: Record<string, unknown>, state?: WindowState): Candidate => {
  const made = candidateOf(treatment, [
    { suspect: suspectOf(causeWith({ category: 'insect' }), 0.9), effect: 0.6 },
  ]);
  return state === undefined ? made : { ...made, state };
};

const at = (change: Partial<AdviceContext> = {}, today = '2026-05-10'): AdviceContext =>
  adviceContext({ places }, 40, today, { country: 'de', ...change });

const felling = candidate({ matters: ['felling'] });
const rule = (change: Record<string, unknown> = {}) => ({
  code: 'local-law',
  say: SAY,
  country: 'de',
  inParts: false,
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
});

describe('whom a law concerns', () => {
  it.each([
    ['another matter', { matters: ['burning'] }, {}],
    ['another plant', { plants: ['oak'] }, { kinds: [plantId('rose')] }],
    ['another cause', { causes: ['moles'] }, {}],
  ])('nobody, for %s', (_, change, context) => {
    expect(lawsOn(felling, at({ ...context, laws: [law(change)] }))).toEqual([]);
  });
  it('the plants of a group', () => {
    const oaks = law({ plants: ['oak'] });
    const kinds = [plantId('white-oak'), plantId('oak')];
    expect(lawsOn(felling, at({ kinds, laws: [oaks] }))).toEqual([oaks]);
  });
});

describe('what a law makes of a step', () => {
  it('forbids it', () => {
    expect(localLaw(law({}))(felling, at())).toEqual({ kind: 'forbid', reason: rule() });
  });
  it('says that one must ask first', () => {
    expect(localLaw(law({ effect: 'ask-first' }))(felling, at())).toEqual({
      kind: 'caution',
      caution: rule(),
    });
  });
  it.each([
    ['wildlife-office', 'wildlife-office'],
    ['pesticide-office', 'licensed-applicator'],
  ])('refers what needs a licence that %s knows to %s', (who, to) => {
    expect(localLaw(law({ effect: 'licence', who }))(felling, at())).toEqual({
      kind: 'refer',
      to,
      caution: rule({ who }),
    });
  });
  it('only says what holds in parts of a known country', () => {
    const inParts = law({ inParts: true });
    expect(localLaw(inParts)(felling, at())).toEqual({
      kind: 'caution',
      caution: rule({ inParts: true }),
    });
    expect(localLaw(inParts)(felling, at({ country: null })).kind).toBe('forbid');
  });
});

describe('a closed season', () => {
  const birds = law({ effect: 'closed-season', closed: { from: '03-01', to: '09-30' } });
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
  });
  it('may last over the turn of the year', () => {
    const winter = law({ effect: 'closed-season', closed: { from: '11-01', to: '02-15' } });
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
    laws: [law({ effect: 'closed-season', closed: { from: '03-01', to: '09-30' } })],
  });
  expect(judged.notBefore).toBe(day('2026-10-01'));
  const refused = judge(felling, { ...at(), laws: [law({})] });
  expect(refused.forbidden).toEqual(rule());
});

describe('the laws of a country', () => {
  const eu = areaSchema.parse({
    id: 'eu',
    name: 'The Union',
    countries: ['de', 'fr'],
    source: 'practice',
  });
  const areas = new Map([[eu.id, eu]]);
  const laws = [law({ where: ['de'] }), law({ where: ['eu'] }), law({ where: ['us'] })];
  it.each([
    ['de', 2],
    ['fr', 1],
    ['us', 1],
    ['jp', 0],
    [null, 3],
  ])('%s has %d', (country, count) => {
    expect(lawsOf(laws, country, areas)).toHaveLength(count);
  });
});
