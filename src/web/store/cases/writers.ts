import { newId } from '../../../contracts/ids.ts';
import type { Chain } from './outbox.ts';

/** Tells which pages of this browser are alive, so that no page takes the chains of another one that goes on writing. */
export interface Writers {
  /** This page. */
  readonly own: string;
  /** The chains among these that no living page writes. */
  readonly abandoned: (chains: readonly Chain[]) => Promise<readonly Chain[]>;
}

const LOCK = 'sounding.writer.';
const CLOSED = 'sounding.closed.';
/** A page without locks that wrote nothing for so long is gone: pages in the background are woken once a minute. */
const MAX_SILENCE_MS = 90_000;

/** Each living page holds a lock of its own; the browser lets it go however the page ends. */
function byLocks(locks: LockManager, own: string): Writers {
  void locks.request(LOCK + own, () => new Promise<never>(() => undefined));
  return {
    own,
    abandoned: async (chains) => {
      const { held = [] } = await locks.query();
      const alive = new Set(held.map(({ name }) => name));
      return chains.filter(({ writer }) => writer !== own && !alive.has(LOCK + writer));
    },
  };
}

/** Over plain HTTP browsers give no locks: a page says when it closes, and a crashed one falls silent. */
function bySilence(own: string): Writers {
  const closed = (writer: string): boolean => localStorage.getItem(CLOSED + writer) !== null;
  window.addEventListener('pagehide', () => {
    try {
      localStorage.setItem(CLOSED + own, '1');
    } catch {
      // Its silence will tell instead.
    }
  });
  return {
    own,
    abandoned: (chains) =>
      Promise.resolve(
        chains.filter(
          ({ writer, updatedAt }) =>
            writer !== own && (closed(writer) || Date.now() - updatedAt > MAX_SILENCE_MS),
        ),
      ),
  };
}

/** Signs this page on as a writer. */
export function signOn(): Writers {
  const own = newId();
  // A page that comes back from the browser's cache may have lost its chains to another one.
  window.addEventListener('pageshow', ({ persisted }) => {
    if (persisted) location.reload();
  });
  const locks = (navigator as { readonly locks?: LockManager }).locks;
  return locks ? byLocks(locks, own) : bySilence(own);
}

/** One page alone, for programs that have no browser. */
export function onlyWriter(own: string): Writers {
  return {
    own,
    abandoned: (chains) => Promise.resolve(chains.filter(({ writer }) => writer !== own)),
  };
}
