import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { CaseRecord } from '../../../contracts/cases.ts';
import type { PendingEvent, RefusedEvent } from './caseEntity.ts';

/**
 * Changes of one page to one case that the server has not acknowledged, on top of the record they were made on. Each page
 * has chains of its own, so that two of one browser never write over each other.
 */
export interface Chain {
  readonly caseId: string;
  /** The page that wrote it. */
  readonly writer: string;
  readonly base: CaseRecord;
  readonly pending: readonly PendingEvent[];
  readonly refused: readonly RefusedEvent[];
  /** Who made them; missing in chains of earlier versions. */
  readonly personId?: string;
  /** Moment of the last writing, in milliseconds since 1970. */
  readonly updatedAt: number;
}

/** Where chains are kept on this device. A failed call rejects. */
export interface Outbox {
  readonly all: () => Promise<readonly Chain[]>;
  readonly put: (chain: Chain) => Promise<void>;
  /** Keeps a chain and forgets those it was made of, at once or not at all. */
  readonly replace: (chain: Chain, taken: readonly Chain[]) => Promise<void>;
  readonly remove: (chain: Pick<Chain, 'caseId' | 'writer'>) => Promise<void>;
}

interface OutboxSchema extends DBSchema {
  chains: { key: [string, string]; value: Chain };
}

const keyOf = ({ caseId, writer }: Pick<Chain, 'caseId' | 'writer'>): [string, string] => [
  caseId,
  writer,
];

/**
 * Chains in the browser's own database: they outlive the page. Those of other people are left alone, as nobody's words are
 * sent in the name of somebody else.
 */
export function openIndexedOutbox(personId: string): Outbox {
  let opened: Promise<IDBPDatabase<OutboxSchema>> | null = null;
  const database = (): Promise<IDBPDatabase<OutboxSchema>> => {
    opened ??= openDB<OutboxSchema>('sounding', 1, {
      upgrade: (db) => {
        db.createObjectStore('chains', { keyPath: ['caseId', 'writer'] });
      },
      terminated: () => (opened = null),
    }).catch((error: unknown) => {
      opened = null;
      throw error;
    });
    return opened;
  };
  return {
    all: async () => {
      const chains = await (await database()).getAll('chains');
      return chains.filter((chain) => (chain.personId ?? personId) === personId);
    },
    put: async (chain) => {
      await (await database()).put('chains', { ...chain, personId });
    },
    replace: async (chain, taken) => {
      const change = (await database()).transaction('chains', 'readwrite');
      await Promise.all([
        ...taken.map((one) => change.store.delete(keyOf(one))),
        change.store.put({ ...chain, personId }),
        change.done,
      ]);
    },
    remove: async (chain) => (await database()).delete('chains', keyOf(chain)),
  };
}

/** Chains in memory, for programs that have no browser. */
export function openMemoryOutbox(): Outbox {
  const chains = new Map<string, Chain>();
  const nameOf = (chain: Pick<Chain, 'caseId' | 'writer'>): string => keyOf(chain).join(' ');
  const put: Outbox['put'] = (chain) => {
    chains.set(nameOf(chain), chain);
    return Promise.resolve();
  };
  return {
    all: () => Promise.resolve([...chains.values()]),
    put,
    replace: (chain, taken) => {
      for (const one of taken) chains.delete(nameOf(one));
      return put(chain);
    },
    remove: (chain) => {
      chains.delete(nameOf(chain));
      return Promise.resolve();
    },
  };
}
