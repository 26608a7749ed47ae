import compression from 'compression';
import express, { type Express, type RequestHandler } from 'express';
import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Logger } from 'pino';
import type { Connection } from './db/connect.ts';
import { openApiDocument } from '../contracts/openApi.ts';
import type { Library } from '../core/schema/library.ts';
import { casebookRoutes } from './casebook/routes.ts';
import { caseRoutes } from './cases/routes.ts';
import { keepSessions, type SessionSettings } from './access/sessions.ts';
import type { Door } from './access/guard.ts';
import { countTries } from './access/tries.ts';
import { auditRoutes } from './audit/routes.ts';
import { NONCE_MARK, nonceOf, policy } from './http/policy.ts';
import { fromOurPages, knownHosts } from './http/ownSite.ts';
import { changesRoute } from './live/routes.ts';
import type { Feed } from './live/feed.ts';
import { linkRoutes } from './links/routes.ts';
import { peopleRoutes } from './people/routes.ts';
import { sessionRoutes } from './session/routes.ts';
import { clinicRoutes } from './clinic/routes.ts';
import type { ConsultPool } from './consult/consultPool.ts';
import { handleErrors, MAX_BODY_BYTES, sendProblem } from './http/problems.ts';
import { shedLoad } from './http/shedLoad.ts';
import { storableBody } from './http/storableBody.ts';
import { sendLibrary } from './knowledge/sendLibrary.ts';
import { townRoutes } from './towns/routes.ts';
import type { TownsPool } from './towns/townsPool.ts';
import { weatherRoutes } from './weather/routes.ts';

/** What the application is made of. */
export interface AppParts extends Door {
  /** Where the casebook is searched: the same as `connection`, or a replica that keeps up. */
  readonly reading: Connection;
  /** Changes of cases, by whatever server. */
  readonly feed: Feed;
  readonly sessions: SessionSettings;
  /** The people of the demonstration may be chosen, on this machine alone. */
  readonly demo: boolean;
  /** Names by which the server is reached, besides those of its own machine. */
  readonly hosts: readonly string[];
  /** Proxies in front of the server: how many, or their addresses; false for none. */
  readonly proxies: number | string | false;
  readonly library: Library;
  readonly consult: ConsultPool['consult'];
  readonly findTowns: TownsPool['find'];
  readonly log: Logger;
  /** Folder of the built interface; null serves the interface's routes from elsewhere. */
  readonly webFolder: string | null;
}

/** Most requests at once; ten connections to the database serve them. */
const MAX_OPEN_REQUESTS = 250;
/** Most pages that hear of changes at once; others ask from time to time. */
const MAX_STREAMS = 2000;
const ONE_YEAR_SECONDS = 31_536_000;

/** Ready when the database answers; a balancer sends no requests here while it does not. */
function readiness({ connection, library }: AppParts): RequestHandler {
  return async (_request, response) => {
    const ok = await connection.isUp();
    response
      .status(ok ? 200 : 503)
      .set('cache-control', 'no-store')
      .json({ ok, database: ok ? 'up' : 'away', knowledge: library.version });
  };
}

const API_DOCUMENT = openApiDocument();

function apiRoutes(parts: AppParts): express.Router {
  const { connection, library, consult, sessions, demo } = parts;
  const routes = express.Router();
  routes.get('/live', (_request, response) => response.json({ ok: true }));
  routes.get('/openapi.json', (_request, response) => response.json(API_DOCUMENT));
  routes.get(['/health', '/ready'], readiness(parts));
  const withSession = keepSessions(connection, sessions);
  // Before what sheds load: a stream stays open for minutes and costs next to nothing.
  routes.get(
    '/changes',
    shedLoad(MAX_STREAMS),
    fromOurPages,
    withSession,
    changesRoute(parts, parts.feed),
  );
  routes.use(shedLoad(MAX_OPEN_REQUESTS));
  routes.use(fromOurPages, express.json({ limit: MAX_BODY_BYTES }), storableBody);
  routes.get('/knowledge', sendLibrary(library));
  routes.post('/consult', async (request, response) => {
    const answer = await consult(request.body);
    if (answer.ok) response.json(answer.value);
    else sendProblem(response, answer.error);
  });
  routes.use(withSession);
  routes.use('/session', sessionRoutes({ ...parts, demo, tries: countTries(connection) }));
  routes.use('/links', linkRoutes(parts));
  routes.use('/people', peopleRoutes(parts));
  routes.use('/audit', auditRoutes(parts));
  routes.use('/clinic', clinicRoutes(parts));
  routes.use('/towns', townRoutes(parts, parts.findTowns));
  routes.use('/weather', weatherRoutes(parts));
  routes.use('/cases', caseRoutes(parts));
  routes.use('/casebook', casebookRoutes(parts));
  routes.use((request, response) => {
    sendProblem(response, {
      code: 'not-found',
      field: null,
      message: `There is no ${request.method} ${request.originalUrl.slice(0, 80)}.`,
      cure: 'See /api/openapi.json for the addresses of the interface.',
    });
  });
  return routes;
}

/** The built interface. Files under /assets carry a hash in their names and never change; a missing one is no page. */
function serveInterface(app: Express, folder: string): void {
  app.use(
    '/assets',
    express.static(join(folder, 'assets'), { immutable: true, maxAge: ONE_YEAR_SECONDS * 1000 }),
    (_request, response) =>
      response.status(404).set('cache-control', 'no-store').type('text').send('Not found'),
  );
  const page = readFileSync(join(folder, 'index.html'), 'utf8');
  app.use(
    express.static(folder, {
      index: false,
      setHeaders: (response) => void response.setHeader('cache-control', 'no-cache'),
    }),
  );
  app.get('/{*splat}', (_request, response) =>
    response
      .set('cache-control', 'no-store')
      .type('html')
      .send(page.replaceAll(NONCE_MARK, nonceOf(response))),
  );
}

/** Builds the application: the interface under `/`, its data under `/api`. */
export function createApp(parts: AppParts): Express {
  const app = express();
  app.disable('x-powered-by');
  app.set('trust proxy', parts.proxies);
  app.use(policy());
  app.use(knownHosts(parts.hosts), compression());
  app.use('/api', apiRoutes(parts));
  const { webFolder } = parts;
  if (webFolder !== null && existsSync(webFolder)) serveInterface(app, webFolder);
  app.use(handleErrors(parts.log));
  return app;
}
