import type { Request, RequestHandler } from 'express';
import { sendProblem } from './problems.ts';

const READS: readonly string[] = ['GET', 'HEAD', 'OPTIONS'];

/** Host of an address; null when it is none. */
function hostOf(address: string): string | null {
  try {
    return new URL(address).host;
  } catch {
    return null;
  }
}

/** Whether a writing comes from a page of ours, by what browsers say of it; programs without a session say nothing. */
function isFromOurPage(request: Request): boolean {
  const site = request.get('sec-fetch-site');
  if (site !== undefined) return site === 'same-origin';
  const origin = request.get('origin');
  if (origin !== undefined) return hostOf(origin) === request.host;
  return request.get('cookie') === undefined;
}

/** Refuses writing that another site made this browser send. */
export const fromOurPages: RequestHandler = (request, response, next) => {
  if (READS.includes(request.method) || isFromOurPage(request)) next();
  else
    sendProblem(response, {
      code: 'forbidden',
      field: null,
      message: 'The request comes from another site.',
      cure: 'Use the pages of this server; a program sends its address in the header Origin.',
    });
};

const LOOPBACK: readonly string[] = ['localhost', '127.0.0.1', '[::1]'];

/** Refuses requests for a name that is not ours, as of a foreign name that was pointed at this machine. */
export function knownHosts(names: readonly string[]): RequestHandler {
  const known = new Set([...LOOPBACK, ...names].map((name) => name.toLowerCase()));
  return (request, response, next) => {
    if (known.has(request.hostname.toLowerCase())) next();
    else
      sendProblem(response, {
        code: 'malformed-request',
        field: 'host',
        message: 'This server does not go by that name.',
        cure: 'Start it with SOUNDING_HOSTS set to the names it is reached by, separated by commas.',
      });
  };
}

/** Whether a request comes from this machine itself, through no proxy. */
export function isFromHere(request: Request): boolean {
  const { remoteAddress = '' } = request.socket;
  const isLoopback = /^(::1|(::ffff:)?127\.)/.test(remoteAddress);
  return isLoopback && request.get('x-forwarded-for') === undefined;
}
