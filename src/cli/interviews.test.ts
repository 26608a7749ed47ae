import { ok } from '../core/util/result.ts';
import { consultResponseSchema, type ConsultResponse } from '../contracts/consult.ts';
import { callerSchema, playCall, summaryOf, truthOf, type Caller } from './interviews.ts';

const caller = (change: Record<string, unknown> = {}): Caller =>
  callerSchema.parse({
    id: 'a',
    words: 'my fern is sad',
    date: '2026-06-13',
    place: { lat: 44, lon: -68 },
    plant: { accept: ['fern'] },
    cause: { accept: ['slug'] },
    verdicts: ['act-now'],
    ...change,
  });

const ask = (finding: string, choices: string[] = []): ConsultResponse['ask'][number] => ({
  finding,
  question: `${finding}?`,
  how: null,
  seconds: 5,
  worth: 1,
  plate: null,
  choices: choices.map((one) => ({ finding: one, label: one, plate: null })),
  look: null,
  said: null,
});

const cause = (name: string) => ({
  id: name,
  name,
  scientificName: null,
  aliases: [],
  category: 'mollusc',
  probability: 0.5,
  for: [],
  against: [],
  say: '',
  expect: null,
  lookAlikes: [],
  source: '',
  versus: null,
  seenHere: null,
});

const step = (text: string, rung = 'hand', to: string | null = null) => ({
  id: text,
  text,
  rung,
  when: { from: '2026-06-13', to, note: '' },
  cautions: [],
  product: false,
});

/** An answer of the consultant with these causes in order, questions and steps. */
const answer = (change: {
  causes?: string[];
  ask?: ConsultResponse['ask'];
  settled?: boolean;
  steps?: ReturnType<typeof step>[];
  verdict?: string;
}): ConsultResponse =>
  consultResponseSchema.parse({
    plant: null,
    parts: [],
    amounts: [],
    heard: [],
    causes: (change.causes ?? []).map(cause),
    explanation: [],
    unexplained: 0,
    nothingWrong: 0,
    ask: change.ask ?? [],
    settled: change.settled ?? true,
    settledWhy: { reason: '', sample: null },
    conflicts: [],
    wouldChange: null,
    pair: [],
    advice: {
      verdict: change.verdict ?? 'act-now',
      headline: '',
      answers: [],
      steps: change.steps ?? [],
      cautions: [],
      refer: [],
      notDoing: [],
      differ: [],
      lookAgain: '2026-06-20',
    },
    knowledge: { version: 'test' },
  });

const play = (one: Caller, ...answers: ConsultResponse[]) => {
  let next = 0;
  return playCall(one, () => ok(answers[Math.min(next++, answers.length - 1)] ?? answer({})), 10);
};

describe('what a caller says', () => {
  it('is the fact on the sheet', () => {
    const one = caller({ facts: { holes: true, spread: 'all-of-kind' } });
    expect(truthOf(one, ask('holes'))).toBe(true);
    expect(truthOf(one, ask('spread', ['all-of-kind']))).toBe('all-of-kind');
    expect(truthOf(one, ask('slime'))).toBe('unknown');
  });

  it('is no to all that is not seen, where the sheet is complete', () => {
    const one = caller({ sees: ['holes', 'tips'], cannotSay: ['roots'] });
    expect(truthOf(one, ask('holes'))).toBe(true);
    expect(truthOf(one, ask('slime'))).toBe(false);
    expect(truthOf(one, ask('roots'))).toBe('unknown');
    expect(truthOf(one, ask('acid-soil'))).toBe('unknown');
    expect(truthOf(one, ask('where', ['inside', 'tips']))).toBe('tips');
    expect(truthOf(one, ask('how-many', ['one', 'all']))).toBe('unknown');
  });
});

it('answers the first question that it can, until the call is settled', () => {
  const call = play(
    caller({ facts: { slime: false } }),
    answer({ causes: ['Mice', 'Slugs'], ask: [ask('roots'), ask('slime')], settled: false }),
    answer({ causes: ['Slugs', 'Mice'] }),
  );
  expect(call).toMatchObject({ first: 2, end: 1, settled: true });
  expect(call.asked).toEqual([{ question: 'slime?', value: false }]);
});

it('stops after ten questions, and where none is left', () => {
  const open = answer({ ask: [ask('roots')], settled: false });
  expect(play(caller(), open).asked).toHaveLength(10);
  expect(play(caller(), answer({ settled: false })).asked).toEqual([]);
});

it('finds what was advised, forbidden and dated', () => {
  const call = play(
    caller({
      mustMention: [['by hand', 'pick'], ['beer']],
      mustNot: ['salt them', 'dig'],
      months: [7],
    }),
    answer({
      steps: [
        step('Pick them off. Do not salt them.', 'hand', '2026-07-02'),
        step('dig it up', 'leave'),
      ],
    }),
  );
  expect(call).toMatchObject({ mentioned: 0.5, missed: [['beer']], harmful: [], dated: true });
  const harmful = play(caller({ mustNot: ['salt them'] }), answer({ steps: [step('Salt them.')] }));
  expect(harmful.harmful).toEqual(['salt them']);
});

it('takes a span of most of a year for no date', () => {
  const one = caller({ months: [7] });
  expect(play(one, answer({ steps: [step('Prune', 'hand', '2027-05-01')] })).dated).toBe(false);
  expect(play(one, answer({ steps: [step('Prune')] })).dated).toBe(false);
});

it('sums up the calls', () => {
  const good = play(caller(), answer({ causes: ['Slugs'] }));
  const bad = play(
    caller({ verdicts: ['leave'], facts: { roots: true } }),
    answer({ causes: ['Slugs'], ask: [ask('roots')], settled: false }),
    answer({ causes: ['Mice', 'Slugs'] }),
  );
  expect(summaryOf([good, bad])).toMatchObject({
    callers: 2,
    firstTop1: 1,
    endTop1: 0.5,
    endTop3: 1,
    lostByAsking: 1,
    settledWrong: 1,
    verdict: 0.5,
    restraint: 0,
    questions: 0.5,
    unanswerable: 0,
    amounts: null,
  });
});
