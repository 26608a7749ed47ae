import compression from 'compression';
import express, { type Express, type RequestHandler } from 'express';
import helmet from 'helmet';
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import type { Logger } from 'pino';
import { openApiDocument } from '../contracts/openApi.ts';
import type { Library } from '../core/schema/library.ts';
import { caseRoutes } from './cases/routes.ts';
import type { ClinicContext } from './clinic/clinicContext.ts';
import { clinicRoutes } from './clinic/routes.ts';
import type { ConsultPool } from './consult/consultPool.ts';
import type { Connection } from './db/connect.ts';
import { handleErrors, MAX_BODY_BYTES, sendProblem } from './http/problems.ts';
import { shedLoad } from './http/shedLoad.ts';
import { storableBody } from './http/storableBody.ts';
import { sendLibrary } from './knowledge/sendLibrary.ts';
import { weatherRoutes } from './weather/routes.ts';

/** What the application is made of. */
export interface AppParts {
  readonly connection: Connection;
  readonly office: ClinicContext;
  readonly library: Library;
  readonly consult: ConsultPool['consult'];
  readonly log: Logger;
  /** Folder of the built interface; null serves the interface's routes from elsewhere. */
  readonly webFolder: string | null;
}

/** Most requests at once; ten connections to the database serve them. */
const MAX_OPEN_REQUESTS = 250;
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
  const { connection, office, library, consult } = parts;
  const routes = express.Router();
  routes.get('/live', (_request, response) => response.json({ ok: true }));
  routes.get('/openapi.json', (_request, response) => response.json(API_DOCUMENT));
  routes.get(['/health', '/ready'], readiness(parts));
  routes.use(shedLoad(MAX_OPEN_REQUESTS));
  routes.use(express.json({ limit: MAX_BODY_BYTES }), storableBody);
  routes.use('/clinic', clinicRoutes(connection, office));
  routes.get('/knowledge', sendLibrary(library));
  routes.post('/consult', async (request, response) => {
    const answer = await consult(request.body);
    if (answer.ok) response.json(answer.value);
    else sendProblem(response, answer.error);
  });
  routes.use('/weather', weatherRoutes(connection, office));
  routes.use('/cases', caseRoutes(connection, office));
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
  const fresh = { 'cache-control': 'no-cache' };
  app.use(
    express.static(folder, {
      index: false,
      setHeaders: (response) => void response.setHeader('cache-control', 'no-cache'),
    }),
  );
  app.get('/{*splat}', (_request, response) =>
    response.set(fresh).sendFile(join(folder, 'index.html')),
  );
}

/** Builds the application: the interface under `/`, its data under `/api`. */
export function createApp(parts: AppParts): Express {
  const app = express();
  app.disable('x-powered-by');
  // A clinic may serve its own network over plain HTTP, where upgraded requests would reach nothing.
  app.use(
    helmet({
      contentSecurityPolicy: { directives: { 'upgrade-insecure-requests': null } },
      strictTransportSecurity: false,
      crossOriginOpenerPolicy: false,
      originAgentCluster: false,
    }),
  );
  app.use(compression());
  app.use('/api', apiRoutes(parts));
  const { webFolder } = parts;
  if (webFolder !== null && existsSync(webFolder)) serveInterface(app, webFolder);
  app.use(handleErrors(parts.log));
  return app;
}
