import { resolve } from 'node:path';
import { pino } from 'pino';
import request from 'supertest';
import { importedSchema, weatherSchema } from '../../contracts/weather.ts';
import { createApp } from '../app.ts';
import { openOffice } from '../clinic/office.ts';
import { connect, migrateDatabase } from '../db/connect.ts';
import { weatherDays } from '../db/schema.ts';
import { seedWeather } from '../demo/weather.ts';
import { readCheckedLibrary } from '../knowledge/loadLibrary.ts';

const url = process.env.DATABASE_URL;
const library = readCheckedLibrary(resolve('knowledge'));
if (url === undefined || !library.ok)
  throw new Error('Start these tests with npm test, which brings a database.');

const { db, close, alone } = connect(url);
const office = await alone(async () => {
  await migrateDatabase(db, resolve('src/server/db/migrations'));
  return openOffice(db, '2026-06-13');
});
const log = pino({ level: 'silent' });
const app = createApp({ db, office, library: library.value, log, webFolder: null });
beforeAll(async () => {
  await db.delete(weatherDays);
});
afterAll(close);

const read = async () => weatherSchema.parse((await request(app).get('/api/weather')).body);
const send = (csv: string) => request(app).post('/api/weather').send({ csv });

it('has a simulated station up to yesterday, with a late frost and a gap, written once', async () => {
  expect((await read()).source).toBe('none');
  const added = await seedWeather(db, office, library.value.places);
  expect(await seedWeather(db, office, library.value.places)).toBe(0);
  const { source, days } = await read();
  expect([source, days.length, days.at(-1)?.day]).toEqual(['simulated', added, '2026-06-12']);
  expect(added).toBe(31 + 28 + 31 + 30 + 31 + 12 - 3);
  expect(days.find(({ day }) => day === '2026-05-21')?.minCelsius).toBeLessThan(0);
});

it('takes a station file in, in place of the simulated days, and again in place of the same days', async () => {
  const first = await send('date,min_c,max_c,rain_mm\n2026-06-09,8,19,0\n2026-06-11,9,20,3');
  expect(importedSchema.parse(first.body)).toEqual({
    days: 2,
    first: '2026-06-09',
    last: '2026-06-11',
    missing: ['2026-06-10'],
  });
  await send('date,min_c,max_c,rain_mm\n2026-06-11,10,22,0');
  const { source, days } = await read();
  expect(source).toBe('imported');
  expect(days.map(({ day, maxCelsius }) => [day, maxCelsius])).toEqual([
    ['2026-06-09', 19],
    ['2026-06-11', 22],
  ]);
});

it('says which lines are wrong and then takes nothing in', async () => {
  const answer = await send('date,min_c,max_c,rain_mm\n2026-06-12,1,2,0\n2026-06-31,1,2,0');
  expect(answer.status).toBe(422);
  expect(answer.body.error.message).toMatch(/Nothing was taken in. Line 3/);
  expect((await read()).days).toHaveLength(2);
});
