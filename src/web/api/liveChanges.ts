import { z } from 'zod';
import { caseChangedSchema, type CaseChanged } from '../../contracts/live.ts';

const streamMessageSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('case'), change: caseChangedSchema }),
  z.object({ kind: z.literal('gap') }),
  z.object({ kind: z.literal('heartbeat') }),
]);
type StreamMessage = z.infer<typeof streamMessageSchema>;

/** Called with each change of a case, and with null when everything must be fetched again. */
export type ChangeListener = (change: CaseChanged | null) => void;

const ADDRESS = '/api/changes';
/** Pause before a refused stream is opened again, in milliseconds. */
const REOPEN_MS = 5000;
/** The stream counts as lost after this long without an event, in milliseconds: two heartbeats and a margin. */
const HEARTBEAT_TIMEOUT_MS = 40_000;

/** Messages from the page that holds the stream to the other pages of the browser. */
interface OtherPages {
  readonly broadcast: (message: StreamMessage) => void;
  readonly onMessage: (listener: (message: unknown) => void) => void;
}

function otherPagesOn(name: string): OtherPages {
  const channel = new BroadcastChannel(name);
  return {
    broadcast: (message) => channel.postMessage(message),
    onMessage: (listener) => channel.addEventListener('message', ({ data }) => listener(data)),
  };
}

/** Opens a stream that lasts as long as the page. */
function openStream(onMessage: (message: StreamMessage) => void): void {
  const source = new EventSource(ADDRESS);
  source.addEventListener('open', () => onMessage({ kind: 'gap' }));
  source.addEventListener('gap', () => onMessage({ kind: 'gap' }));
  source.addEventListener('heartbeat', () => onMessage({ kind: 'heartbeat' }));
  source.addEventListener('case', ({ data }) => {
    const change = caseChangedSchema.safeParse(JSON.parse(String(data)));
    if (change.success) onMessage({ kind: 'case', change: change.data });
  });
  source.addEventListener('error', () => {
    // The browser reconnects by itself, but not after a response that is no event stream.
    if (source.readyState !== EventSource.CLOSED) return;
    setTimeout(() => openStream(onMessage), REOPEN_MS);
  });
}

/**
 * Changes of the clinic's cases. Browsers limit the connections to one server, so one page of each person holds the stream
 * and broadcasts to the others; when it is closed, another page takes over.
 */
export class LiveChanges {
  readonly #listeners = new Set<ChangeListener>();
  #receivedAt = -Infinity;

  constructor(personId: string) {
    const name = `sounding-changes-${personId}`;
    const otherPages = otherPagesOn(name);
    otherPages.onMessage((data) => {
      const message = streamMessageSchema.safeParse(data);
      if (message.success) this.#dispatch(message.data);
    });
    const hold = (): void =>
      openStream((message) => {
        otherPages.broadcast(message);
        this.#dispatch(message);
      });
    // Where pages cannot agree, as over plain HTTP, each holds its own.
    if ('locks' in navigator)
      void navigator.locks.request(name, () => {
        hold();
        return new Promise(() => undefined);
      });
    else hold();
  }

  /** Calls `listener` for every change from now on, until the returned function is called. */
  subscribe(listener: ChangeListener): () => void {
    this.#listeners.add(listener);
    return () => void this.#listeners.delete(listener);
  }

  /** Whether the stream is alive; if not, pages must poll. */
  get isConnected(): boolean {
    return Date.now() - this.#receivedAt < HEARTBEAT_TIMEOUT_MS;
  }

  #dispatch(message: StreamMessage): void {
    this.#receivedAt = Date.now();
    if (message.kind === 'heartbeat') return;
    for (const listener of this.#listeners)
      listener(message.kind === 'case' ? message.change : null);
  }
}
