import pg from 'pg';
import type { CaseChanged } from '../../contracts/live.ts';
import { summarizeError, type ErrorSummary } from '../db/errors.ts';
import { CHANNEL, readAnnounced } from './announce.ts';

/** Hears of a change; of null when some may have been missed. */
export type Listener = (change: CaseChanged | null) => void;

/** Changes of cases by whatever server, as they are committed. */
export interface Feed {
  /** Calls `listener` for every change of a clinic, until the returned function is called. */
  readonly hear: (clinicId: number, listener: Listener) => () => void;
  /** Ends listening, and calls whoever hears `whenClosed`. */
  readonly close: () => Promise<void>;
  /** Calls `work` when the feed is closed. */
  readonly whenClosed: (work: () => void) => () => void;
}

/** The database is asked again so long after it was lost, in milliseconds. */
const RETRY_MS = 1000;

/**
 * Listens on one connection of its own, from when somebody first wants to hear. The address must lead to the database
 * itself: a pool between transactions passes nothing on and does not say so.
 */
export class DatabaseFeed implements Feed {
  readonly #address: string;
  readonly #onLost: (error: ErrorSummary) => void;
  readonly #listeners = new Map<number, Set<Listener>>();
  readonly #endings = new Set<() => void>();
  #client: pg.Client | null = null;
  #started = false;
  #closed = false;

  constructor(address: string, onLost: (error: ErrorSummary) => void = () => undefined) {
    this.#address = address;
    this.#onLost = onLost;
  }

  readonly hear = (clinicId: number, listener: Listener): (() => void) => {
    const known = this.#listeners.get(clinicId) ?? new Set();
    this.#listeners.set(clinicId, known.add(listener));
    if (!this.#started) {
      this.#started = true;
      void this.#listen();
    }
    return () => {
      known.delete(listener);
      if (known.size === 0) this.#listeners.delete(clinicId);
    };
  };

  /** How many are subscribed at the moment. */
  get subscriberCount(): number {
    return [...this.#listeners.values()].reduce((sum, { size }) => sum + size, 0);
  }

  readonly whenClosed = (work: () => void): (() => void) => {
    this.#endings.add(work);
    return () => void this.#endings.delete(work);
  };

  readonly close = async (): Promise<void> => {
    this.#closed = true;
    for (const work of this.#endings) work();
    await this.#client?.end();
  };

  async #listen(): Promise<void> {
    const client = new pg.Client({ connectionString: this.#address, keepAlive: true });
    this.#client = client;
    client.on('notification', ({ payload }) => this.#tell(payload ?? ''));
    client.on('error', (error) => this.#onLost(summarizeError(error)));
    // A lost connection ends the client and fails the statement under way: one retry for both.
    let retried = false;
    const retry = (): void => {
      if (!retried) this.#again();
      retried = true;
    };
    client.on('end', retry);
    try {
      await client.connect();
      await client.query(`listen ${CHANNEL}`);
      this.#tellAll();
    } catch (error) {
      this.#onLost(summarizeError(error));
      await client.end().catch(() => undefined);
      // A connection that was never made emits no `end`.
      retry();
    }
  }

  #again(): void {
    if (!this.#closed) setTimeout(() => void this.#listen(), RETRY_MS).unref();
  }

  #tell(payload: string): void {
    const announced = readAnnounced(payload);
    if (!announced) return;
    const { clinicId, ...change } = announced;
    for (const listener of this.#listeners.get(clinicId) ?? []) listener(change);
  }

  /** What was committed while nobody listened is not told later. */
  #tellAll(): void {
    for (const listeners of this.#listeners.values())
      for (const listener of listeners) listener(null);
  }
}
