import { caseChangedSchema } from '../../contracts/live.ts';
import type { SessionHeaders } from '../demoSession.ts';

/** What a page heard of changes. */
export interface Hearing {
  /** Each change that was told, as `<case> <version>`. */
  readonly heard: Set<string>;
  /** How often the stream began, the first time included. */
  begun: number;
}

const PAUSE_MS = 100;

async function readStream(address: string, session: SessionHeaders, hearing: Hearing) {
  const response = await fetch(`${address}/api/changes`, { headers: { ...session } });
  if (!response.ok || !response.body) return;
  hearing.begun++;
  let rest = '';
  for await (const piece of response.body.pipeThrough(new TextDecoderStream())) {
    const parts = `${rest}${piece}`.split('\n\n');
    rest = parts.pop() ?? '';
    for (const part of parts) {
      const data = /^event: case\ndata: (.*)$/.exec(part)?.[1];
      if (data === undefined) continue;
      const { id, version } = caseChangedSchema.parse(JSON.parse(data));
      hearing.heard.add(`${id} ${version}`);
    }
  }
}

/** Hears of changes as a page does, and begins anew when the server of its stream is gone; ends some time after `until`. */
export async function listen(
  address: string,
  session: SessionHeaders,
  until: number,
): Promise<Hearing> {
  const hearing: Hearing = { heard: new Set(), begun: 0 };
  while (Date.now() < until) {
    const reading = readStream(address, session, hearing).catch(() => undefined);
    const end = new Promise((resolve) => setTimeout(resolve, Math.max(0, until - Date.now())));
    await Promise.race([reading, end]);
    await new Promise((resolve) => setTimeout(resolve, PAUSE_MS));
  }
  return hearing;
}
