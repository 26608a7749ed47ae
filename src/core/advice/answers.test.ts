import {
  CONTEXT,
  PEST,
  FIND_OUT,
  step,
  advice,
  lead,
  option,
  about,
  reply,
  stepsIn,
} from '../../test/answering.ts';
import type { AssessedTreatment } from './safetyJudge.ts';
import { causeWith } from '../../test/candidate.ts';
import type { Step } from './plan.ts';

describe('what it is', () => {
  const ranked = ['A', 'B', 'C', 'D'].map((name) => ({
    cause: causeWith({ name: `${name} rot` }),
    probability: 0.2,
  }));
  it('is named from one half on, else with the likeliest three', () => {
    expect(reply('identify', { lead: lead(PEST, 0.5), ranked })).toEqual({
      code: 'named',
      cause: 'Pest',
      probability: 0.5,
    });
    const unclear = { code: 'unclear', causes: ['A rot', 'B rot', 'C rot'] };
    expect(reply('identify', { lead: lead(PEST, 0.49), ranked })).toEqual(unclear);
    expect(reply('identify', { lead: null, ranked })).toEqual(unclear);
  });
});

describe('whether it matters', () => {
  it('cannot be said before it is known', () => {
    expect(reply('is-problem', { lead: null })).toEqual({ code: 'find-out-first' });
    expect(reply('is-problem', { advice: advice({ verdict: 'find-out' }) })).toEqual({
      code: 'find-out-first',
    });
  });
  it('is said by why it is left, or by its worst harm', () => {
    const left = causeWith({ leave: 'It does no harm.' });
    expect(reply('is-problem', { lead: lead(left) })).toEqual({
      code: 'library',
      text: 'It does no harm.',
    });
    const harm = { looks: 'slight', plant: 'serious', yield: 'moderate', pace: 'weeks' };
    expect(reply('is-problem', { lead: lead(causeWith({ harm })) })).toEqual({
      code: 'harm',
      worst: 'serious',
      pace: 'weeks',
    });
  });
});

describe('leave to do something', () => {
  const prune = step('Prune out the canes.');
  const other = step('Prune the roots.', { against: 'Rot' });

  it('is given where the plan does it against the leading cause', () => {
    const plan = advice({ steps: [FIND_OUT, prune, step('Water it.'), other] });
    expect(reply('may-do', { advice: plan }, 'cut')).toMatchObject({
      code: 'steps',
      opening: 'yes',
    });
    expect(stepsIn(reply('may-do', { advice: plan }, 'cut'))).toEqual([prune.id]);
  });

  it('looks at steps against other causes where there are none against the leading one', () => {
    expect(stepsIn(reply('may-do', { advice: advice({ steps: [other] }) }, 'cut'))).toEqual([
      other.id,
    ]);
  });

  it('names three steps at most', () => {
    const steps = ['a', 'b', 'c', 'd'].map((name) => step(`Prune ${name}.`));
    expect(stepsIn(reply('may-do', { advice: advice({ steps }) }, 'cut'))).toHaveLength(3);
  });

  it('knows a spray by its product, and other work by what the text says', () => {
    const dust = step('Put it on.', { classes: ['fungicide'] });
    const plan = advice({ steps: [dust, step('Spray it off with water.')] });
    expect(stepsIn(reply('may-do', { advice: plan }, 'spray'))).toEqual([dust.id]);
  });

  it('is refused with the reason', () => {
    const refused = {
      text: 'Pruning in spring',
      why: { code: 'library', text: 'It bleeds.' },
    } as const;
    const plan = advice({ notDoing: [{ ...refused, text: 'Feeding' }, refused] });
    expect(reply('may-do', { advice: plan }, 'cut')).toEqual({ code: 'no', ...refused });
  });

  it('waits until it is known what it is', () => {
    const unsure = advice({ verdict: 'find-out' });
    expect(reply('may-do', { advice: unsure }, 'cut')).toEqual({ code: 'find-out-first' });
    expect(reply('may-do', { lead: null }, 'cut')).toEqual({ code: 'find-out-first' });
  });

  it('is not called for by anything that helps', () => {
    expect(reply('may-do', { options: [option({ text: 'Water it well.' })] }, 'cut')).toEqual({
      code: 'no-need',
      act: 'cut',
      cause: 'Pest',
    });
  });

  describe('that the plan does without', () => {
    const cut = { text: 'Prune it hard.', name: 'Hard pruning' };
    it('is named as something else to do, three at most', () => {
      const options = ['A', 'B', 'C', 'D'].map((name) => option({ ...cut, name: `Cut ${name}` }));
      expect(reply('may-do', { options }, 'cut')).toEqual({
        code: 'not-first',
        how: 'Do it.',
        treatments: ['Cut A', 'Cut B', 'Cut C'],
      });
    });
    it('is refused where safety forbids it', () => {
      const forbidden = { code: 'restricted' } as const;
      const options = [option(cut, { forbidden } as unknown as Partial<AssessedTreatment>)];
      expect(reply('may-do', { options }, 'cut')).toEqual({
        code: 'no',
        text: 'Hard pruning',
        why: forbidden,
      });
    });
    it('is refused where the approach hides it', () => {
      const context = { ...CONTEXT, approach: 'organic' } as const;
      const options = [option({ ...cut, organic: false })];
      expect(reply('may-do', { options, context }, 'cut')).toMatchObject({
        code: 'no',
        why: { code: 'not-organic' },
      });
    });
    it('is referred where it is the work of others', () => {
      expect(reply('may-do', { options: [option(cut, { referTo: ['arborist'] })] }, 'cut')).toEqual(
        { code: 'referred', to: ['arborist'], how: 'Do it.', cautions: [] },
      );
    });
  });

  describe('of work that has no name', () => {
    const words = 'can I put onions there';
    it('is answered by what the plan does without and speaks of the same things', () => {
      const trap = option({ name: 'Traps in the runs' });
      const asked = { words: 'can I set a trap', options: [trap] };
      expect(reply('may-do', asked)).toMatchObject({
        code: 'not-first',
        treatments: ['Traps in the runs'],
      });
      expect(reply('may-do', { ...asked, options: [] })).toEqual({ code: 'not-covered' });
    });
    it('is answered by what the plan refuses or does with the same things', () => {
      const refused = {
        text: 'Onions after onions',
        why: { code: 'library', text: 'It stays.' },
      } as const;
      expect(reply('may-do', { words, advice: advice({ notDoing: [refused] }) })).toEqual({
        code: 'no',
        ...refused,
      });
      const rotate = step('Grow onions elsewhere.');
      const plan = advice({ steps: [step('Water it.'), rotate] });
      expect(stepsIn(reply('may-do', { words, advice: plan }))).toEqual([rotate.id]);
    });
    it('has no answer where neither speaks of them', () => {
      expect(reply('may-do', { words, advice: advice({ steps: [step('Water it.')] }) })).toEqual({
        code: 'not-covered',
      });
    });
  });
});

describe('how, when and with what', () => {
  const steps = [
    step('Water it.'),
    step('Prune it.'),
    step('Dust it.', { classes: ['fungicide'] }),
  ];
  const plan = advice({ steps });
  const unsure = advice({ steps, verdict: 'find-out' });

  it('is answered by the steps of the plan', () => {
    expect(stepsIn(reply('how', { advice: plan }))).toEqual(steps.map(({ id }) => id));
    expect(reply('how', { advice: plan })).toMatchObject({ opening: 'none' });
  });
  it('is answered by the steps of the work that is named', () => {
    expect(stepsIn(reply('when', { advice: plan }, 'cut'))).toEqual(['Prune it.']);
    expect(stepsIn(reply('when', { advice: plan }, 'move'))).toEqual(steps.map(({ id }) => id));
    expect(stepsIn(reply('when', { advice: plan }))).toEqual(steps.map(({ id }) => id));
  });
  it('is answered by the products, or by what is done without', () => {
    expect(stepsIn(reply('what-product', { advice: plan }))).toEqual(['Dust it.']);
    const without = advice({ steps: steps.slice(0, 2) });
    expect(stepsIn(reply('what-product', { advice: without }))).toEqual(['Water it.', 'Prune it.']);
    const soap = { name: 'Soap', classes: ['insecticide'], rung: 'low-toxicity' };
    const kept = [
      option({ name: 'Strong spray', classes: ['insecticide'], rung: 'conventional' }),
      option(soap),
      option({ ...soap, name: 'Forbidden' }, { forbidden: { code: 'oil-burns-this-plant' } }),
      option({ ...soap, name: 'Of the trade' }, { referTo: ['licensed-applicator'] }),
      option({ name: 'Water' }),
    ];
    expect(reply('what-product', { advice: without, options: kept })).toMatchObject({
      products: ['Soap', 'Strong spray'],
    });
    expect(reply('how', { advice: without, options: kept })).toMatchObject({ products: [] });
  });
  it.each(['how', 'when'] as const)('waits until it is known what it is: %s', (kind) => {
    expect(reply(kind, { advice: unsure }, 'cut')).toEqual({ code: 'find-out-first' });
    expect(reply(kind, { lead: null }, 'cut')).toEqual({ code: 'find-out-first' });
  });
  it('is why nothing is done, where it is left', () => {
    const left = { lead: lead(causeWith({ leave: 'It does no harm.' })), advice: advice() };
    for (const kind of ['how', 'when', 'what-product'] as const)
      expect(reply(kind, left)).toEqual({ code: 'library', text: 'It does no harm.' });
  });
});

describe('how much', () => {
  it('is answered by the steps that count, else by the label, else not at all', () => {
    const counted = step('Water it with 10 litres twice a week.');
    const plain = step('Water it well.');
    const dust = step('Dust it.', { classes: ['fungicide'] });
    const of = (...steps: Step[]) => reply('how-much', { advice: advice({ steps }) });
    expect(stepsIn(of(plain, counted))).toEqual([counted.id]);
    expect(of(plain, dust)).toEqual({ code: 'amount-on-label' });
    expect(of(plain)).toEqual({ code: 'no-amount' });
    expect(
      stepsIn(reply('how-much', { advice: advice({ steps: [counted, dust] }) }, 'water')),
    ).toEqual([counted.id]);
    expect(reply('how-much', { advice: advice({ steps: [counted, dust] }) }, 'spray')).toEqual({
      code: 'amount-on-label',
    });
  });
});

describe('whether it may be eaten', () => {
  it.each([
    [
      { lead: lead(causeWith({ say: 'Rot is within. Do not eat it.' })) },
      'library',
      'Do not eat it.',
    ],
    [
      { lead: lead(causeWith({ expect: 'The rest is safe to eat.' })) },
      'library',
      'The rest is safe to eat.',
    ],
    [
      { advice: advice({ cautions: [{ code: 'library', text: 'It is inedible.' }] }) },
      'library',
      'It is inedible.',
    ],
  ] as const)('is what the library says of it: %#', (change, code, text) => {
    expect(reply('eat', change)).toEqual({ code, text });
  });
  it('is no where the plant is poisonous, whatever is good to eat about it', () => {
    const context = { ...CONTEXT, traits: { poisonous: true } };
    expect(
      reply('eat', { context, lead: lead(causeWith({ say: 'It is good to eat raw.' })) }),
    ).toEqual({ code: 'poisonous' });
  });
  it('waits for the label where a product is used', () => {
    const cautions = [{ code: 'days-to-harvest' }] as const;
    const sprayed = advice({ cautions });
    const grownToEat = { ...about().context, traits: { edible: 'fruit' as const } };
    expect(reply('eat', { advice: sprayed, context: grownToEat })).toEqual({
      code: 'harvest-on-label',
    });
    // Of a plant that may not be grown to eat the label says nothing.
    expect(reply('eat', { advice: sprayed })).toEqual({ code: 'eat-not-known' });
    expect(reply('eat')).toEqual({ code: 'eat-not-known' });
  });
});

describe('whether it is safe', () => {
  it('is what the library says, or no of a poisonous plant', () => {
    const say = 'It is a rust. The hairs can hurt dogs.';
    expect(reply('safe', { lead: lead(causeWith({ say })) })).toEqual({
      code: 'safe-said',
      text: 'The hairs can hurt dogs.',
    });
    const context = { ...CONTEXT, traits: { poisonous: true } };
    expect(reply('safe', { context, lead: lead(causeWith({ say })) })).toEqual({
      code: 'poisonous',
    });
  });
  it('waits until a product is dry, and is not known else', () => {
    const cautions = [{ code: 'keep-away-until-dry' }] as const;
    expect(reply('safe', { advice: advice({ cautions }) })).toEqual({ code: 'safe-until-dry' });
    expect(reply('safe')).toEqual({ code: 'safe-not-known' });
  });
});

it('says what to plant instead where the plan replaces it', () => {
  const other = step('Plant a spruce.', { rung: 'replace' });
  expect(
    stepsIn(reply('replace', { advice: advice({ steps: [step('Water it.'), other] }) })),
  ).toEqual([other.id]);
  expect(reply('replace', { advice: advice({ steps: [step('Water it.')] }) })).toEqual({
    code: 'replace-not-known',
  });
});
