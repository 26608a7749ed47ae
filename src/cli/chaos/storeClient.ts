import { entryAt } from '../../core/util/entryAt.ts';
import { newId } from '../../contracts/ids.ts';
import { diffText } from '../../contracts/textEdits.ts';
import type { CaseRecord } from '../../contracts/cases.ts';
import type { Api } from '../../web/api/api.ts';
import { recordEvent, recordTyping } from '../../web/store/cases/changes.ts';
import { caseLeft, caseShown } from '../../web/store/cases/casesSlice.ts';
import { loadCase, type ChainServices } from '../../web/store/cases/chains.ts';
import { openMemoryOutbox } from '../../web/store/cases/outbox.ts';
import { selectRecord } from '../../web/store/cases/selectors.ts';
import { startSync } from '../../web/store/startSync.ts';
import { onlyWriter } from '../../web/store/cases/writers.ts';
import { makeStore } from '../../web/store/store.ts';
import type { Ledger } from './ledger.ts';

const PLANT = 'plant-1';
const REFRESH_MS = 400;

/** An advisor's page without its screens: the same store, sending and keeping, on a network of its own. */
export class StoreClient {
  readonly #page = makeStore();
  readonly #services: ChainServices;
  readonly #running: ReturnType<typeof startSync>;
  readonly #who: { readonly author: string; readonly device: string };
  readonly #random: () => number;
  readonly #ledger: Ledger;
  readonly #timer: ReturnType<typeof setInterval>;
  #half: { readonly word: string; readonly caseId: string } | null = null;

  constructor(name: string, api: Api, random: () => number, ledger: Ledger) {
    this.#services = { api, outbox: openMemoryOutbox(), writers: onlyWriter(name) };
    this.#running = startSync(this.#page, this.#services);
    this.#who = { author: name, device: name };
    this.#random = random;
    this.#ledger = ledger;
    this.#timer = setInterval(() => {
      const { open } = this.#page.store.getState().cases;
      if (open !== null) void this.#running.sync.refresh(open);
    }, REFRESH_MS);
  }

  /** The case as this client sees it; null while it is not loaded. */
  record(caseId: string): CaseRecord | null {
    return selectRecord(this.#page.store.getState(), caseId);
  }

  /** Changes that are not acknowledged, over all cases. */
  waiting(): number {
    const { byId } = this.#page.store.getState().cases;
    return Object.values(byId).reduce((sum, { pending }) => sum + pending.length, 0);
  }

  /** Changes that were refused, over all cases. */
  refused(): number {
    const { byId } = this.#page.store.getState().cases;
    return Object.values(byId).reduce((sum, { refused }) => sum + refused.length, 0);
  }

  /** Opens a case, leaving the one that is open at once. */
  async open(caseId: string): Promise<void> {
    const { open } = this.#page.store.getState().cases;
    if (open !== null && open !== caseId) this.#page.store.dispatch(caseLeft(open));
    this.#page.store.dispatch(caseShown(caseId));
    await loadCase(this.#page.store, caseId, this.#services);
    await this.#running.sync.refresh(caseId);
  }

  /** Does one thing to the open case, as an advisor would. */
  act(): void {
    const { open } = this.#page.store.getState().cases;
    const record = open === null ? null : this.record(open);
    if (!record) return;
    if (this.#half?.caseId === record.id) {
      this.#finishWord(record, this.#half.word);
      return;
    }
    const choice = this.#random();
    if (choice < 0.75) this.#typeWord(record);
    else if (choice < 0.85) this.#answer(record.id);
    else if (choice < 0.92)
      recordEvent(this.#page.store, this.#who, record.id, {
        kind: 'enquirer-set',
        name: `Name ${Math.floor(this.#random() * 1000)}`,
      });
    else
      recordEvent(this.#page.store, this.#who, record.id, {
        kind: 'step-done',
        plantId: PLANT,
        step: `step-${Math.floor(this.#random() * 1000)}`,
        on: '2026-06-13',
      });
  }

  /** The network is back: sends what waits. */
  comeOnline(): void {
    this.#running.sync.flush();
  }

  /** Ends the client. */
  stop(): void {
    clearInterval(this.#timer);
    this.#running.sync.stop();
  }

  #answer(caseId: string): void {
    recordEvent(this.#page.store, this.#who, caseId, {
      kind: 'answer-given',
      plantId: PLANT,
      answer: {
        id: newId(),
        finding: `finding-${Math.floor(this.#random() * 20)}`,
        value: this.#random() < 0.5,
        sure: 0.85,
      },
    });
  }

  /** Types a word between others, half of the time its beginning first. */
  #typeWord(record: CaseRecord): void {
    const word = this.#ledger.word(record.id);
    const inHalves = this.#random() < 0.5;
    const before = record.plants[0]?.words ?? '';
    const gaps = [0, ...[...before.matchAll(/ /g)].map(({ index }) => index + 1), before.length];
    const at = entryAt(gaps, Math.floor(this.#random() * gaps.length));
    const written = inHalves ? word.slice(0, -1) : word;
    const lead = at > 0 && before[at - 1] !== ' ' ? ' ' : '';
    const after = `${before.slice(0, at)}${lead}${written}${at < before.length ? ' ' : ''}${before.slice(at)}`;
    this.#type(record.id, before, after, false);
    if (inHalves) this.#half = { word, caseId: record.id };
  }

  #finishWord(record: CaseRecord, word: string): void {
    this.#half = null;
    const before = record.plants[0]?.words ?? '';
    const at = before.indexOf(word.slice(0, -1));
    if (at === -1) return;
    const end = at + word.length - 1;
    this.#type(record.id, before, before.slice(0, end) + word.slice(-1) + before.slice(end), true);
  }

  #type(caseId: string, before: string, after: string, continues: boolean): void {
    recordTyping(this.#page.store, this.#who, caseId, {
      plantId: PLANT,
      before,
      edits: diffText(before, after),
      continues,
    });
  }

  /** Finishes a word that was begun, whichever case is open. */
  settle(): void {
    if (!this.#half) return;
    const record = this.record(this.#half.caseId);
    if (record) this.#finishWord(record, this.#half.word);
    else {
      this.#ledger.forget(this.#half.word);
      this.#half = null;
    }
  }
}
