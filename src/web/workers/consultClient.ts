import type { ScheduleQuery } from '../../contracts/answerSchedule.ts';
import type { ConsultRequest, ConsultResponse } from '../../contracts/consult.ts';
import type { Problem } from '../../contracts/problem.ts';
import { fail, type Result } from '../../core/result.ts';
import type { PlanSchedule } from '../../core/advice/planSchedule.ts';
import { fetchLibrary } from '../library/fetchLibrary.ts';
import type { FromWorker, PlantChoice, ToWorker } from './messages.ts';

type Answer = Result<ConsultResponse, Problem>;
type Scheduled = Result<PlanSchedule, Problem>;

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
  #scheduling = new Map<number, (schedule: Scheduled) => void>();
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
  ask(body: ConsultRequest): Promise<Answer> {
    return this.#call(this.#waiting, (id) => ({ kind: 'ask', id, body }));
  }

  /** Dates the steps of the advice; fails only when the library cannot be loaded. */
  schedule(query: ScheduleQuery): Promise<Scheduled> {
    return this.#call(this.#scheduling, (id) => ({ kind: 'schedule', id, query }));
  }

  async #call<T>(
    waiting: Map<number, (value: Result<T, Problem>) => void>,
    message: (id: number) => ToWorker,
  ): Promise<Result<T, Problem>> {
    try {
      await this.plants();
    } catch {
      return fail(NO_LIBRARY);
    }
    const id = this.#next++;
    return new Promise((resolve) => {
      waiting.set(id, resolve);
      this.#send(message(id));
    });
  }

  #receive(message: Exclude<FromWorker, { kind: 'ready' }>): void {
    switch (message.kind) {
      case 'answer':
        this.#waiting.get(message.id)?.(message.result);
        this.#waiting.delete(message.id);
        return;
      case 'scheduled':
        this.#scheduling.get(message.id)?.(message.result);
        this.#scheduling.delete(message.id);
    }
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
        if (data.kind === 'ready') resolve(data.plants);
        else this.#receive(data);
      };
      this.#send({ kind: 'library', library });
    });
  }
}

export const consultant = new ConsultClient();
