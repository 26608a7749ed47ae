import { randomUUID } from 'node:crypto';
import type { CaseEvent } from '../../contracts/caseEvents.ts';
import { casePageSchema } from '../../contracts/cases.ts';
import type { FollowUp } from '../../contracts/followUps.ts';
import { learnedSchema, type Learned } from '../../contracts/learned.ts';
import type { Confirmation } from '../../core/diagnosis/learning.ts';
import { clinics } from '../db/schema.ts';
import { answerOf } from '../../test/consultAnswer.ts';
import { sentEvent, wordsEvent } from '../../test/sentEvents.ts';
import { openOwnDatabase, openServer } from '../../test/serverApp.ts';

// A database of its own, as all outcomes are counted.
const own = await openOwnDatabase();
const server = await openServer('2026-06-13', { address: own.url });
afterAll(async () => {
  await server.close();
  await own.drop();
});
const coordinator = await server.as('coordinator');
const advisor = await server.as('advisor');
type Client = typeof advisor;

const plantId = 'plant-1';
const said = (first: string, share: number, second: string) =>
  answerOf({
    causes: [
      [first, share],
      [second, (1 - share) / 2],
    ],
    nothingWrong: 0.01,
    unexplained: 0.01,
  });

interface Closed {
  readonly first: string;
  readonly share: number;
  readonly proved?: string;
  readonly confirmed?: Confirmation;
  readonly went?: Pick<FollowUp, 'followed' | 'result'>;
  readonly lookAgain?: string;
}

async function close(client: Client, about: Closed): Promise<string> {
  const { first, share, proved, confirmed = 'laboratory', went, lookAgain } = about;
  const id = randomUUID();
  await client.post('/api/cases').send({ id });
  const answer = said(first, share, 'second');
  const closing = lookAgain ? { ...answer, advice: { ...answer.advice, lookAgain } } : answer;
  const events: CaseEvent[] = [
    wordsEvent('webbing'),
    { kind: 'status-set', status: 'closed' },
    { kind: 'closing-answer-stored', plantId, answer: closing },
  ];
  const on = '2026-06-12';
  if (proved)
    events.push({ kind: 'outcome-set', plantId, outcome: { cause: proved, confirmed, on } });
  if (went) events.push({ kind: 'follow-up-set', plantId, followUp: { on, note: '', ...went } });
  const sent = { baseVersion: 0, events: events.map((event) => sentEvent(event)) };
  await client.post(`/api/cases/${id}/events`).send(sent).expect(200);
  return id;
}

const learnedBy = async (client: Client, query: Record<string, string> = {}): Promise<Learned> =>
  learnedSchema.parse((await client.get('/api/casebook/learned').query(query)).body);

it('counts nothing at first', async () => {
  const { cases, first, people, brier } = await learnedBy(coordinator);
  expect({ cases, share: first.share, people, brier }).toEqual({
    cases: 0,
    share: null,
    people: [],
    brier: null,
  });
});

describe('with outcomes', () => {
  beforeAll(async () => {
    await close(advisor, {
      first: 'rust',
      share: 0.9,
      proved: 'rust',
      went: { followed: 'all', result: 'better' },
    });
    await close(advisor, { first: 'rust', share: 0.7, proved: 'second', confirmed: 'enquirer' });
    await close(coordinator, { first: 'scab', share: 0.5, proved: 'scab' });
    await close(coordinator, { first: 'scab', share: 0.5 });
  });

  it('says how often what stood first was true, and how surely it was said', async () => {
    const { cases, first, amongThree, brier } = await learnedBy(coordinator);
    expect([cases, first.isTrue, amongThree.isTrue]).toEqual([3, 2, 3]);
    expect(brier).toBeCloseTo((0.1 ** 2 + 0.7 ** 2 + 0.5 ** 2) / 3, 5);
  });

  it('names what it was instead, by what was said', async () => {
    const { causes } = await learnedBy(coordinator);
    expect(
      causes.map(({ cause, isTrue, cases, instead }) => ({ cause, isTrue, cases, instead })),
    ).toEqual([
      { cause: 'rust', isTrue: 1, cases: 2, instead: [{ cause: 'second', cases: 1 }] },
      { cause: 'scab', isTrue: 1, cases: 1, instead: [] },
    ]);
  });

  it('counts only what was confirmed well enough, and within the days', async () => {
    expect((await learnedBy(coordinator, { confirmed: 'in-hand' })).cases).toBe(2);
    expect((await learnedBy(coordinator, { from: '2026-06-13' })).cases).toBe(0);
    expect((await learnedBy(coordinator, { to: '2026-06-12' })).cases).toBe(3);
    expect((await coordinator.get('/api/casebook/learned?from=June')).status).toBe(422);
  });

  it('shows everybody to a coordinator, and to others themselves alone', async () => {
    const names = async (client: Client): Promise<string[]> =>
      (await learnedBy(client)).people.map(({ name }) => name);
    expect(await names(coordinator)).toEqual(['Some advisor', 'Some coordinator']);
    expect(await names(advisor)).toEqual(['Some advisor']);
  });

  it('counts how plants did by what was done', async () => {
    const { followUps } = await learnedBy(advisor);
    const all = followUps.find(({ followed }) => followed === 'all');
    expect(all?.results.find(({ result }) => result === 'better')?.cases).toBe(1);
    expect(followUps.flatMap(({ results }) => results).reduce((n, { cases }) => n + cases, 0)).toBe(
      1,
    );
  });

  it('counts only what was heard within the days', async () => {
    const heardIn = async (query: Record<string, string>): Promise<number> =>
      (await learnedBy(coordinator, query)).followUps
        .flatMap(({ results }) => results)
        .reduce((n, { cases }) => n + cases, 0);
    expect(await heardIn({ from: '2026-06-12', to: '2026-06-12' })).toBe(1);
    expect(await heardIn({ from: '2026-06-13' })).toBe(0);
    expect(await heardIn({ to: '2026-06-11' })).toBe(0);
  });

  it('shows nothing to another clinic', async () => {
    const place = { region: 'Elsewhere', latitude: 45, longitude: -68 };
    const [other] = await server.db
      .insert(clinics)
      .values({ name: 'Another clinic', ...place })
      .returning();
    const stranger = await server.as('coordinator', other?.id);
    expect((await learnedBy(stranger)).cases).toBe(0);
  });
});

describe('asking how it went', () => {
  const listed = async (): Promise<string[]> =>
    casePageSchema
      .parse((await advisor.get('/api/cases/look-again')).body)
      .cases.map(({ id }) => id);

  it('brings up what the advice said to look at within the last month, until it was heard', async () => {
    const now = await close(advisor, { first: 'rust', share: 0.9, lookAgain: '2026-06-13' });
    const later = await close(advisor, { first: 'rust', share: 0.9, lookAgain: '2026-06-14' });
    const longAgo = await close(advisor, { first: 'rust', share: 0.9, lookAgain: '2026-05-01' });
    const found = await listed();
    expect(found).toContain(now);
    expect(found).not.toContain(later);
    expect(found).not.toContain(longAgo);
    const heard = sentEvent({
      kind: 'follow-up-set',
      plantId,
      followUp: { on: '2026-06-13', followed: 'all', result: 'same', note: '' },
    });
    await advisor.post(`/api/cases/${now}/events`).send({ baseVersion: 3, events: [heard] });
    expect(await listed()).not.toContain(now);
  });

  it('keeps a call-back that was promised when the case is closed', async () => {
    const id = await close(advisor, { first: 'rust', share: 0.9, proved: 'rust' });
    const promised = sentEvent({ kind: 'call-back-set', on: '2026-06-20' });
    await advisor.post(`/api/cases/${id}/events`).send({ baseVersion: 4, events: [promised] });
    const { cases } = casePageSchema.parse((await advisor.get('/api/cases/due')).body);
    expect(cases.find((one) => one.id === id)?.due).toEqual({ on: '2026-06-20', why: 'call-back' });
  });
});
