import { spawn, type ChildProcess } from 'node:child_process';
import pg from 'pg';
import { seeded } from '../../core/util/random.ts';
import { newId } from '../../contracts/ids.ts';
import type { CaseRecord } from '../../contracts/cases.ts';
import { createApi, type Api } from '../../web/api/api.ts';
import { signInAtDemo } from '../demoSession.ts';
import { BrowserClient, startBrowser } from './browserClient.ts';
import { FaultyNetwork, throughNetwork } from './faultyNetwork.ts';
import { Ledger, pause, untilDone } from './ledger.ts';
import { StoreClient } from './storeClient.ts';
import { compare, readHeld, type Findings } from './verifyRound.ts';

/** The database of the run, which this command owns. */
export interface ChaosCluster {
  readonly url: string;
  readonly ownerUrl: string;
  readonly keeperUrl: string;
  readonly pid: () => number | null;
  readonly ensureRunning: () => boolean;
}

/** What the command was asked for. */
export interface ChaosOptions {
  readonly cluster: ChaosCluster;
  readonly rounds: number;
  readonly seed: number;
  /** Port of the server, free on loopback. */
  readonly port: number;
  /** Folder of the project. */
  readonly root: string;
  readonly chromium: string;
}

const STORE_CLIENTS = 3;
const BROWSER_CLIENTS = 2;
const CASES = 3;
const ACTING_MS = 1900;
const MAX_DRAIN_MS = 60_000;
const MAX_BACK_MS = 10_000;
const MAX_LOOKS = 12;

/** The server of the run, started again whenever it ends. */
class Server {
  readonly #options: ChaosOptions;
  #child: ChildProcess | null = null;
  #stopped = false;

  constructor(options: ChaosOptions) {
    this.#options = options;
    this.#start();
  }

  get address(): string {
    return `http://127.0.0.1:${this.#options.port}`;
  }

  kill(): void {
    this.#child?.kill('SIGKILL');
  }

  async isUp(): Promise<boolean> {
    const answer = await fetch(`${this.address}/api/health`, {
      signal: AbortSignal.timeout(1500),
    }).catch(() => null);
    return answer?.ok === true;
  }

  stop(): Promise<void> {
    this.#stopped = true;
    const child = this.#child;
    if (!child || child.exitCode !== null) return Promise.resolve();
    return new Promise((resolve) => {
      child.once('exit', () => resolve());
      child.kill('SIGKILL');
    });
  }

  #start(): void {
    const { cluster, port, root } = this.#options;
    this.#child = spawn(process.execPath, ['dist/server/main.js'], {
      cwd: root,
      env: {
        ...process.env,
        DATABASE_URL: cluster.url,
        MIGRATE_URL: cluster.ownerUrl,
        PORT: String(port),
        SOUNDING_TODAY: '2026-06-13',
        SOUNDING_DEMO: 'yes',
        SESSION_SECRETS: 'known to this run alone and on this machine alone',
        LOG_LEVEL: process.env['CHAOS_LOG'] ?? 'silent',
      },
      stdio: process.env['CHAOS_LOG'] === undefined ? 'ignore' : 'inherit',
    });
    this.#child.once('exit', () => {
      if (!this.#stopped) setTimeout(() => this.#start(), 100);
    });
  }
}

async function until(isSo: () => boolean | Promise<boolean>, limitMs: number): Promise<boolean> {
  const begun = Date.now();
  while (Date.now() - begun < limitMs) {
    if (await isSo()) return true;
    await pause(60);
  }
  return false;
}

/** Ends some connections of the server from the database's side. */
async function killBackends(url: string): Promise<void> {
  const client = new pg.Client({ connectionString: url });
  client.on('error', () => undefined);
  await client.connect();
  await client.query(
    'select pg_terminate_backend(pid) from pg_stat_activity where pid <> pg_backend_pid() and random() < 0.6',
  );
  await client.end();
}

/**
 * Kills the database and brings it back; returns how long the service then took to answer, in milliseconds, and 0 where the
 * server was starting anyway.
 */
async function killDatabase(
  cluster: ChaosCluster,
  server: Server,
  awayMs: number,
): Promise<number> {
  const wasUp = await server.isUp();
  const pid = cluster.pid();
  if (pid !== null) process.kill(pid, 'SIGKILL');
  await pause(awayMs);
  // A killed process is seen for a moment, and its children may hold its memory.
  await untilDone(() => {
    if (!cluster.ensureRunning()) throw new Error('the database has not ended yet');
    return Promise.resolve();
  }, MAX_BACK_MS);
  const begun = Date.now();
  await until(() => server.isUp(), MAX_BACK_MS * 2);
  return wasUp ? Date.now() - begun : 0;
}

interface Round {
  readonly ledger: Ledger;
  readonly network: FaultyNetwork;
  /** Calls past the bad network. */
  readonly direct: Api;
  readonly random: () => number;
  readonly stores: readonly StoreClient[];
  readonly browsers: readonly BrowserClient[];
  readonly cases: readonly CaseRecord[];
}

const pick = <T>(list: readonly T[], random: () => number): T => {
  const one = list[Math.floor(random() * list.length)];
  if (one === undefined) throw new Error('nothing to pick from');
  return one;
};

async function actStore(
  client: StoreClient,
  { random, cases }: Round,
  until: number,
): Promise<void> {
  while (Date.now() < until) {
    if (random() < 0.12) {
      client.settle();
      await client.open(pick(cases, random).id);
    }
    client.act();
    await pause(20 + random() * 90);
  }
  client.settle();
}

async function actBrowser(
  client: BrowserClient,
  { random, cases }: Round,
  until: number,
): Promise<void> {
  let killed = false;
  while (Date.now() < until) {
    const choice = random();
    if (choice < 0.1 && !killed) {
      killed = true;
      await client.kill(pick(cases, random).id);
    } else if (choice < 0.35) await client.goTo(pick(cases, random).id);
    else await client.type();
  }
}

/** Kills something twice in the time of acting; returns the longest time until the service answered after a database was back. */
async function breakThings(
  { cluster }: ChaosOptions,
  server: Server,
  random: () => number,
): Promise<number> {
  let longest = 0;
  for (let i = 0; i < 2; i++) {
    await pause(300 + random() * 600);
    const choice = random();
    if (choice < 0.35) server.kill();
    else if (choice < 0.7)
      longest = Math.max(longest, await killDatabase(cluster, server, 100 + random() * 500));
    else await killBackends(cluster.keeperUrl).catch(() => undefined);
  }
  return longest;
}

/** Waits until every client has sent what it has and shows what the server has; returns why it did not, or null. */
async function drain(
  { stores, browsers }: Round,
  caseOf: (client: BrowserClient) => CaseRecord | null,
): Promise<string | null> {
  const stored = await until(() => stores.every((client) => client.waiting() === 0), MAX_DRAIN_MS);
  if (!stored) return 'changes of an advisor were not sent';
  const all = async (isSo: (client: BrowserClient) => Promise<boolean>): Promise<boolean> =>
    (await Promise.all(browsers.map((client) => isSo(client).catch(() => false)))).every(Boolean);
  if (!(await until(() => all((client) => client.isDrained()), MAX_DRAIN_MS))) {
    const states = await Promise.all(browsers.map((client) => client.describe()));
    return `changes of a page were not sent: ${states.join('; ')}`;
  }
  const shows = async (client: BrowserClient): Promise<boolean> =>
    (await client.shown()) === caseOf(client)?.plants[0]?.words;
  return (await until(() => all(shows), MAX_DRAIN_MS))
    ? null
    : 'a page shows other words than the server has';
}

/** Opens every case of a round in every store client, so that each holds what the server has. */
async function openAll(client: StoreClient, cases: readonly CaseRecord[]): Promise<CaseRecord[]> {
  const seen: CaseRecord[] = [];
  for (const { id } of cases) {
    await untilDone(async () => {
      await client.open(id);
      if (!client.record(id)) throw new Error('a case was not loaded');
    }, MAX_DRAIN_MS);
    const record = client.record(id);
    if (record) seen.push(record);
  }
  return seen;
}

async function openCases(api: Api): Promise<CaseRecord[]> {
  return Promise.all(
    Array.from({ length: CASES }, () => {
      const id = newId();
      return untilDone(async () => {
        const record = await api.openCase({ id, channel: 'phone' });
        if (!record.ok) throw new Error(record.error.message);
        return record.value;
      }, MAX_DRAIN_MS);
    }),
  );
}

/** Compares when nothing moves any more: a page may still note by which library it was answered. */
async function compareAtRest(
  { cluster }: ChaosOptions,
  { stores, cases, ledger, direct: api }: Round,
): Promise<Findings> {
  const look = async (): Promise<Findings> => {
    const shown = (await Promise.all(stores.map((client) => openAll(client, cases)))).flat();
    return compare(await readHeld(cluster.ownerUrl, api, cases), ledger, shown);
  };
  let found = await look();
  for (let tries = 0; tries < MAX_LOOKS && found.lost.length > 0; tries++) {
    await pause(400);
    found = await look();
  }
  return found;
}

interface Totals {
  lost: string[];
  doubled: string[];
  misplaced: string[];
  longestBackMs: number;
}

async function playRound(
  options: ChaosOptions,
  server: Server,
  round: Round,
  totals: Totals,
): Promise<void> {
  const { network, stores, browsers, cases, random } = round;
  await Promise.all([
    ...stores.map((client) => client.open(pick(cases, random).id)),
    ...browsers.map((client) => client.open(pick(cases, random).id)),
  ]);
  network.bad = true;
  const end = Date.now() + ACTING_MS;
  const [backMs] = await Promise.all([
    breakThings(options, server, random),
    ...stores.map((client) => actStore(client, round, end)),
    ...browsers.map((client) => actBrowser(client, round, end)),
  ]);
  network.bad = false;
  await until(() => server.isUp(), MAX_DRAIN_MS);
  for (const client of stores) client.comeOnline();
  await Promise.all(browsers.map((client) => client.comeOnline()));
  let records: readonly CaseRecord[] = [];
  const refresh = setInterval(() => {
    void readHeld(options.cluster.ownerUrl, round.direct, cases).then(
      (held) => (records = held.map(({ record }) => record)),
      () => undefined,
    );
  }, 400);
  const unrest = await drain(
    round,
    (client) => records.find(({ id }) => id === client.caseId) ?? null,
  );
  clearInterval(refresh);
  const found = await compareAtRest(options, round);
  if (unrest !== null) totals.lost.push(unrest);
  const refused = stores.reduce((sum, client) => sum + client.refused(), 0);
  if (refused > 0) totals.lost.push(`${refused} changes were refused`);
  totals.lost.push(...found.lost);
  totals.doubled.push(...found.doubled);
  totals.misplaced.push(...found.misplaced);
  totals.longestBackMs = Math.max(totals.longestBackMs, backMs);
}

/**
 * Plays rounds of several advisors on the same cases while the server, the database and single connections are killed and
 * the network drops, delays, doubles and reorders. Prints what was lost, doubled or put into another case; returns whether
 * nothing was.
 */
export async function runChaos(options: ChaosOptions): Promise<boolean> {
  const server = new Server(options);
  const totals: Totals = { lost: [], doubled: [], misplaced: [], longestBackMs: 0 };
  const network = new FaultyNetwork(seeded(options.seed + 500_000));
  const ledger = new Ledger();
  const browser = await startBrowser(options.chromium);
  try {
    await until(() => server.isUp(), MAX_DRAIN_MS * 2);
    const session = await untilDone(() => signInAtDemo(server.address), MAX_DRAIN_MS);
    const browsers = await Promise.all(
      Array.from({ length: BROWSER_CLIENTS }, () =>
        BrowserClient.start(browser, server.address, { network, ledger, session }),
      ),
    );
    const direct = createApi(server.address, session);
    const api = throughNetwork(direct, network, ledger);
    for (let number = 0; number < options.rounds; number++) {
      const random = seeded(options.seed + number);
      const stores = Array.from(
        { length: STORE_CLIENTS },
        (_, i) => new StoreClient(`Advisor ${i + 1}`, api, random, ledger),
      );
      const cases = await openCases(direct);
      const round = { ledger, network, direct, random, stores, browsers, cases };
      await playRound(options, server, round, totals).finally(() => {
        for (const client of stores) client.stop();
      });
    }
  } finally {
    await browser.close();
    await server.stop();
  }
  const { lost, doubled, misplaced, longestBackMs } = totals;
  for (const line of [...lost, ...doubled, ...misplaced].slice(0, 20)) console.log(line);
  console.log(
    `service back ${(longestBackMs / 1000).toFixed(1)} s after the database at the latest`,
  );
  console.log(
    `rounds ${options.rounds}, acknowledged ${ledger.acknowledged.size}, lost ${lost.length}, doubled ${doubled.length}, misplaced ${misplaced.length}`,
  );
  const isGood = lost.length + doubled.length + misplaced.length === 0;
  return isGood && longestBackMs < MAX_BACK_MS;
}
