import { appendEvents } from '../contracts/appendEvents.ts';
import type { AppendEvents, StoredEvent } from '../contracts/caseEvents.ts';
import type { CaseRecord } from '../contracts/cases.ts';
import type { Problem } from '../contracts/problem.ts';
import { fail, ok } from '../core/util/result.ts';
import { createApi, type Api } from '../web/api/api.ts';
import { OPENED_CASE } from './caseRecord.ts';

/** The server does not answer. */
export const AWAY: Problem = { code: 'unavailable', field: null, message: 'away', cure: 'wait' };

/** A server in memory that holds cases as the real one does, and can be made to fail. */
export class FakeServer {
  readonly records = new Map<string, CaseRecord>();
  readonly logs = new Map<string, StoredEvent[]>();
  /** Sendings as they came. */
  readonly sendings: { readonly caseId: string; readonly body: AppendEvents }[] = [];
  /** Problem that every call is answered with; null answers. */
  problem: Problem | null = null;
  /** Applied, but the answer does not arrive. */
  losesAnswers = false;
  /** Waits before each answer to a sending. */
  delay: () => Promise<void> = () => Promise.resolve();

  constructor(...ids: string[]) {
    for (const id of ids) this.records.set(id, { ...OPENED_CASE, id });
  }

  words(id: string): string {
    return this.records.get(id)?.plants[0]?.words ?? '';
  }

  readonly api: Api = {
    ...createApi('http://127.0.0.1:9'),
    readCase: (id) => {
      const record = this.records.get(id);
      if (this.problem || !record) return Promise.resolve(fail(this.problem ?? AWAY));
      return Promise.resolve(ok(record));
    },
    changes: (id, after) => {
      const version = this.records.get(id)?.version ?? 0;
      if (this.problem) return Promise.resolve(fail(this.problem));
      const events = (this.logs.get(id) ?? []).slice(after);
      return Promise.resolve(ok({ version, events, more: false }));
    },
    append: async (caseId, body) => {
      this.sendings.push({ caseId, body });
      await this.delay();
      const record = this.records.get(caseId);
      if (this.problem || !record) return fail(this.problem ?? AWAY);
      const log = this.logs.get(caseId) ?? [];
      const done = appendEvents(record, log.slice(body.baseVersion), body.events);
      this.records.set(caseId, done.record);
      this.logs.set(caseId, [...log, ...done.applied]);
      if (this.losesAnswers) return fail(AWAY);
      const events = [...log, ...done.applied].slice(body.baseVersion);
      return ok({ version: done.record.version, events, refused: done.refused });
    },
  };
}
