import type { Problem } from '../../contracts/problem.ts';
import { fail } from '../../core/util/result.ts';
import type { Api } from '../../web/api/api.ts';
import type { Ledger } from './ledger.ts';
import { pause } from './ledger.ts';

/** What the network does to one request. */
export type Fault = 'none' | 'never-sent' | 'answer-lost' | 'doubled' | 'sent-again-late' | 'slow';

const SHARES: readonly (readonly [Fault, number])[] = [
  ['never-sent', 0.08],
  ['answer-lost', 0.1],
  ['doubled', 0.08],
  ['sent-again-late', 0.08],
  ['slow', 0.25],
];
const MAX_SLOW_MS = 700;
const MAX_LATE_MS = 1800;

/** A network that can be made bad and good again; the same faults for the same numbers. */
export class FaultyNetwork {
  bad = false;
  readonly random: () => number;

  constructor(random: () => number) {
    this.random = random;
  }

  /** The fault of the next request. */
  next(): Fault {
    if (!this.bad) return 'none';
    let rest = this.random();
    for (const [fault, share] of SHARES) {
      if (rest < share) return fault;
      rest -= share;
    }
    return 'none';
  }

  slowMs(): number {
    return Math.round(this.random() * MAX_SLOW_MS);
  }

  lateMs(): number {
    return Math.round(this.random() * MAX_LATE_MS);
  }
}

const LOST: Problem = {
  code: 'unavailable',
  field: null,
  message: 'lost on the way',
  cure: 'send it again',
};

/** The calls to a server through a bad network. What the client is told is acknowledged goes into the ledger. */
export function throughNetwork(api: Api, network: FaultyNetwork, ledger: Ledger): Api {
  return {
    ...api,
    append: async (id, body) => {
      const fault = network.next();
      if (fault === 'never-sent') return fail(LOST);
      if (fault === 'slow') await pause(network.slowMs());
      if (fault === 'sent-again-late')
        void pause(network.lateMs()).then(() => api.append(id, body));
      const [answer] = await Promise.all([
        api.append(id, body),
        fault === 'doubled' ? api.append(id, body) : null,
      ]);
      if (fault === 'answer-lost') return fail(LOST);
      if (answer.ok) {
        const sent = new Set(body.events.map((event) => event.id));
        for (const event of answer.value.events)
          if (sent.has(event.id)) ledger.acknowledged.set(event.id, id);
      }
      return answer;
    },
    changes: async (id, after) => {
      const fault = network.next();
      if (fault === 'never-sent' || fault === 'answer-lost') return fail(LOST);
      if (fault === 'slow') await pause(network.slowMs());
      return api.changes(id, after);
    },
  };
}
