import { percentile } from '../../core/util/maths.ts';
import { signInAtDemo } from '../demoSession.ts';
import { startBalancer, type BalancerCounts } from './balancer.ts';
import { listen } from './listen.ts';
import { emptyReport, lostIn, work, type Measured } from './load.ts';

/** A server that the script started, and the way to end and start it. */
export interface ClusterServer {
  readonly port: number;
  readonly kill: () => void;
  readonly start: () => Promise<void>;
}

export interface ClusterParts {
  readonly servers: readonly ClusterServer[];
  readonly advisors: number;
  readonly seconds: number;
}

const pause = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms));

/** A page still listens this long after the last change, in milliseconds. */
const AFTER_MS = 1500;

/** Between two kills, so that the servers are back before the next. */
const BETWEEN_KILLS_MS = 2500;

async function killInTurn(servers: readonly ClusterServer[], until: number): Promise<number> {
  let kills = 0;
  for (; Date.now() < until - BETWEEN_KILLS_MS; kills++) {
    await pause(BETWEEN_KILLS_MS);
    const server = servers[kills % servers.length];
    server?.kill();
    await pause(300);
    await server?.start();
  }
  return kills;
}

function line(name: string, { times, again }: Measured, seconds: number): string {
  const ordered = [...times].sort((a, b) => a - b);
  const at = (share: number): string => (percentile(ordered, share) ?? 0).toFixed(0);
  const rate = (times.length / seconds).toFixed(0);
  return `${name}: ${times.length} (${rate}/s), median ${at(0.5)} ms, p95 ${at(0.95)} ms, asked again ${again}`;
}

/** Works against several servers of which one at a time is killed; false when anything was lost or failed. */
export async function runCluster({ servers, advisors, seconds }: ClusterParts): Promise<boolean> {
  const counts: BalancerCounts = { passedOn: 0, unanswered: 0 };
  const balancer = await startBalancer(
    servers.map(({ port }) => port),
    counts,
  );
  const address = `http://127.0.0.1:${balancer.port}`;
  const session = await signInAtDemo(address);
  const report = emptyReport();
  const until = Date.now() + seconds * 1000;
  const [kills, received] = await Promise.all([
    killInTurn(servers, until),
    listen(address, session, until + AFTER_MS),
    ...Array.from({ length: advisors }, (_, i) =>
      work({ address, session, report, name: `advisor${i}` }, until),
    ),
  ]);
  const lost = await lostIn(address, session, report);
  balancer.server.close();
  balancer.server.closeAllConnections();
  console.log(line('writes', report.writes, seconds));
  console.log(line('searches right after a write', report.searches, seconds));
  console.log(line('Desk', report.desk, seconds));
  console.log(`servers killed: ${kills}; requests passed on by the balancer: ${counts.passedOn}`);
  console.log(
    `cases: ${report.written.size}; lost or doubled: ${lost.length}; failed after all tries: ${report.failed}; not found right after: ${report.unseen}`,
  );
  const delivered = [...report.written].flatMap(([id, words]) =>
    words.map((_, i) => received.changes.has(`${id} ${i + 1}`)),
  );
  console.log(
    `changes: ${delivered.length}; received by a page as they came: ${delivered.filter(Boolean).length}; its stream began ${received.begun} times, and it asks anew each time`,
  );
  return lost.length + report.failed + report.unseen === 0;
}
