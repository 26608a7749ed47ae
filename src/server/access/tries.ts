import { createHash } from 'node:crypto';
import { RateLimiterPostgres, RateLimiterRes } from 'rate-limiter-flexible';
import type { Connection } from '../db/connect.ts';

const QUARTER_HOUR = 900;

/** Failed tries of one account from one address, of one account from anywhere, and of one address, in a quarter of an hour. */
const MOST = { accountHere: 8, account: 40, address: 60 } as const;
type Kind = keyof typeof MOST;
const KINDS: readonly Kind[] = ['accountHere', 'account', 'address'];

/** Who tries to sign in, and from where. */
export interface Try {
  readonly account: string;
  readonly address: string;
}

/** Counts failed tries to sign in, for all servers of a database. */
export interface SignInTries {
  /** Seconds until the next try is taken; 0 when it is taken now. */
  readonly wait: (one: Try) => Promise<number>;
  readonly failed: (one: Try) => Promise<void>;
  /** A try of the right person forgets the failed ones of the account from there. */
  readonly succeeded: (one: Try) => Promise<void>;
}

/** Accounts and addresses are counted by their hashes: the table holds nothing of people. */
const keyOf = (kind: Kind, { account, address }: Try): string =>
  createHash('sha256')
    .update(kind === 'address' ? address : kind === 'account' ? account : `${account} ${address}`)
    .digest('base64url');

/** Opens the counters on the table of the database. */
export function countTries({ query }: Connection): SignInTries {
  // Its statements carry names, which a pool of connections in front of the database does not know.
  const storeClient = {
    query: ({ text, values }: { text: string; values?: unknown[] }) => query(text, values),
  };
  const limiter = (kind: Kind): RateLimiterPostgres =>
    new RateLimiterPostgres({
      storeClient,
      storeType: 'pool',
      tableName: 'sign_in_tries',
      tableCreated: true,
      keyPrefix: kind,
      points: MOST[kind],
      duration: QUARTER_HOUR,
      // One of them clears the table of all.
      clearExpiredByTimeout: kind === 'account',
    });
  const limiters = KINDS.map((kind) => ({ kind, limiter: limiter(kind) }));
  return {
    wait: async (one) => {
      const states = await Promise.all(
        limiters.map(({ kind, limiter: counter }) => counter.get(keyOf(kind, one))),
      );
      const waits = states.map((state) =>
        state !== null && state.remainingPoints <= 0 ? state.msBeforeNext : 0,
      );
      return Math.ceil(Math.max(...waits) / 1000);
    },
    failed: async (one) => {
      for (const { kind, limiter: counter } of limiters)
        await counter.consume(keyOf(kind, one)).catch((error: unknown) => {
          // Beyond the most it rejects with its count, which is no error.
          if (!(error instanceof RateLimiterRes)) throw error;
        });
    },
    succeeded: async (one) => {
      await limiters[0]?.limiter.delete(keyOf('accountHere', one));
    },
  };
}
