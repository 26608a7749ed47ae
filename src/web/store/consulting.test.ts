import { jest } from '@jest/globals';
import { OPENED_CASE } from '../../test/caseRecord.ts';
import { sentEvent, wordsEvent } from '../../test/sentEvents.ts';
import type { ConsultRequest, ConsultResponse } from '../../contracts/consult.ts';
import type { Problem } from '../../contracts/problem.ts';
import { fail, ok, type Result } from '../../core/util/result.ts';
import { caseLoaded, caseShown, changed } from './cases/casesSlice.ts';
import { closeCase, showWithout, startConsulting, type Consultant } from './consulting.ts';
import { makeStore } from './store.ts';
import { answerConsult } from '../../application/answerConsult.ts';
import { createConsultant } from '../../core/consult/consult.ts';
import { miniLibrary } from '../../test/miniLibrary.ts';
import { selectRecord } from './cases/selectors.ts';

const [A, B] = [OPENED_CASE.id, '5e0a7d1c-0000-4000-8000-00000000000b'];
const WHO = { author: 'Desk 1', device: 'd' };
const settle = (): Promise<void> => new Promise((done) => setTimeout(done, 5));

/** Questions that are answered when the test says so. */
class SlowConsultant implements Consultant {
  readonly asked: ConsultRequest[] = [];
  readonly #waiting: ((answer: Result<ConsultResponse, Problem>) => void)[] = [];
  ask = (body: ConsultRequest): Promise<Result<ConsultResponse, Problem>> => {
    this.asked.push(body);
    return new Promise((answer) => this.#waiting.push(answer));
  };
  async answer(result?: Result<ConsultResponse, Problem>): Promise<void> {
    const { words = '' } = this.asked.at(-1) ?? {};
    const response = {
      settledWhy: { reason: words, sample: null },
      knowledge: { version: 'v1' },
      plant: { name: 'Rose' },
      causes: [{ name: 'Rust' }],
    };
    this.#waiting.shift()?.(result ?? ok(response as unknown as ConsultResponse));
    await settle();
  }
}

async function openPage() {
  const page = makeStore();
  const consultant = new SlowConsultant();
  startConsulting(page, consultant, WHO);
  const { store } = page;
  const type = (caseId: string, words: string): void => {
    store.dispatch(changed({ caseId, change: sentEvent(wordsEvent(words)) }));
  };
  for (const id of [A, B]) store.dispatch(caseLoaded({ record: { ...OPENED_CASE, id } }));
  store.dispatch(caseShown(A));
  await settle();
  await consultant.answer();
  const shown = (): unknown => store.getState().cases.consulted;
  return { store, consultant, type, shown };
}

it('shows no late answer in another case', async () => {
  const { store, consultant, type, shown } = await openPage();
  type(A, 'alpha');
  await settle();
  store.dispatch(caseShown(B));
  await consultant.answer();
  expect(shown()).toBeNull();
  await consultant.answer();
  expect(shown()).toMatchObject({ caseId: B, response: { settledWhy: { reason: '' } } });
});

it('asks one question at a time, and then the newest', async () => {
  const { consultant, type } = await openPage();
  const before = consultant.asked.length;
  for (const words of ['a', 'b', 'c', 'd']) type(A, words);
  await settle();
  await consultant.answer();
  await consultant.answer();
  expect(consultant.asked.length - before).toBeLessThanOrEqual(2);
  expect(consultant.asked.at(-1)?.words).toContain('d');
});

it('notes by which library a plant was answered and what led, once that has stood', async () => {
  const { store, consultant, type } = await openPage();
  const events = () => store.getState().cases.byId[A]?.pending.map(({ event }) => event) ?? [];
  type(A, 'alpha');
  await settle();
  jest.useFakeTimers();
  const answered = consultant.answer();
  await jest.advanceTimersByTimeAsync(1000);
  await answered;
  expect(events().map(({ kind }) => kind)).toEqual(['words-edited']);
  await jest.advanceTimersByTimeAsync(5000);
  jest.useRealTimers();
  expect(events().at(-1)).toMatchObject({
    kind: 'consulted',
    knowledgeVersion: 'v1',
    leading: { plant: 'Rose', cause: 'Rust' },
  });
  const asked = consultant.asked.length;
  await settle();
  expect(consultant.asked).toHaveLength(asked);
});

it('says why there is no answer', async () => {
  const { store, consultant, type } = await openPage();
  const problem = { code: 'too-slow', field: null, message: 'slow', cure: 'shorten' } as const;
  type(A, 'alpha');
  await settle();
  await consultant.answer(fail(problem));
  expect(store.getState().cases.consultProblem).toEqual(problem);
});

it('shows no ranking without a finding in a case that was left', async () => {
  const { store, consultant } = await openPage();
  const showing = showWithout(store, consultant, A, 'webbing');
  store.dispatch(caseShown(B));
  await consultant.answer();
  await showing;
  expect(store.getState().cases.without).toBeNull();
});

describe('a case that is closed', () => {
  const library = miniLibrary(
    [{ id: 'spots', extra: { phrases: ['spot|spots'] } }],
    [{ id: 'rust', findings: { spots: 'always' } }],
  );
  const answering = createConsultant(library);
  const real: Consultant = {
    ask: (body) => Promise.resolve(answerConsult(library, answering, body)),
  };

  it('is left with its answer, and read later without asking again', async () => {
    const { store, consultant, type, shown } = await openPage();
    type(A, 'spots');
    await settle();
    await consultant.answer();
    await closeCase(store, real, WHO, A);
    const closed = selectRecord(store.getState(), A);
    expect(closed?.status).toBe('closed');
    expect(closed?.plants[0]?.closingAnswer).toMatchObject({ heard: [{ finding: 'spots' }] });
    store.dispatch(caseShown(B));
    await settle();
    await consultant.answer();
    const asked = consultant.asked.length;
    store.dispatch(caseShown(A));
    await settle();
    expect(consultant.asked).toHaveLength(asked);
    expect(shown()).toMatchObject({ caseId: A, response: closed?.plants[0]?.closingAnswer });
  });

  it('is asked about again when something of it has changed', async () => {
    const { store, consultant, type } = await openPage();
    type(A, 'spots');
    await closeCase(store, real, WHO, A);
    type(A, 'more ');
    await settle();
    await consultant.answer();
    expect(selectRecord(store.getState(), A)?.plants[0]?.closingAnswer).toBeNull();
    expect(consultant.asked.at(-1)?.words).toContain('more');
  });

  it('is closed without an answer where none is to be had', async () => {
    const { store, type } = await openPage();
    const away: Consultant = {
      ask: () =>
        Promise.resolve(fail({ code: 'unavailable', field: null, message: 'away', cure: 'wait' })),
    };
    type(A, 'spots');
    await closeCase(store, away, WHO, A);
    expect(selectRecord(store.getState(), A)).toMatchObject({
      status: 'closed',
      plants: [{ closingAnswer: null }],
    });
  });
});
