import pg from 'pg';
import { applyStoredEvent } from '../../contracts/applyCaseEvent.ts';
import { storedEventSchema, type StoredEvent } from '../../contracts/caseEvents.ts';
import type { CaseRecord } from '../../contracts/cases.ts';
import type { Api } from '../../web/api/api.ts';
import type { Ledger } from './ledger.ts';

/** What is wrong after a round; all empty when nothing is. */
export interface Findings {
  readonly lost: readonly string[];
  readonly doubled: readonly string[];
  readonly misplaced: readonly string[];
}

/** A case as the database holds it, opened with nothing in it. */
export interface HeldCase {
  readonly opened: CaseRecord;
  readonly record: CaseRecord;
  readonly log: readonly StoredEvent[];
}

async function readLog(client: pg.Client, caseId: string): Promise<readonly StoredEvent[]> {
  const { rows } = await client.query(
    `select event_id as id, version, author, device, event, conflicts
     from case_events where case_id = $1 order by version`,
    [caseId],
  );
  return rows.map((row) => storedEventSchema.parse(row));
}

/** Reads cases: the log from the database itself, the record as the server gives it. */
export async function readHeld(
  databaseUrl: string,
  api: Api,
  opened: readonly CaseRecord[],
): Promise<readonly HeldCase[]> {
  const client = new pg.Client({ connectionString: databaseUrl });
  client.on('error', () => undefined);
  await client.connect();
  try {
    const held: HeldCase[] = [];
    for (const one of opened) {
      const record = await api.readCase(one.id);
      if (!record.ok) throw new Error(record.error.message);
      held.push({ opened: one, record: record.value, log: await readLog(client, one.id) });
    }
    return held;
  } finally {
    await client.end();
  }
}

const wordsIn = (record: CaseRecord): readonly string[] =>
  record.plants.flatMap(({ words }) => words.split(/\s+/)).filter(Boolean);

/** The events that wrote or removed a word, for a report. */
function historyOf(word: string, held: readonly HeldCase[]): string {
  return held
    .flatMap(({ log }) => log)
    .filter(({ event }) => JSON.stringify(event).includes(word.slice(0, -1)))
    .map(
      ({ version, author, id, event }) =>
        `\n    ${version} ${author} ${id.slice(0, 8)} ${JSON.stringify(event).slice(0, 400)}`,
    )
    .join('');
}

function wordFindings(held: readonly HeldCase[], ledger: Ledger): Findings {
  const [lost, doubled, misplaced]: [string[], string[], string[]] = [[], [], []];
  const where = new Map<string, string[]>();
  for (const { record } of held)
    for (const word of wordsIn(record)) where.set(word, [...(where.get(word) ?? []), record.id]);
  const ids = new Set(held.map(({ record }) => record.id));
  for (const [word, caseId] of ledger.typed) {
    if (!ids.has(caseId)) continue;
    const cases = where.get(word) ?? [];
    if (!cases.includes(caseId)) lost.push(`word ${word} of ${caseId}${historyOf(word, held)}`);
    if (cases.filter((one) => one === caseId).length > 1)
      doubled.push(`word ${word} of ${caseId}${historyOf(word, held)}`);
    if (cases.some((one) => one !== caseId)) misplaced.push(`word ${word} of ${caseId}`);
  }
  return { lost, doubled, misplaced };
}

function eventFindings(held: readonly HeldCase[], ledger: Ledger): Findings {
  const [lost, doubled, misplaced]: [string[], string[], string[]] = [[], [], []];
  const where = new Map<string, string>();
  for (const { record, log } of held)
    for (const { id } of log) {
      if (where.has(id)) doubled.push(`event ${id}`);
      where.set(id, record.id);
    }
  const ids = new Set(held.map(({ record }) => record.id));
  for (const [id, caseId] of ledger.acknowledged) {
    if (!ids.has(caseId)) continue;
    const found = where.get(id);
    if (found === undefined) lost.push(`acknowledged event ${id} of ${caseId}`);
    else if (found !== caseId) misplaced.push(`event ${id} of ${caseId}`);
  }
  return { lost, doubled, misplaced };
}

/** A record that its log does not give, however it came about, has lost or doubled something. */
function replayFindings(held: readonly HeldCase[]): readonly string[] {
  return held.flatMap(({ opened, record, log }) => {
    const replayed = log.reduce<CaseRecord>(applyStoredEvent, opened);
    const same = canonical(replayed) === canonical(record);
    return same ? [] : [`case ${record.id} is not what its ${log.length} events make`];
  });
}

const canonical = (value: unknown): string =>
  JSON.stringify(value, (_key, one: unknown) =>
    typeof one === 'object' && one !== null && !Array.isArray(one)
      ? Object.fromEntries(Object.entries(one).sort(([a], [b]) => (a < b ? -1 : 1)))
      : one,
  );

/** Compares what was typed and acknowledged with what is held. `shown` are the cases as clients see them. */
export function compare(
  held: readonly HeldCase[],
  ledger: Ledger,
  shown: readonly CaseRecord[],
): Findings {
  const [words, events] = [wordFindings(held, ledger), eventFindings(held, ledger)];
  const different = shown.filter((record) => {
    const there = held.find((one) => one.record.id === record.id);
    return there !== undefined && canonical(there.record) !== canonical(record);
  });
  return {
    lost: [
      ...words.lost,
      ...events.lost,
      ...replayFindings(held),
      ...different.map(({ id }) => `a client shows another case ${id}`),
    ],
    doubled: [...words.doubled, ...events.doubled],
    misplaced: [...words.misplaced, ...events.misplaced],
  };
}
