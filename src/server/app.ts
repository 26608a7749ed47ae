import compression from 'compression';
import express, { type Express } from 'express';
import helmet from 'helmet';
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import type { Logger } from 'pino';
import { answerConsult } from '../contracts/answerConsult.ts';
import { createConsultant } from '../core/consult.ts';
import { sendLibrary } from './knowledge/sendLibrary.ts';
import { compileLibrary } from '../core/knowledge/compile.ts';
import type { Library } from '../core/knowledge/schema/library.ts';
import { caseRoutes } from './cases/routes.ts';
import type { ClinicOffice } from './clinic/office.ts';
import { clinicRoutes } from './clinic/routes.ts';
import type { Database } from './db/connect.ts';
import { weatherRoutes } from './weather/routes.ts';
import { handleErrors, MOST_BODY_BYTES, sendProblem } from './http/problems.ts';

/** What the application is made of. */
export interface AppParts {
  readonly db: Database;
  readonly office: ClinicOffice;
  readonly library: Library;
  readonly log: Logger;
  /** Folder of the built interface; null serves the interface's routes from elsewhere. */
  readonly webFolder: string | null;
}

function apiRoutes({ db, office, library }: AppParts): express.Router {
  const compiled = compileLibrary(library);
  const consultant = createConsultant(compiled);
  compiled.descriptions();
  const routes = express.Router();
  routes.use(express.json({ limit: MOST_BODY_BYTES }));
  routes.get('/health', (_request, response) =>
    response.json({ ok: true, knowledge: library.version }),
  );
  routes.use('/clinic', clinicRoutes(db, office));
  routes.get('/knowledge', sendLibrary(library));
  routes.post('/consult', (request, response) => {
    const answer = answerConsult(compiled, consultant, request.body);
    if (answer.ok) response.json(answer.value);
    else sendProblem(response, answer.error);
  });
  routes.use('/weather', weatherRoutes(db, office));
  routes.use('/cases', caseRoutes(db, office));
  routes.use((request, response) => {
    sendProblem(response, {
      code: 'not-found',
      field: null,
      message: `There is no ${request.method} ${request.originalUrl.slice(0, 80)}.`,
      cure: 'See the README for the addresses of the interface.',
    });
  });
  return routes;
}

/** Builds the application: the interface under `/`, its data under `/api`. */
export function createApp(parts: AppParts): Express {
  const app = express();
  app.disable('x-powered-by');
  app.use(helmet());
  app.use(compression());
  app.use('/api', apiRoutes(parts));
  const { webFolder } = parts;
  if (webFolder !== null && existsSync(webFolder)) {
    app.use(express.static(webFolder, { index: 'index.html', maxAge: '1h' }));
    app.get('/{*splat}', (_request, response) => response.sendFile(join(webFolder, 'index.html')));
  }
  app.use(handleErrors(parts.log));
  return app;
}
