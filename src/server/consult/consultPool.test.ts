import { build } from 'esbuild';
import { resolve } from 'node:path';
import { library } from '../../test/serverApp.ts';
import { openConsultPool, type ConsultPool } from './consultPool.ts';

const worker = resolve('dist/test/consultWorker.js');
const BODY = {
  words: 'white powder on the rose leaves, it wipes off',
  date: '2026-06-13',
  place: { lat: 44.6, lon: -67.9 },
};
const pools: ConsultPool[] = [];
const open = (limits: { limitMs?: number; maxWaiting?: number } = {}): ConsultPool => {
  const pool = openConsultPool({
    worker,
    library,
    threads: 1,
    limitMs: 20_000,
    maxWaiting: 10,
    ...limits,
  });
  pools.push(pool);
  return pool;
};

beforeAll(() =>
  build({
    entryPoints: [resolve('src/server/consult/consultWorker.ts')],
    outfile: worker,
    bundle: true,
    platform: 'node',
    format: 'esm',
    packages: 'external',
    logLevel: 'error',
  }),
);
afterAll(() => Promise.all(pools.map((pool) => pool.close())));

it('answers in a thread as the contract says, and names what is wrong with a body', async () => {
  const { consult } = open();
  const answer = await consult(BODY);
  expect(answer.ok && answer.value.causes[0]?.id).toBe('powdery-mildew');
  expect(await consult({ ...BODY, plant: 'triffid' })).toMatchObject({
    ok: false,
    error: { code: 'unknown-plant' },
  });
}, 60_000);

it('ends what takes too long, and answers the next one', async () => {
  // The first request of a thread waits for the library, which takes longer than this.
  const { consult } = open({ limitMs: 30 });
  expect(await consult(BODY)).toMatchObject({ ok: false, error: { code: 'too-slow' } });
  const patient = open();
  expect(await patient.consult(BODY)).toMatchObject({ ok: true });
}, 60_000);

it('refuses at once what would wait behind too many', async () => {
  const { consult } = open({ maxWaiting: 2 });
  const answers = await Promise.all(Array.from({ length: 6 }, () => consult(BODY)));
  const codes = answers.map((answer) => (answer.ok ? 'answered' : answer.error.code));
  expect(codes.filter((code) => code === 'overloaded').length).toBeGreaterThan(0);
  expect(codes[0]).toBe('answered');
}, 60_000);
