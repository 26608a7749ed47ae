import type { ConsultRequest, ConsultResponse } from '../../contracts/consult.ts';
import type { Problem } from '../../contracts/problem.ts';
import { fail, type Result } from '../../core/result.ts';
import { fetchLibrary } from '../library/fetchLibrary.ts';
import type { FromWorker, PlantChoice, ToWorker } from './messages.ts';

type Answer = Result<ConsultResponse, Problem>;

const NO_LIBRARY: Problem = {
  code: 'unavailable',
  field: null,
  message: 'The library could not be loaded.',
  cure: 'Check the connection and reload the page; what you typed is kept.',
};

/** The consultant in its worker. The library is fetched at the first question. */
class ConsultClient {
  #worker: Worker | null = null;
  #ready: Promise<readonly PlantChoice[]> | null = null;
  #waiting = new Map<number, (answer: Answer) => void>();
  #next = 1;

  /** Plants of the library, once it is loaded. */
  plants(): Promise<readonly PlantChoice[]> {
    this.#ready ??= this.#start().catch((error: unknown) => {
      this.#ready = null;
      throw error;
    });
    return this.#ready;
  }

  /** Answers a request; fails only when the library cannot be loaded. */
  async ask(body: ConsultRequest): Promise<Answer> {
    try {
      await this.plants();
    } catch {
      return fail(NO_LIBRARY);
    }
    const id = this.#next++;
    return new Promise((resolve) => {
      this.#waiting.set(id, resolve);
      this.#send({ kind: 'ask', id, body });
    });
  }

  #send(message: ToWorker): void {
    this.#worker?.postMessage(message);
  }

  async #start(): Promise<readonly PlantChoice[]> {
    const library = await fetchLibrary();
    const worker = new Worker(new URL('./consult.worker.ts', import.meta.url), { type: 'module' });
    this.#worker = worker;
    return new Promise((resolve, reject) => {
      worker.onerror = () => reject(new Error('the worker failed'));
      worker.onmessage = ({ data }: MessageEvent<FromWorker>) => {
        if (data.kind === 'ready') {
          resolve(data.plants);
          return;
        }
        this.#waiting.get(data.id)?.(data.result);
        this.#waiting.delete(data.id);
      };
      this.#send({ kind: 'library', library });
    });
  }
}

export const consultant = new ConsultClient();
