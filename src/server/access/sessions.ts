import connectPgSimple from 'connect-pg-simple';
import type { Request, RequestHandler, Response } from 'express';
import session from 'express-session';
import { promisify } from 'node:util';
import type { Connection } from '../db/connect.ts';

declare module 'express-session' {
  interface SessionData {
    personId: string;
    /** Of the person when they signed in; a session of an earlier one has ended. */
    epoch: number;
    /** What a passkey must sign. */
    challenge: string;
  }
}

const SESSION_COOKIE = 'sounding';
/** A shift; after it people sign in anew. */
const SESSION_HOURS = 12;
const HOUR_MS = 3_600_000;
/** So long a passkey may take to answer; who never does leaves nothing for longer. */
const CHALLENGE_MS = 300_000;

/** How cookies are signed: the first secret signs, the others are read, so that secrets can be changed. */
export interface SessionSettings {
  readonly secrets: readonly string[];
  /** Ended sessions are cleared away now and then. */
  readonly prunes: boolean;
}

/** Sessions in PostgreSQL, shared by all servers of it. Nothing is kept of who has not signed in. */
export function keepSessions(
  { query }: Connection,
  { secrets, prunes }: SessionSettings,
): RequestHandler {
  const Store = connectPgSimple(session);
  // The store asks its pool for this one thing; ours asks again when the database was lost.
  const pool = { query: (text: string, values?: unknown[]) => query(text, values) };
  return session({
    name: SESSION_COOKIE,
    secret: [...secrets],
    store: new Store({
      pool: pool as never,
      tableName: 'sessions',
      disableTouch: true,
      ...(prunes ? {} : { pruneSessionInterval: false as const }),
      errorLog: () => undefined,
    }),
    resave: false,
    saveUninitialized: false,
    rolling: false,
    cookie: {
      httpOnly: true,
      sameSite: 'strict',
      secure: 'auto',
      maxAge: SESSION_HOURS * HOUR_MS,
    },
  });
}

/** A promise for the package's callback. */
const settled = (work: (done: (error?: unknown) => void) => void): Promise<void> =>
  promisify(work)();

/** Begins a session under a new id, so that one that was planted before is worth nothing. */
export async function beginSession(
  request: Request,
  { id, epoch }: { readonly id: string; readonly epoch: number },
): Promise<void> {
  await settled((done) => request.session.regenerate(done));
  request.session.personId = id;
  request.session.epoch = epoch;
  await settled((done) => request.session.save(done));
}

/** Ends the session of a request and takes its cookie away. */
export async function endSession(request: Request, response: Response): Promise<void> {
  await settled((done) => request.session.destroy(done));
  response.clearCookie(SESSION_COOKIE);
}

/** Keeps what a passkey must sign with the session, which begins for it when there is none. */
export async function keepChallenge(request: Request, challenge: string): Promise<void> {
  request.session.challenge = challenge;
  if (request.session.personId === undefined) request.session.cookie.maxAge = CHALLENGE_MS;
  await settled((done) => request.session.save(done));
}

/** Takes that away: it can be answered once. Null when nothing was asked. */
export async function takeChallenge(request: Request): Promise<string | null> {
  const { challenge } = request.session;
  if (challenge === undefined) return null;
  delete request.session.challenge;
  await settled((done) => request.session.save(done));
  return challenge;
}
