import pg from 'pg';
import type { CaseChanged } from '../../contracts/live.ts';
import { summarizeError, type ErrorSummary } from '../db/errors.ts';
import { CHANNEL, parseAnnouncement } from './announce.ts';

/** Called with each change, and with null when changes may have been missed. */
export type Listener = (change: CaseChanged | null) => void;

/** Changes of cases, committed by any server of this database. */
export interface Feed {
  /** Calls `listener` for every change of a clinic, until the returned function is called. */
  readonly subscribe: (clinicId: number, listener: Listener) => () => void;
  /** Stops listening, and calls what `onClose` was given. */
  readonly close: () => Promise<void>;
  /** Calls `work` when the feed is closed, until the returned function is called. */
  readonly onClose: (work: () => void) => () => void;
}

/** Pause before the connection is opened again, in milliseconds. */
const RETRY_MS = 1000;

/**
 * Listens on a dedicated connection, opened with the first subscription. The address must lead to the database itself: a
 * pool in transaction mode drops notifications silently.
 */
export class DatabaseFeed implements Feed {
  readonly #address: string;
  readonly #onLost: (error: ErrorSummary) => void;
  readonly #listeners = new Map<number, Set<Listener>>();
  readonly #closeCallbacks = new Set<() => void>();
  #client: pg.Client | null = null;
  #started = false;
  #closed = false;

  constructor(address: string, onLost: (error: ErrorSummary) => void = () => undefined) {
    this.#address = address;
    this.#onLost = onLost;
  }

  readonly subscribe = (clinicId: number, listener: Listener): (() => void) => {
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

  readonly onClose = (work: () => void): (() => void) => {
    this.#closeCallbacks.add(work);
    return () => void this.#closeCallbacks.delete(work);
  };

  readonly close = async (): Promise<void> => {
    this.#closed = true;
    for (const work of this.#closeCallbacks) work();
    await this.#client?.end();
  };

  async #listen(): Promise<void> {
    if (this.#closed) return;
    const client = new pg.Client({ connectionString: this.#address, keepAlive: true });
    this.#client = client;
    client.on('notification', ({ payload }) => this.#dispatch(payload ?? ''));
    client.on('error', (error) => this.#onLost(summarizeError(error)));
    // A lost connection ends the client and fails the statement under way: one retry for both.
    let retried = false;
    const retry = (): void => {
      if (!retried) this.#reconnect();
      retried = true;
    };
    client.on('end', retry);
    try {
      await client.connect();
      await client.query(`listen ${CHANNEL}`);
      this.#notifyGap();
    } catch (error) {
      this.#onLost(summarizeError(error));
      await client.end().catch(() => undefined);
      // A connection that was never made emits no `end`.
      retry();
    }
  }

  #reconnect(): void {
    if (!this.#closed) setTimeout(() => void this.#listen(), RETRY_MS).unref();
  }

  #dispatch(payload: string): void {
    const announced = parseAnnouncement(payload);
    if (!announced) return;
    const { clinicId, ...change } = announced;
    for (const listener of this.#listeners.get(clinicId) ?? []) listener(change);
  }

  /** Notifications sent while nobody listened are lost. */
  #notifyGap(): void {
    for (const listeners of this.#listeners.values())
      for (const listener of listeners) listener(null);
  }
}
