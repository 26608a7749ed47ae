import { request, type FullConfig } from '@playwright/test';
import { DEMO_PEOPLE } from '../../src/server/demo/people.ts';
import { SESSION_FILE } from './sessionFile.ts';

/** Signs in as the coordinator of the demonstration, once for all tests of the browser. */
export default async function signIn(config: FullConfig): Promise<void> {
  const baseURL = config.projects[0]?.use.baseURL ?? '';
  const context = await request.newContext({ baseURL, extraHTTPHeaders: { origin: baseURL } });
  const [coordinator] = DEMO_PEOPLE;
  const answer = await context.post('/api/session/demo', { data: { personId: coordinator?.id } });
  if (!answer.ok()) throw new Error(`nobody was signed in: ${answer.status()}`);
  await context.storageState({ path: SESSION_FILE });
  await context.dispose();
}
