import { DEMO_PEOPLE } from '../server/demo/people.ts';

/** Headers by which a server knows who asks. */
export type SessionHeaders = Readonly<Record<'cookie' | 'origin', string>>;

/** Signs in as the coordinator of the demonstration that a server on this machine runs. */
export async function signInAtDemo(address: string): Promise<SessionHeaders> {
  const [coordinator] = DEMO_PEOPLE;
  const answer = await fetch(`${address}/api/session/demo`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', origin: address },
    body: JSON.stringify({ personId: coordinator?.id }),
  });
  const cookie = answer.headers.getSetCookie()[0]?.split(';')[0];
  if (!answer.ok || cookie === undefined) throw new Error(`nobody was signed in: ${answer.status}`);
  return { cookie, origin: address };
}
