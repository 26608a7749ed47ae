import { library, openServer } from '../../test/serverApp.ts';
import { importedSchema, weatherSchema } from '../../contracts/weather.ts';
import { weatherDays } from '../db/schema.ts';
import { seedWeather } from '../demo/weather.ts';

const { close, db, office, as } = await openServer('2026-06-13');
const client = await as('coordinator');
const empty = () => db.delete(weatherDays);
beforeAll(empty);
afterAll(async () => {
  // The browser tests that follow on the same database begin with the simulated station.
  await empty();
  await close();
});

const read = async () => weatherSchema.parse((await client.get('/api/weather')).body);
const send = (csv: string) => client.post('/api/weather').send({ csv });

it('has a simulated station up to yesterday, with a late frost and a gap, written once', async () => {
  expect((await read()).source).toBe('none');
  const added = await seedWeather(db, office, library.places);
  expect(await seedWeather(db, office, library.places)).toBe(0);
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
