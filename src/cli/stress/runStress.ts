import { entryAt } from '../../core/util/entryAt.ts';
import { newId } from '../../contracts/ids.ts';
import { signInAtDemo, type SessionHeaders } from '../demoSession.ts';
import { hostileRequests, type RawRequest } from './hostileRequests.ts';
import { sendAll, sendRaw } from './sendRequests.ts';
import { Agent } from 'node:http';

/** What the command was asked for. */
export interface StressOptions {
  readonly port: number;
  readonly requests: number;
  readonly seed: number;
}

const AT_ONCE = 16;
const CONSULTS = 50;
const CONSULT_CHARACTERS = 2000;
const LOOKS_EVERY_MS = 20;
const CALL =
  'The lower leaves of my currants have small brown spots and turn yellow from the edge, it began three weeks ago after a wet spell. ';

function consultRequest(number: number): RawRequest {
  const body = {
    words: CALL.repeat(20).slice(0, CONSULT_CHARACTERS - 4) + String(number),
    date: '2026-06-13',
    place: { lat: 44.6, lon: -67.9 },
  };
  return {
    method: 'POST',
    path: '/api/consult',
    headers: { 'content-type': 'application/json' },
    body: Buffer.from(JSON.stringify(body)),
    legal: true,
  };
}

const healthRequest: RawRequest = {
  method: 'GET',
  path: '/api/health',
  headers: {},
  body: null,
  legal: true,
};

const percentile = (values: readonly number[], share: number): number =>
  entryAt(
    [...values].sort((a, b) => a - b),
    Math.min(values.length - 1, Math.floor(values.length * share)),
  );

/** Looks at the health while many consult at once; times in milliseconds. */
async function healthUnderLoad(port: number, session: SessionHeaders) {
  const target = { port, caseId: newId(), session };
  const agent = new Agent({ keepAlive: true, maxSockets: CONSULTS + 4 });
  const looks: number[] = [];
  let busy = true;
  const look = async (): Promise<void> => {
    while (busy) {
      looks.push((await sendRaw(healthRequest, target, agent)).ms);
      await new Promise((wait) => setTimeout(wait, LOOKS_EVERY_MS));
    }
  };
  const looking = look();
  const consults = await Promise.all(
    Array.from({ length: CONSULTS }, (_, i) => sendRaw(consultRequest(i), target, agent)),
  );
  busy = false;
  await looking;
  agent.destroy();
  return {
    answered: consults.filter(({ status }) => status === 200).length,
    slowestMs: Math.max(...consults.map(({ ms }) => ms)),
    p99Ms: percentile(looks, 0.99),
    looks: looks.length,
  };
}

async function openCase(port: number, session: SessionHeaders): Promise<string> {
  const id = newId();
  await fetch(`http://127.0.0.1:${port}/api/cases`, {
    method: 'POST',
    headers: { ...session, 'content-type': 'application/json' },
    body: JSON.stringify({ id }),
  });
  return id;
}

/** Sends hostile requests and many consultations at once to a server on this machine, and prints what came of them. */
export async function runStress({ port, requests, seed }: StressOptions): Promise<boolean> {
  const session = await signInAtDemo(`http://127.0.0.1:${port}`);
  const caseId = await openCase(port, session);
  const report = await sendAll(hostileRequests(requests, seed), { port, caseId, session }, AT_ONCE);
  for (const one of [...report.serverErrors, ...report.hung].slice(0, 10))
    console.log(one.method, one.path, one.headers, one.body?.toString().slice(0, 300));
  console.log(
    `requests ${report.sent}, answers of 5xx ${report.serverErrors.length}, hung ${report.hung.length}, slowest legal ${report.slowestLegal.ms.toFixed(0)} ms (${report.slowestLegal.path})`,
  );
  const health = await healthUnderLoad(port, session);
  console.log(
    `consultations at once ${CONSULTS}, answered ${health.answered}, slowest ${health.slowestMs.toFixed(0)} ms, health p99 ${health.p99Ms.toFixed(0)} ms of ${health.looks}`,
  );
  return report.serverErrors.length === 0 && report.hung.length === 0;
}
