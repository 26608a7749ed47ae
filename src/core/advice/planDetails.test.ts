import { advise, ADVICE_DAY, pestLibrary, treatmentEntry } from '../../test/advised.ts';
import { miniLibrary } from '../../test/miniLibrary.ts';
import { day, plantId } from '../../test/setting.ts';
import { addDays } from '../timing/calendar.ts';
import type { Advice } from './plan.ts';

const today = day(ADVICE_DAY);
const pick = treatmentEntry('pick');
const ids = ({ steps }: Advice): string[] => steps.map(({ id }) => id);
const withUses = (...uses: Record<string, unknown>[]): Record<string, unknown> => ({
  treatments: uses.map((use) => ({ effect: 'strong', ...use })),
});

describe('the dates of a step', () => {
  const when = (rule: string | null) =>
    advise(
      pestLibrary(withUses(rule === null ? { use: 'pick' } : { use: 'pick', when: rule }), [pick]),
    ).steps[0]?.when;

  it('run from today to the end of a window that is open', () => {
    const span = when('06-01..07-20');
    expect(span).toMatchObject({ from: today, state: { kind: 'open' } });
    expect(span?.to).toBe(span?.state.kind === 'open' ? span.state.span.to : null);
    expect(span?.to).toBeGreaterThan(today);
  });

  it('are those of a window that is still to open', () => {
    const span = when('08-10..09-01');
    expect(span?.state.kind).toBe('opens');
    expect(span?.from).toBeGreaterThan(today);
    expect(span?.to).toBeGreaterThan(span?.from ?? 0);
  });

  it('have no end where there is no window', () => {
    expect(when(null)).toEqual({ from: today, to: null, state: { kind: 'always' } });
  });
});

describe('the step that confirms', () => {
  const told = { ...withUses({ use: 'pick' }), confirm: 'Look at one by day.' };
  const library = pestLibrary(told, [pick]);
  const unsure = miniLibrary(
    [{ id: 'sign', extra: { background: 'common' } }],
    [
      { id: 'pest', findings: { sign: 'usual' }, extra: told },
      { id: 'blight', findings: { sign: 'sometimes' } },
    ],
    { 'treatments/t.yaml': [pick] },
  );

  it('comes first while the cause is less than 85 percent likely', () => {
    const [confirm, ...rest] = advise(unsure).steps;
    expect(confirm).toEqual({
      id: 'confirm-pest',
      text: { code: 'library', text: 'Look at one by day.', against: null },
      rung: 'leave',
      when: { from: today, to: null, state: { kind: 'always' } },
      cautions: [],
      amount: null,
      worked: { forSize: null, assumed: [] },
      measure: null,
      work: null,
    });
    expect(rest.map(({ id }) => id)).toEqual(['pick']);
  });

  it('is not asked for once the cause is sure', () => {
    expect(ids(advise(library))).toEqual(['pick']);
  });

  it('takes the place of a sample where it is to be found out', () => {
    const unclear = pestLibrary({ confirm: 'Look at one by day.' }, []);
    const advice = advise(unclear);
    expect(advice.verdict).toBe('find-out');
    expect(ids(advice)).toEqual(['confirm-pest']);
  });
});

it('gives a step its treatment with the window that holds for the cause', () => {
  const [step] = advise(
    pestLibrary(withUses({ use: 'pick', when: '06-01..07-20' }), [
      { ...pick, when: '01-01..02-01' },
    ]),
  ).steps;
  expect(step?.rung).toBe('hand');
  expect(step?.work?.treatment.id).toBe('pick');
  expect(step?.when.state.kind).toBe('open');
});

describe('two causes at work', () => {
  const library = miniLibrary(
    [
      { id: 'sign', extra: { background: 'telltale' } },
      { id: 'mark', extra: { background: 'telltale' } },
    ],
    ['pest', 'blight'].map((id, n) => ({
      id,
      name: id,
      findings: { [n === 0 ? 'sign' : 'mark']: 'always' },
      extra: {
        category: n === 0 ? 'insect' : 'fungus',
        cautions: [`Take care with ${id}.`],
        lookAgainDays: 20,
        avoid: [{ text: `No ${id} stew`, why: `It feeds ${id}.` }],
        treatments: [{ use: `do-${id}`, effect: 'strong' }],
      },
    })),
    {
      'treatments/t.yaml': [treatmentEntry('do-pest'), treatmentEntry('do-blight')],
      'views/v.yaml': ['blight', 'do-pest', 'pest'].map((about) => ({
        id: `on-${about}`,
        over: `Whether ${about} matters`,
        here: `Here ${about} is taken so.`,
        others: `Others take ${about} otherwise.`,
        why: `It is simpler with ${about}.`,
        about: [about],
        source: 'judgement',
      })),
    },
  );
  const advice = advise(library);

  it('names what the second step is against where it was not found', () => {
    const told = new Map(advice.steps.map(({ id, text }) => [id, text]));
    expect(told.get('do-pest')).toMatchObject({ against: null });
  });

  it('tells of the views on what is named before those on the steps', () => {
    expect(advice.differ.map(({ id }) => id)).toEqual(['on-pest', 'on-do-pest']);
  });

  it('says what not to do about the named cause alone', () => {
    expect(advice.notDoing).toEqual([
      { text: 'No pest stew', why: { code: 'library', text: 'It feeds pest.' } },
    ]);
  });

  it('gives the cautions of the named cause after that of the channel', () => {
    expect(advice.cautions).toEqual([
      { code: 'presumptive', channel: 'phone' },
      { code: 'library', text: 'Take care with pest.' },
    ]);
  });
});

it('warns of a lesser suspicion that may hurt people, but of no other', () => {
  const withHarm = (people: string) =>
    miniLibrary(
      [{ id: 'sign', extra: { background: 'telltale' } }],
      ['pest', 'hornets'].map((id, n) => ({
        id,
        name: id,
        findings: { sign: n === 0 ? 'always' : 'sometimes' },
        extra: {
          category: 'insect',
          cautions: [`Take care with ${id}.`],
          ...(n === 0 ? {} : { harm: { people } }),
        },
      })),
    );
  const texts = (people: string) =>
    advise(withHarm(people)).cautions.flatMap((one) => (one.code === 'library' ? one.text : []));
  expect(texts('serious')).toEqual(['Take care with pest.', 'Take care with hornets.']);
  expect(texts('slight')).toEqual(['Take care with pest.']);
});

it('tells of two views at most', () => {
  const library = pestLibrary(withUses({ use: 'pick' }), [pick], {
    'views/v.yaml': ['a', 'b', 'c'].map((id) => ({
      id: `on-${id}`,
      over: `A question of ${id} kind`,
      here: 'Here it is taken so.',
      others: 'Others take it otherwise.',
      why: 'It is simpler to do.',
      about: ['pest'],
      source: 'judgement',
    })),
  });
  expect(advise(library).differ.map(({ id }) => id)).toEqual(['on-a', 'on-b']);
});

describe('what is not to be done', () => {
  const avoid = Array.from({ length: 10 }, (_, n) => ({ text: `Not this ${n}`, why: 'It harms.' }));

  it('is eight things at most', () => {
    const advice = advise(pestLibrary({ ...withUses({ use: 'pick' }), avoid }, [pick]));
    expect(advice.notDoing.map(({ text }) => text)).toEqual(
      avoid.slice(0, 8).map(({ text }) => text),
    );
  });

  it('puts what the cause forbids before what the approach hides', () => {
    const library = pestLibrary(
      { ...withUses({ use: 'pick' }, { use: 'spray' }), avoid: avoid.slice(0, 1) },
      [pick, treatmentEntry('spray', { rung: 'conventional', organic: false })],
    );
    expect(advise(library, { approach: 'organic' }).notDoing.map(({ text }) => text)).toEqual([
      'Not this 0',
      'Do spray',
    ]);
  });
});

describe('the day to look again', () => {
  it('is that of the cause', () => {
    const library = pestLibrary({ ...withUses({ use: 'pick' }), lookAgainDays: 20 }, [pick]);
    expect(advise(library).lookAgain).toBe(addDays(today, 20));
  });

  it('is in three days where it is to be found out', () => {
    expect(advise(pestLibrary({ lookAgainDays: 20 }, [])).lookAgain).toBe(addDays(today, 3));
  });

  it('is in a week where no cause leads', () => {
    const sound = miniLibrary(
      [{ id: 'sign' }],
      [{ id: 'pest', findings: { sign: 'seldom' }, extra: { common: 'rare' } }],
    );
    const advice = advise(sound, {}, false);
    expect(advice.verdict).toBe('find-out');
    expect(advice.lookAgain).toBe(addDays(today, 3));
  });

  it('is the day on which the window opens, also next year', () => {
    const library = pestLibrary(
      { ...withUses({ use: 'pick', when: '04-25..05-20' }), lookAgainDays: 20 },
      [pick],
    );
    const advice = advise(library);
    expect(advice.verdict).toBe('too-late');
    expect(advice.lookAgain).toBe(advice.steps[0]?.when.from);
  });

  it('is that of the cause where the window is open already', () => {
    const library = pestLibrary(
      { ...withUses({ use: 'pick', when: '06-01..07-20' }), lookAgainDays: 20 },
      [pick],
    );
    expect(advise(library).lookAgain).toBe(addDays(today, 20));
  });
});

describe('what the plant itself asks for', () => {
  const library = pestLibrary(withUses({ use: 'pick' }), [pick]);

  it('is a caution where it is poisonous', () => {
    expect(advise(library, { traits: { poisonous: true } }).cautions).toContainEqual({
      code: 'poisonous-plant',
    });
    expect(advise(library).cautions).toEqual([{ code: 'presumptive', channel: 'phone' }]);
  });
});

it('leaves out a step that is never possible here, and does not say why', () => {
  const library = pestLibrary(
    withUses({ use: 'pick' }, { use: 'oil', when: 'dd10 90000..99000' }),
    [pick, treatmentEntry('oil')],
  );
  const advice = advise(library);
  expect(ids(advice)).toEqual(['pick']);
  expect(advice.notDoing).toEqual([]);
});

it('names each person to call once', () => {
  const climb = { rung: 'professional', who: 'arborist' };
  const library = pestLibrary(withUses({ use: 'climb' }, { use: 'fell', effect: 'good' }), [
    treatmentEntry('climb', climb),
    treatmentEntry('fell', climb),
  ]);
  expect(advise(library, { kinds: [plantId('fern')] }).refer).toEqual(['arborist']);
});

describe('a product that waits for a surer cause', () => {
  const spray = treatmentEntry('spray', { rung: 'conventional', classes: ['insecticide'] });
  const doubtful = (when: string) =>
    advise(
      miniLibrary(
        [{ id: 'sign', extra: { background: 'common' } }],
        ['pest', 'blight', 'rot', 'mildew'].map((id, n) => ({
          id,
          findings: { sign: 'usual' },
          extra: {
            category: n === 0 ? 'insect' : 'fungus',
            common: n === 0 ? 'common' : 'occasional',
            treatments:
              n === 0
                ? [
                    { use: 'spray', effect: 'strong', when },
                    { use: 'pick', effect: 'slight' },
                  ]
                : [],
          },
        })),
        { 'treatments/t.yaml': [spray, pick] },
      ),
    );

  it('says that it is too late, though it is not in the plan yet', () => {
    const advice = doubtful('04-25..05-20');
    expect(ids(advice)).toEqual(['pick']);
    expect(advice.verdict).toBe('too-late');
    expect(advice.headline).toMatchObject({ then: { code: 'too-late' } });
  });

  it('does not hold up what can be done where it could be used now', () => {
    expect(doubtful('06-01..07-20').verdict).toBe('act-now');
  });
});
