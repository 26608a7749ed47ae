import type { CaseRecord } from '../../../contracts/cases.ts';
import type { Api } from '../../api/api.ts';
import { openedEntity, type CaseEntity } from './caseEntity.ts';
import { CaseSync, type CasesStore } from './caseSync.ts';
import {
  caseFailed,
  caseLoaded,
  casesReducer,
  keepingFailed,
  type CasesState,
} from './casesSlice.ts';
import type { Chain, Outbox } from './outbox.ts';
import type { Writers } from './writers.ts';

/** What the keeping of changes works with. */
export interface ChainServices {
  readonly api: Api;
  readonly outbox: Outbox;
  readonly writers: Writers;
}

/**
 * Keeps on this device what the server has not acknowledged: writes the chain of a case whenever it changes, one writing
 * of a case at a time and always the newest state. Returns what writes all chains anew, to show that the page is alive.
 */
export function keepChains(
  store: CasesStore & { readonly subscribe: (listener: () => void) => unknown },
  { outbox, writers }: ChainServices,
): () => void {
  const written = new Map<string, CaseEntity>();
  const writing = new Set<string>();
  const write = async (caseId: string): Promise<void> => {
    const entity = store.getState().cases.byId[caseId];
    const key = { caseId, writer: writers.own };
    if (!entity || (entity.pending.length === 0 && entity.refused.length === 0)) {
      written.delete(caseId);
      await outbox.remove(key);
    } else {
      written.set(caseId, entity);
      const { confirmed: base, pending, refused } = entity;
      await outbox.put({ ...key, base, pending, refused, updatedAt: Date.now() });
    }
  };
  const isWritten = (caseId: string): boolean => {
    const [now, before] = [store.getState().cases.byId[caseId], written.get(caseId)];
    const isEmpty = !now || (now.pending.length === 0 && now.refused.length === 0);
    if (isEmpty || !before) return isEmpty && !before;
    return (
      now.pending === before.pending &&
      now.refused === before.refused &&
      now.confirmed === before.confirmed
    );
  };
  const keep = async (caseId: string): Promise<void> => {
    if (writing.has(caseId)) return;
    writing.add(caseId);
    try {
      while (!isWritten(caseId)) await write(caseId);
      if (!store.getState().cases.kept) store.dispatch(keepingFailed(false));
    } catch {
      if (store.getState().cases.kept) store.dispatch(keepingFailed(true));
    } finally {
      writing.delete(caseId);
    }
  };
  let seen: CasesState['byId'] = {};
  store.subscribe(() => {
    const { byId } = store.getState().cases;
    if (byId === seen) return;
    const ids = new Set([...Object.keys(byId), ...Object.keys(seen)]);
    const changed = [...ids].filter((id) => byId[id] !== seen[id]);
    seen = byId;
    for (const id of changed) void keep(id);
  });
  return () => {
    const ids = [...written.keys()];
    written.clear();
    for (const id of ids) void keep(id);
  };
}

async function abandonedChains({ outbox, writers }: ChainServices): Promise<readonly Chain[]> {
  try {
    return await writers.abandoned(await outbox.all());
  } catch {
    return [];
  }
}

/** A store of one case, in which the chain of a page that is gone is sent to its end. */
function detachedStore(entity: CaseEntity): CasesStore {
  let cases = casesReducer(undefined, caseLoaded({ record: entity.confirmed, ...entity }));
  return {
    getState: () => ({ cases }),
    dispatch: (action) => {
      if (typeof action === 'object' && action !== null && 'type' in action)
        cases = casesReducer(cases, { ...action, type: String(action.type) });
      return action;
    },
  };
}

/** Sends the chain of a page that is gone. Returns what is left of it; null when nothing is. */
async function sendAbandoned(chain: Chain, { api, outbox }: ChainServices): Promise<Chain | null> {
  const { base, pending, refused, caseId } = chain;
  const store = detachedStore(openedEntity(base, { pending, refused }));
  await new CaseSync(store, api).sendAll(caseId);
  const left = store.getState().cases.byId[caseId];
  if (!left || (left.pending.length === 0 && left.refused.length === 0)) {
    await outbox.remove(chain);
    return null;
  }
  const rest = { ...chain, base: left.confirmed, pending: left.pending, refused: left.refused };
  await outbox.put(rest);
  return rest;
}

/** Only one page of a browser sends what others left. */
const LOCK = 'sounding.abandoned';

async function alone(work: () => Promise<void>): Promise<void> {
  const locks = (globalThis.navigator as { readonly locks?: LockManager } | undefined)?.locks;
  if (!locks) return work();
  await locks.request(LOCK, { ifAvailable: true }, async (lock) => (lock ? work() : undefined));
}

/** Sends what pages that are gone have left, of all cases. */
export async function drainAbandoned(services: ChainServices): Promise<void> {
  await alone(async () => {
    for (const chain of await abandonedChains(services))
      if (chain.pending.length > 0) await sendAbandoned(chain, services);
  });
}

async function readFresh(store: CasesStore, caseId: string, api: Api): Promise<CaseRecord | null> {
  const record = await api.readCase(caseId);
  if (record.ok) return record.value;
  store.dispatch(caseFailed({ caseId, problem: record.error }));
  return null;
}

/** Shows what a page that is gone has kept of a case, while the server does not answer. */
async function takeOver(
  store: CasesStore,
  chain: Chain,
  { outbox, writers }: ChainServices,
): Promise<void> {
  const { base, refused } = chain;
  // Another page may be taking the same chain: what is frozen is known by its id and applied once.
  const pending = chain.pending.map((one) => ({ ...one, sent: true }));
  await outbox.replace({ ...chain, pending, writer: writers.own, updatedAt: Date.now() }, [chain]);
  store.dispatch(caseLoaded({ record: base, pending, refused }));
}

/**
 * Loads a case with everything that this device keeps of it. What earlier pages left is sent first, so that the record
 * has it; when the server does not answer, the newest of what was left is shown.
 */
export async function loadCase(
  store: CasesStore,
  caseId: string,
  services: ChainServices,
): Promise<void> {
  const left: Chain[] = [];
  for (const chain of await abandonedChains(services)) {
    if (chain.caseId !== caseId) continue;
    const rest = chain.pending.length > 0 ? await sendAbandoned(chain, services) : chain;
    if (rest) left.push(rest);
  }
  if (store.getState().cases.byId[caseId]) return;
  const newest = left.sort((a, b) => b.updatedAt - a.updatedAt)[0];
  const waits = left.some(({ pending }) => pending.length > 0);
  const record = waits ? null : await readFresh(store, caseId, services.api);
  if (record) {
    const refused = left.flatMap((chain) => chain.refused);
    const own = { caseId, writer: services.writers.own, base: record, updatedAt: Date.now() };
    if (refused.length > 0) await services.outbox.replace({ ...own, pending: [], refused }, left);
    store.dispatch(caseLoaded({ record, refused }));
  } else if (newest) await takeOver(store, newest, services);
}
