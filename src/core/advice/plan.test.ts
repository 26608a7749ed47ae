import { headlineText, stepText } from '../../wording/advice.ts';
import { miniLibrary } from '../../test/miniLibrary.ts';
import { ADVICE_DAY, advise, pestLibrary, treatmentEntry } from '../../test/advised.ts';
import { adviceContext } from '../../test/adviceContext.ts';
import { day, plantId } from '../../test/setting.ts';
import { buildNetwork } from '../diagnosis/network.ts';
import { weighAll } from '../diagnosis/posterior.ts';
import { planAdvice, type Advice } from './plan.ts';

/** The headline as it is said on the day of these tests. */
const aloud = ({ headline }: Advice): string => headlineText(headline, day(ADVICE_DAY));

it('acts now when the window is open', () => {
  const advice = advise(
    pestLibrary({ treatments: [{ use: 'pick', effect: 'strong', when: '06-01..07-20' }] }, [
      treatmentEntry('pick'),
    ]),
  );
  expect(advice.verdict).toBe('act-now');
  expect(advice.steps[0]?.when.from).toBe(day(ADVICE_DAY));
});

it('waits for a window that opens this year', () => {
  const advice = advise(
    pestLibrary({ treatments: [{ use: 'pick', effect: 'strong', when: '08-10..09-01' }] }, [
      treatmentEntry('pick'),
    ]),
  );
  expect(advice.verdict).toBe('wait');
  expect(advice.lookAgain).toBe(advice.steps[0]?.when.from);
});

it('says that it is too late, and when the window opens next', () => {
  const advice = advise(
    pestLibrary({ treatments: [{ use: 'pick', effect: 'strong', when: '04-25..05-20' }] }, [
      treatmentEntry('pick'),
    ]),
  );
  expect(advice.verdict).toBe('too-late');
  expect(aloud(advice)).toMatch(/too late.*next window is about .* 2027/);
});

it('waits for a window that opens soon, where a later one does little more', () => {
  const advice = advise(
    pestLibrary(
      {
        treatments: [
          { use: 'oil', effect: 'strong', when: '03-20..04-20' },
          { use: 'soap', effect: 'good', when: '07-20..09-01' },
        ],
      },
      [treatmentEntry('oil'), treatmentEntry('soap')],
    ),
  );
  expect(advice.verdict).toBe('wait');
  expect(aloud(advice)).toContain('July');
});

it('takes waiting and watching for no act', () => {
  const advice = advise(
    pestLibrary({ treatments: [{ use: 'watch', effect: 'good' }] }, [
      treatmentEntry('watch', { rung: 'leave' }),
    ]),
  );
  expect(advice.verdict).toBe('leave');
  expect(aloud(advice)).toContain('but to watch it');
});

describe('a treatment for some kinds of plant', () => {
  const library = pestLibrary(
    {
      treatments: [
        { use: 'pull', effect: 'good', only: ['fern'] },
        { use: 'prune', effect: 'good', except: ['fern'] },
      ],
    },
    [treatmentEntry('pull'), treatmentEntry('prune')],
  );
  const ids = (kinds: string[]): string[] =>
    advise(library, { kinds: kinds.map(plantId) }).steps.map(({ id }) => id);

  it('is told of those alone', () => {
    expect(ids(['fern'])).toEqual(['pull']);
    expect(ids(['moss'])).toEqual(['prune']);
  });

  it('is not told of an unknown plant', () => {
    expect(ids([])).toEqual(['prune']);
  });
});

it('says of a step against what it is, where that is not the leading cause', () => {
  const library = miniLibrary(
    [{ id: 'sign' }],
    ['pest', 'blight'].map((id, n) => ({
      id,
      name: id,
      findings: { sign: n === 0 ? 'always' : 'usual' },
      extra: {
        category: 'fungus',
        harm: { plant: 'serious', pace: 'weeks' },
        treatments: [{ use: `do-${id}`, effect: 'strong' }],
      },
    })),
    { 'treatments/t.yaml': [treatmentEntry('do-pest'), treatmentEntry('do-blight')] },
  );
  const told = new Map(advise(library).steps.map(({ id, text }) => [id, stepText(text)]));
  expect(told.get('do-pest')).toBe('Do do-pest as told.');
  expect(told.get('do-blight')).toBe('If it is cause blight: Do do-blight as told.');
});

it('leaves what does no harm', () => {
  const advice = advise(pestLibrary({ leave: 'It does no harm.', harm: {} }, []));
  expect(advice.verdict).toBe('leave');
  expect(aloud(advice)).toContain('It does no harm.');
});

it('leaves what does no harm on this kind of plant, and treats it on others', () => {
  const library = pestLibrary(
    {
      leaveOn: [{ only: ['fern'], why: 'A fern stands it.' }],
      treatments: [{ use: 'pick', effect: 'strong' }],
    },
    [treatmentEntry('pick')],
  );
  const on = (kind: string): Advice => advise(library, { kinds: [plantId(kind)] });
  expect(on('fern').verdict).toBe('leave');
  expect(aloud(on('fern'))).toContain('A fern stands it.');
  expect(on('moss').verdict).toBe('act-now');
});

it.each(['leave', 'replace'])('tells of the rung "%s" against the leading cause only', (rung) => {
  const library = miniLibrary(
    [{ id: 'sign' }],
    ['pest', 'blight'].map((id, n) => ({
      id,
      findings: { sign: n === 0 ? 'always' : 'usual' },
      extra: { treatments: [{ use: n === 0 ? 'pick' : 'watch', effect: 'good' }] },
    })),
    { 'treatments/t.yaml': [treatmentEntry('pick'), treatmentEntry('watch', { rung })] },
  );
  expect(advise(library).steps.map(({ id }) => id)).toEqual(['pick']);
});

it('finds out first when no cause leads', () => {
  const many = ['b', 'c', 'd', 'e', 'f'].map((id) => ({
    id,
    findings: { sign: 'sometimes' },
    extra: { leave: 'It goes.' },
  }));
  const advice = advise(miniLibrary([{ id: 'sign' }], many), {}, false);
  expect(advice.verdict).toBe('find-out');
  expect(advice.steps.map(({ id }) => id)).toEqual(['send-sample']);
});

it('asks once more where a question of care could mean several things', () => {
  const topics = ['prune', 'feed', 'move', 'water', 'sow'].map((id) => ({
    id: `care-${id}`,
    name: `How to ${id}`,
    hosts: { fern: 'usual' },
    phrases: [id],
    say: `You ${id} it in spring.`,
    steps: [{ text: `Do it as it is said: ${id}.`, rung: 'hand' }],
    source: 'practice',
  }));
  const library = miniLibrary([{ id: 'sign' }], [{ id: 'pest', findings: { sign: 'seldom' } }], {
    'care/c.yaml': topics,
  });
  const context = adviceContext(library, 42, ADVICE_DAY);
  const network = buildNetwork(library, plantId('fern'), {
    ...context,
    since: null,
    experience: new Map(),
  });
  const words = { similarity: () => 0, fit: () => 0, asks: true, reportsTrouble: false };
  const { posterior } = weighAll(library, network, [], 0, words);
  const advice = planAdvice(library, network, posterior, context);
  expect(advice.verdict).toBe('find-out');
  expect(advice.steps[0]?.id).toBe('ask-again');
  expect(aloud(advice)).toContain('ask once more');
  expect(advice.cautions.map(({ code }) => code)).not.toContain('presumptive');
});

it('calls a professional when the main work is theirs', () => {
  const arborist = treatmentEntry('climb', { rung: 'professional', who: 'arborist' });
  const advice = advise(
    pestLibrary(
      {
        harm: { plant: 'severe', pace: 'years' },
        treatments: [{ use: 'climb', effect: 'strong' }],
      },
      [arborist],
    ),
  );
  expect(advice.verdict).toBe('professional');
  expect(advice.refer).toEqual(['arborist']);
});

describe('the approach', () => {
  const library = pestLibrary(
    {
      treatments: [
        { use: 'pick', effect: 'useful' },
        { use: 'spray', effect: 'strong' },
      ],
    },
    [
      treatmentEntry('pick'),
      treatmentEntry('spray', { rung: 'conventional', organic: false, classes: ['insecticide'] }),
    ],
  );
  const ids = (advice: Advice): string[] => advice.steps.map(({ id }) => id);

  it('filters the ladder and says what it hid', () => {
    const advice = advise(library, { approach: 'organic' });
    expect(ids(advice)).toEqual(['pick']);
    expect(advice.notDoing).toContainEqual({
      text: 'Do spray',
      why: { code: 'not-organic' },
    });
  });

  it('starts with the least drastic step', () => {
    expect(ids(advise(library))).toEqual(['pick', 'spray']);
  });
});

it('says on every channel that the diagnosis is presumptive', () => {
  const library = pestLibrary({ leave: 'It does no harm.' }, []);
  for (const channel of ['phone', 'email', 'walk-in', 'text'] as const) {
    expect(advise(library, { channel }).cautions[0]).toEqual({ code: 'presumptive', channel });
  }
});
