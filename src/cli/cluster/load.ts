import { casebookPageSchema } from '../../contracts/casebook.ts';
import { newId } from '../../contracts/ids.ts';
import { caseRecordSchema, type CaseRecord } from '../../contracts/cases.ts';
import { z } from 'zod';
import type { SessionHeaders } from '../demoSession.ts';

/** What is measured of one kind of request. */
export interface Measured {
  readonly times: number[];
  /** Answers that were none of ours, by which the request was made again. */
  again: number;
}
const measured = (): Measured => ({ times: [], again: 0 });

/** What many advisors did, and what they found wrong. */
export interface LoadReport {
  readonly writes: Measured;
  readonly searches: Measured;
  readonly desk: Measured;
  /** Requests that failed at every try. */
  failed: number;
  /** Words that were acknowledged and that a search right after did not find. */
  unseen: number;
  /** What was written to each case, in order. */
  readonly written: Map<string, string[]>;
}
export const emptyReport = (): LoadReport => ({
  writes: measured(),
  searches: measured(),
  desk: measured(),
  failed: 0,
  unseen: 0,
  written: new Map(),
});

const MAX_TRIES = 40;
const PAUSE_MS = 60;
const pause = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms));

/** Asks until there is an answer that is no failure of a server; the same request may be made again. */
async function ask(
  address: string,
  session: SessionHeaders,
  kind: Measured,
  path: string,
  body?: unknown,
): Promise<unknown> {
  for (let tries = 0; tries < MAX_TRIES; tries++) {
    const begun = performance.now();
    try {
      const answer = await fetch(`${address}/api${path}`, {
        method: body === undefined ? 'GET' : 'POST',
        headers: { ...session, 'content-type': 'application/json' },
        ...(body === undefined ? {} : { body: JSON.stringify(body) }),
      });
      if (answer.status < 500) {
        const read: unknown = await answer.json();
        kind.times.push(performance.now() - begun);
        return read;
      }
    } catch {
      // Cut off on the way: asked again below.
    }
    kind.again++;
    await pause(PAUSE_MS);
  }
  throw new Error(`no answer to ${path}`);
}

const versioned = z.object({ version: z.number() });

interface Advisor {
  readonly address: string;
  readonly session: SessionHeaders;
  readonly report: LoadReport;
  /** Told apart from all others. */
  readonly name: string;
}

/** One case from its first word to its last; a search right after the first word must find it. */
async function takeCase({ address, session, report, name }: Advisor, n: number): Promise<void> {
  const id = newId();
  const post = (path: string, body: unknown) => ask(address, session, report.writes, path, body);
  await post('/cases', { id });
  const words: string[] = [];
  let [version, length] = [0, 0];
  for (let i = 0; i < 6; i++) {
    const insert = i === 0 ? `${name}x${n} leaves ` : `word${i} `;
    const edits = [{ at: length, remove: '', insert }];
    const event = { kind: 'words-edited', plantId: 'plant-1', edits };
    const sent = { id: newId(), author: '', device: name, event };
    const answer = await post(`/cases/${id}/events`, { baseVersion: version, events: [sent] });
    version = versioned.parse(answer).version;
    length += insert.length;
    words.push(insert);
    if (i === 0) {
      const path = `/casebook?words=${name}x${n}`;
      const page = casebookPageSchema.parse(await ask(address, session, report.searches, path));
      if (!page.cases.some((one) => one.id === id)) report.unseen++;
    }
  }
  report.written.set(id, words);
  await ask(address, session, report.desk, '/cases');
}

/** Takes cases until a moment. */
export async function work(advisor: Advisor, until: number): Promise<void> {
  for (let n = 0; Date.now() < until; n++)
    await takeCase(advisor, n).catch(() => {
      advisor.report.failed++;
    });
}

const caseAnswer = z.object({ case: caseRecordSchema });

/** Cases whose words are not exactly those that were acknowledged, each once and in order. */
export async function lostIn(
  address: string,
  session: SessionHeaders,
  { written }: LoadReport,
): Promise<readonly string[]> {
  const lost: string[] = [];
  for (const [id, words] of written) {
    const answer = caseAnswer.parse(await ask(address, session, measured(), `/cases/${id}`));
    const record: CaseRecord = answer.case;
    if (record.plants[0]?.words !== words.join('') || record.version !== words.length)
      lost.push(id);
  }
  return lost;
}
