import { caseChangedSchema } from '../../contracts/live.ts';
import type { SessionHeaders } from '../demoSession.ts';

/** Changes that a page received. */
export interface Received {
  /** Each change, as `<case> <version>`. */
  readonly changes: Set<string>;
  /** How often the stream began, the first time included. */
  begun: number;
}

const PAUSE_MS = 100;

async function readStream(address: string, session: SessionHeaders, received: Received) {
  const response = await fetch(`${address}/api/changes`, { headers: { ...session } });
  if (!response.ok || !response.body) return;
  received.begun++;
  let rest = '';
  for await (const piece of response.body.pipeThrough(new TextDecoderStream())) {
    const parts = `${rest}${piece}`.split('\n\n');
    rest = parts.pop() ?? '';
    for (const part of parts) {
      const data = /^event: case\ndata: (.*)$/.exec(part)?.[1];
      if (data === undefined) continue;
      const { id, version } = caseChangedSchema.parse(JSON.parse(data));
      received.changes.add(`${id} ${version}`);
    }
  }
}

/** Receives changes as a page does, and reconnects when the server of its stream is gone, until a moment in milliseconds of the clock. */
export async function listen(
  address: string,
  session: SessionHeaders,
  until: number,
): Promise<Received> {
  const received: Received = { changes: new Set(), begun: 0 };
  while (Date.now() < until) {
    const reading = readStream(address, session, received).catch(() => undefined);
    const end = new Promise((resolve) => setTimeout(resolve, Math.max(0, until - Date.now())));
    await Promise.race([reading, end]);
    await new Promise((resolve) => setTimeout(resolve, PAUSE_MS));
  }
  return received;
}
