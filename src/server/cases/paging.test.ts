import { randomUUID } from 'node:crypto';
import { openOwnDatabase, openServer } from '../../test/serverApp.ts';
import { emptyPlant } from '../../contracts/applyCaseEvent.ts';
import { casePageSchema, type CaseSummary } from '../../contracts/cases.ts';
import { cases } from '../db/schema.ts';
import { insertCase } from './queries.ts';

const own = await openOwnDatabase();
const server = await openServer('2026-06-13', { address: own.url });
const client = await server.as('advisor');
afterAll(async () => {
  await server.close();
  await own.drop();
});

const COUNT = 230;

beforeAll(async () => {
  const { db, office } = server;
  for (let i = 0; i < COUNT; i++) {
    // Several were opened in the same moment: the id then decides.
    const openedAt = new Date(Date.UTC(2026, 5, 13, 8, Math.floor(i / 3))).toISOString();
    const plant = { ...emptyPlant('plant-1', '2026-06-13', office.place), words: 'rust' };
    await insertCase(db, office.id, { id: randomUUID(), channel: 'phone', openedAt, plant }, null);
  }
  await db
    .update(cases)
    .set({ dueOn: '2026-06-20', dueWhy: 'call-back', lookAgainOn: '2026-06-10' });
}, 60_000);

async function allPages(path: string): Promise<CaseSummary[]> {
  const lines: CaseSummary[] = [];
  let after = '';
  for (let pages = 0; pages < 10; pages++) {
    const { body } = await client.get(`${path}${after}`);
    const page = casePageSchema.parse(body);
    lines.push(...page.cases);
    if (page.next === null) return lines;
    after = `${path.includes('?') ? '&' : '?'}after=${encodeURIComponent(page.next)}`;
  }
  throw new Error('the pages do not end');
}

it.each([
  '/api/cases',
  '/api/cases/due',
  '/api/cases/look-again',
  '/api/casebook',
  '/api/casebook?words=rust',
])('%s gives every case once, page by page', async (path) => {
  const lines = await allPages(path);
  expect(lines).toHaveLength(COUNT);
  expect(new Set(lines.map(({ id }) => id)).size).toBe(COUNT);
});

it('gives the newest first', async () => {
  for (const path of ['/api/cases', '/api/casebook', '/api/casebook?words=rust']) {
    const moments = (await allPages(path)).map(({ openedAt }) => openedAt);
    expect(moments).toEqual([...moments].sort().reverse());
  }
});
