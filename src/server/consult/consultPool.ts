import { Piscina } from 'piscina';
import type { ConsultResponse } from '../../contracts/consult.ts';
import type { Problem } from '../../contracts/problem.ts';
import type { Library } from '../../core/schema/library.ts';
import { fail, type Result } from '../../core/util/result.ts';

/** Answers consult requests, away from the thread that serves all others. */
export interface ConsultPool {
  /** Answers an unchecked body; a problem when it is wrong, takes too long, or too many wait. */
  readonly consult: (body: unknown) => Promise<Result<ConsultResponse, Problem>>;
  readonly close: () => Promise<void>;
}

/** Size and limits of a pool. */
export interface ConsultPoolOptions {
  /** Path of the built worker. */
  readonly worker: string;
  readonly library: Library;
  readonly threads: number;
  /** Longest time of one answer, in milliseconds; its thread is then ended and replaced. */
  readonly limitMs: number;
  /** Most requests that wait for a thread; further ones are refused at once. */
  readonly maxWaiting: number;
}

const TOO_SLOW: Problem = {
  code: 'too-slow',
  field: 'words',
  message: 'This enquiry takes longer than one request may.',
  cure: 'Send the part about one plant, without pasted letters and tables.',
};
const OVERLOADED: Problem = {
  code: 'overloaded',
  field: null,
  message: 'More enquiries are waiting than can be answered.',
  cure: 'Ask again in a second.',
};

const isName = (error: unknown, name: string): boolean =>
  error instanceof Error && error.name === name;

/** Starts the threads; each compiles the library once. */
export function openConsultPool(options: ConsultPoolOptions): ConsultPool {
  const { worker, library, threads, limitMs, maxWaiting } = options;
  const pool = new Piscina<unknown, Result<ConsultResponse, Problem>>({
    filename: worker,
    workerData: { library },
    minThreads: threads,
    maxThreads: threads,
    maxQueue: maxWaiting,
  });
  return {
    consult: async (body) => {
      if (pool.queueSize >= maxWaiting) return fail(OVERLOADED);
      const limit = new AbortController();
      const timer = setTimeout(() => limit.abort(), limitMs);
      try {
        return await pool.run(body, { signal: limit.signal });
      } catch (error) {
        if (isName(error, 'AbortError')) return fail(TOO_SLOW);
        throw error;
      } finally {
        clearTimeout(timer);
      }
    },
    close: () => pool.destroy(),
  };
}
