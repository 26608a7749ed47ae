import { sql } from 'drizzle-orm';
import { resolve } from 'node:path';
import type { CasebookQuery } from '../contracts/casebook.ts';
import { entryAt } from '../core/util/entryAt.ts';
import { conditionOf, searchCases } from '../server/casebook/search.ts';
import { listCases, listDue, listLookAgain } from '../server/cases/queries.ts';
import { emptyPlant } from '../contracts/applyCaseEvent.ts';
import type { CaseEvent } from '../contracts/caseEvents.ts';
import { newId } from '../contracts/ids.ts';
import type { Actor } from '../server/access/guard.ts';
import { readLearned } from '../server/casebook/learned.ts';
import { readExperience } from '../server/clinic/routes.ts';
import { enterCase } from '../server/cases/enterCase.ts';
import { connect, type Database } from '../server/db/connect.ts';
import { openClinicContext, type ClinicContext } from '../server/office/clinicContext.ts';

const TIMES = 40;
const PAGE = { limit: 51, after: null };

/** Words of generated cases; the rarer ones stand further behind. */
const VOCABULARY =
  'leaf spot yellow brown wilt hole edge vein powder rust branch root fruit flower tip curl web egg larva bark canker gall scale sticky mold rot stem bud crown needle lilac rose box maple spruce plum tomato bean currant hosta lupin quince medlar service whitebeam';

/** Fills an empty database with cases of ten years, by the database itself. */
async function fill(db: Database, clinicId: number, count: number): Promise<void> {
  const words = VOCABULARY.split(' ');
  await db.execute(sql`select setseed(0.613)`);
  await db.execute(sql`
    insert into cases (id, clinic_id, status, channel, opened_at, version, due_on, due_why, look_again_on)
    select gen_random_uuid(), ${clinicId},
      case when i % 50 = 0 then 'open' when i % 77 = 0 then 'waiting' else 'closed' end,
      'phone', timestamptz '2026-06-13' - (i || ' seconds')::interval * (315360000.0 / ${count}), 1,
      case when i % 77 = 0 then date '2026-06-13' + (i % 20)::int end,
      case when i % 77 = 0 then 'call-back' end,
      case when i % 50 > 0 and i % 77 > 0 and i % 5 > 0
        then date '2026-06-27' - (i * (3650.0 / ${count}))::int end
    from generate_series(1, ${count}::int) as i`);
  const list = sql`array[${sql.join(
    words.map((word) => sql`${word}`),
    sql`, `,
  )}]::text[]`;
  // A square of the random number makes the words in front common and those behind rare.
  await db.execute(sql`
    insert into case_plants (case_id, clinic_id, id, position, words, plant, date, latitude, longitude, approach, outcome_cause, outcome_confirmed, outcome_on, said_cause, said_share, outcome_rank)
    select id, clinic_id, 'plant-1', 0,
      (select string_agg((${list})[1 + floor(power(random(), 2) * ${words.length})::int], ' ') from generate_series(1, 24) where cases.id is not null),
      'plant-' || (number % 400), date '2026-06-13', 44.6, -67.9, 'integrated',
      case when number % 5 = 0 then 'cause-' || (number % 300) end,
      case when number % 5 = 0 then 'in-hand' end,
      case when number % 5 = 0 then date '2026-06-13' - (number % 3650) end,
      'cause-' || (number % 290), 0.2 + (number % 80) / 100.0, 1 + number % 4
    from cases`);
  await db.execute(sql`
    insert into case_search
    select c.id, c.clinic_id, c.opened_at, c.status, 'Name' || c.number || ' Surname' || (c.number % 9973),
      '{}', array[p.plant], case when p.outcome_cause is null then '{}' else array[p.outcome_cause] end,
      p.outcome_cause is not null, to_tsvector('english', p.words)
    from cases c join case_plants p on p.case_id = c.id`);
  await db.execute(sql`analyze`);
}

async function timesOf(work: () => Promise<unknown>): Promise<string> {
  const times: number[] = [];
  for (let i = 0; i < TIMES; i++) {
    const begun = performance.now();
    await work();
    times.push(performance.now() - begun);
  }
  times.sort((a, b) => a - b);
  const at = (share: number): string =>
    entryAt(times, Math.min(TIMES - 1, Math.floor(TIMES * share))).toFixed(1);
  return `median ${at(0.5)} ms, p95 ${at(0.95)} ms`;
}

/** Cases with six events each that are entered one after the other, as an advisor's page sends them. */
const ENTERED = 500;

async function entering(db: Database, office: ClinicContext): Promise<string> {
  const plantId = 'plant-1';
  const plant = emptyPlant(plantId, '2026-06-13', office.place);
  const edit = (at: number, insert: string): CaseEvent => ({
    kind: 'words-edited',
    plantId,
    edits: [{ at, remove: '', insert }],
  });
  const events: CaseEvent[] = [
    edit(0, 'Leaves of the medlar '),
    edit(21, 'are brown at the edge '),
    { kind: 'plant-chosen', plantId, plant: 'apple' },
    {
      kind: 'answer-given',
      plantId,
      answer: { id: 'a', finding: 'leaf-spots', value: true, sure: 1 },
    },
    { kind: 'call-back-set', on: '2026-06-20' },
    { kind: 'status-set', status: 'waiting' },
  ];
  const by = { author: 'bench', personId: null, device: 'bench' };
  const begun = performance.now();
  for (let i = 0; i < ENTERED; i++) {
    const opening = {
      id: newId(),
      channel: 'phone' as const,
      openedAt: '2026-06-13T12:00:00.000Z',
    };
    await db.transaction((tx) => enterCase(tx, office.id, { ...opening, plant, events }, by));
  }
  const seconds = (performance.now() - begun) / 1000;
  return `${(ENTERED / seconds).toFixed(0)} cases a second, ${((events.length * ENTERED) / seconds).toFixed(0)} events a second, on one connection`;
}

async function sizesOf(db: Database): Promise<readonly { name: string; bytes: string }[]> {
  const { rows } = await db.execute<{ name: string; bytes: string }>(sql`
    select relname as name, pg_size_pretty(pg_total_relation_size(oid)) as bytes
    from pg_class where relkind = 'r' and relnamespace = 'public'::regnamespace
      and relname like 'case%' order by pg_total_relation_size(oid) desc`);
  return rows;
}

const LAST_MONTH = { from: '2026-05-14', to: '2026-06-13' };

const SEARCHES: readonly (readonly [string, CasebookQuery])[] = [
  ['nothing named', {}],
  ['a common word', { words: 'leaf' }],
  ['a rare word', { words: 'whitebeam' }],
  ['common and rare words', { words: 'yellow leaf medlar' }],
  ['words that no case has', { words: 'zebra' }],
  ['words that stand together', { words: '"yellow spot"' }],
  ['a name', { words: 'Surname42' }],
  ['a plant', { plant: 'plant-77' }],
  ['a cause of a month', { cause: 'cause-50', from: '2024-05-01', to: '2024-05-31' }],
  ['known outcomes of a word', { words: 'canker', outcome: 'known' }],
];

const url = process.env.DATABASE_URL;
const count = Number(process.argv[2] ?? 100_000);
if (url === undefined || !Number.isInteger(count) || count < 1) {
  console.error('Type:  DATABASE_URL=<an empty database> npm run bench:casebook -- 100000');
  process.exit(2);
}
const { db, migrate, close } = connect(url, undefined, { statementMs: 3_600_000 });
await migrate(resolve('src/server/db/migrations'));
const office = await openClinicContext(db, { pinnedDay: '2026-06-13' });
const READER: Actor = {
  id: newId(),
  name: '',
  role: 'coordinator',
  clinicId: office.id,
  office,
  spelling: null,
};
const [held] = (await db.execute<{ cases: number }>(sql`select count(*)::int as cases from cases`))
  .rows;
if ((held?.cases ?? 0) === 0) await fill(db, office.id, count);
const size = await db.execute<{ size: string }>(
  sql`select pg_size_pretty(pg_database_size(current_database())) as size`,
);
console.log(`${count} cases, database ${size.rows[0]?.size ?? ''}`);
for (const [name, query] of SEARCHES)
  console.log(`${name}: ${await timesOf(() => searchCases(db, conditionOf(office, query), PAGE))}`);
console.log(`Desk, open cases: ${await timesOf(() => listCases(db, office.id, false, PAGE))}`);
console.log(
  `Desk, to be asked how it went: ${await timesOf(() => listLookAgain(db, office.id, LAST_MONTH, PAGE))}`,
);
console.log(`Desk, call-backs: ${await timesOf(() => listDue(db, office.id, PAGE))}`);
console.log(`learned, said and true: ${await timesOf(() => readLearned(db, READER, {}))}`);
console.log(`learned, how common here: ${await timesOf(() => readExperience(db, office))}`);
console.log(`entering: ${await entering(db, office)}`);
for (const { name, bytes } of await sizesOf(db)) console.log(`  ${name}: ${bytes}`);
await close();
