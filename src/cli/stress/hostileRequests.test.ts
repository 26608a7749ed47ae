import { randomUUID } from 'node:crypto';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { seedPeople } from '../../server/demo/people.ts';
import { signInAtDemo } from '../demoSession.ts';
import { hostileRequests } from './hostileRequests.ts';
import { sendAll } from './sendRequests.ts';
import { openOwnDatabase, openServer } from '../../test/serverApp.ts';
import { problemSchema } from '../../contracts/problem.ts';
import { checkBody } from '../../server/http/storableBody.ts';

const own = await openOwnDatabase();
const server = await openServer('2026-06-13', { address: own.url });
const http = createServer(server.app);
await new Promise<void>((done) => http.listen(0, '127.0.0.1', done));
const { port } = http.address() as AddressInfo;
const client = await server.as('coordinator');
await seedPeople(server.db, server.office.id);
const session = await signInAtDemo(`http://127.0.0.1:${port}`);
afterAll(async () => {
  http.closeAllConnections();
  await new Promise((done) => http.close(done));
  await server.close();
  await own.drop();
});

it.each([
  ['/api/cases/%ff/events', 400],
  ['/api/cases/%E0%A4%A', 400],
  ['/api/cases?after=nonsense', 422],
  ['/api/cases/due?after=2026-02-30,5e0a7d1c-0000-4000-8000-000000000001', 422],
])('answers %s with %d and a cure', async (path, status) => {
  const answer = await client.get(path);
  expect(answer.status).toBe(status);
  expect(problemSchema.parse(answer.body).error.cure).not.toBe('');
});

it.each([
  ['NUL', { words: 'a\0b' }, 'words'],
  ['half an emoji', { answers: [{ finding: '\ud83d' }] }, 'answers.0.finding'],
  ['NUL in a name of a field', { 'a\0': 1 }, 'body'],
  ['too deep a nest', JSON.parse('['.repeat(20) + ']'.repeat(20)) as unknown, /^(0\.)+0$/],
])('refuses %s at the border', (_what, body, field) => {
  const problem = checkBody(body);
  if (field instanceof RegExp) expect(problem?.field).toMatch(field);
  else expect(problem?.field).toBe(field);
});

it('takes numbers too small to store as zero', () => {
  const body = { place: { lat: 1e-50, lon: -5e-324 }, sure: 0.5 };
  expect(checkBody(body)).toBeNull();
  expect(body).toEqual({ place: { lat: 0, lon: 0 }, sure: 0.5 });
});

it('finds fault with hostile requests in the sender alone, and answers all of them', async () => {
  const caseId = randomUUID();
  await client.post('/api/cases').send({ id: caseId }).expect(201);
  // The time is measured by npm run stress; here a shared machine must not fail the test.
  const requests = hostileRequests(1500, 20_260_613);
  const report = await sendAll(requests, { port, caseId, session }, 8, 12_000);
  expect(report.sent).toBe(1500);
  expect(report.serverErrors).toEqual([]);
  expect(report.hung).toEqual([]);
}, 120_000);
