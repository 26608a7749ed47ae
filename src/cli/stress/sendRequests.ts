import { Agent, request } from 'node:http';
import type { SessionHeaders } from '../demoSession.ts';
import type { RawRequest } from './hostileRequests.ts';

/** Where requests go: a server on this machine, and a case of it. */
export interface Target {
  readonly port: number;
  readonly caseId: string;
  /** Sent with every request that does not bring its own. */
  readonly session: SessionHeaders;
}

/** What came of many requests. */
export interface StressReport {
  readonly sent: number;
  /** Answers of 500 and above. */
  readonly serverErrors: readonly RawRequest[];
  /** Answers that took too long, or never came. */
  readonly hung: readonly RawRequest[];
  /** Longest time of a legal request, in milliseconds, and which it was. */
  readonly slowestLegal: { readonly ms: number; readonly path: string };
}

/** An answer that takes longer has hung, in milliseconds. */
export const HUNG_MS = 2000;
const MAX_WAIT_MS = 15_000;

interface Answer {
  readonly status: number | null;
  readonly ms: number;
}

/** Sends one request as it is and reads its answer to the end. */
export function sendRaw(
  { method, path, headers, body }: RawRequest,
  { port, caseId, session }: Target,
  agent: Agent,
): Promise<Answer> {
  const begun = performance.now();
  return new Promise((resolve) => {
    const done = (status: number | null): void =>
      resolve({ status, ms: performance.now() - begun });
    const sending = request(
      {
        host: '127.0.0.1',
        port,
        agent,
        method,
        path: path.replace('ID', caseId),
        headers: { ...session, ...headers, 'content-length': String(body?.length ?? 0) },
        timeout: MAX_WAIT_MS,
      },
      (response) => {
        response.resume().on('end', () => done(response.statusCode ?? null));
        response.on('error', () => done(null));
      },
    );
    sending.on('timeout', () => sending.destroy());
    sending.on('error', () => done(null));
    sending.end(body ?? undefined);
  });
}

/** Sends requests, some at a time, and reports what came of them; `hungMs` is the longest time an answer may take. */
export async function sendAll(
  requests: readonly RawRequest[],
  target: Target,
  atOnce: number,
  hungMs = HUNG_MS,
): Promise<StressReport> {
  const agent = new Agent({ keepAlive: true, maxSockets: atOnce });
  const serverErrors: RawRequest[] = [];
  const hung: RawRequest[] = [];
  let next = 0;
  let slowestLegal = { ms: 0, path: '' };
  const work = async (): Promise<void> => {
    for (let one = requests[next++]; one; one = requests[next++]) {
      const { status, ms } = await sendRaw(one, target, agent);
      if (status !== null && status >= 500) serverErrors.push(one);
      // A connection that the server closes at once for a malformed request is an answer too.
      if (ms > hungMs) hung.push(one);
      if (one.legal && ms > slowestLegal.ms) slowestLegal = { ms, path: one.path };
    }
  };
  await Promise.all(Array.from({ length: atOnce }, work));
  agent.destroy();
  return { sent: requests.length, serverErrors, hung, slowestLegal };
}
