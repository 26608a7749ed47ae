import { z } from 'zod';
import { caseChangedSchema, type CaseChanged } from '../../contracts/live.ts';

const saidSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('case'), change: caseChangedSchema }),
  z.object({ kind: z.literal('gap') }),
  z.object({ kind: z.literal('beat') }),
]);
type Said = z.infer<typeof saidSchema>;

/** Hears of a change of a case; of null when all is to be asked for anew. */
export type ChangeListener = (change: CaseChanged | null) => void;

const ADDRESS = '/api/changes';
/** A stream that the server refused is asked for again so long after, in milliseconds. */
const AGAIN_MS = 5000;
/** Without a sign for so long nothing is heard any more, in milliseconds: two beats and a little. */
const SILENCE_MS = 40_000;

/** What the pages of one browser are told by the one that holds the stream. */
interface Neighbours {
  readonly tell: (said: Said) => void;
  readonly whenTold: (hear: (said: unknown) => void) => void;
}

function neighboursOf(name: string): Neighbours {
  const channel = new BroadcastChannel(name);
  return {
    tell: (said) => channel.postMessage(said),
    whenTold: (hear) => channel.addEventListener('message', ({ data }) => hear(data)),
  };
}

/** Holds a stream for as long as the page lives. */
function holdStream(hear: (said: Said) => void): void {
  const source = new EventSource(ADDRESS);
  source.addEventListener('open', () => hear({ kind: 'gap' }));
  source.addEventListener('gap', () => hear({ kind: 'gap' }));
  source.addEventListener('beat', () => hear({ kind: 'beat' }));
  source.addEventListener('case', ({ data }) => {
    const change = caseChangedSchema.safeParse(JSON.parse(String(data)));
    if (change.success) hear({ kind: 'case', change: change.data });
  });
  source.addEventListener('error', () => {
    // The browser asks again by itself, but not after an answer that is no stream.
    if (source.readyState !== EventSource.CLOSED) return;
    setTimeout(() => holdStream(hear), AGAIN_MS);
  });
}

/**
 * Hears of changes of the clinic's cases. A browser opens few connections to one server, so that of all pages of a person
 * one holds the stream and tells the others; when it goes, the next one takes over.
 */
export class LiveChanges {
  readonly #listeners = new Set<ChangeListener>();
  #heardAt = -Infinity;

  constructor(personId: string) {
    const name = `sounding-changes-${personId}`;
    const neighbours = neighboursOf(name);
    neighbours.whenTold((data) => {
      const said = saidSchema.safeParse(data);
      if (said.success) this.#hear(said.data);
    });
    const hold = (): void =>
      holdStream((said) => {
        neighbours.tell(said);
        this.#hear(said);
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
  hear(listener: ChangeListener): () => void {
    this.#listeners.add(listener);
    return () => void this.#listeners.delete(listener);
  }

  /** Whether changes are heard at the moment; if not, they must be asked for. */
  get isHeard(): boolean {
    return Date.now() - this.#heardAt < SILENCE_MS;
  }

  #hear(said: Said): void {
    this.#heardAt = Date.now();
    if (said.kind === 'beat') return;
    for (const listener of this.#listeners) listener(said.kind === 'case' ? said.change : null);
  }
}
