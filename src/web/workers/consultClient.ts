import { connectionTexts } from '../texts/connectionTexts.ts';
import type { LabelAnswer, LabelQuery } from '../../application/answerLabel.ts';
import type { ScheduleQuery } from '../../application/answerSchedule.ts';
import type { ConsultRequest, ConsultResponse } from '../../contracts/consult.ts';
import type { Problem } from '../../contracts/problem.ts';
import { fail, type Result } from '../../core/util/result.ts';
import type { PlanSchedule } from '../../core/advice/planSchedule.ts';
import type { FromWorker, NamedChoice, ToWorker } from './messages.ts';

type Answer = Result<ConsultResponse, Problem>;
type Judged = Result<LabelAnswer, Problem>;
type Scheduled = Result<PlanSchedule, Problem>;

const NO_LIBRARY: Problem = {
  code: 'unavailable',
  field: null,
  message: connectionTexts.libraryNotLoaded,
  cure: connectionTexts.askedAgain,
};
const FAILED: Problem = {
  code: 'too-slow',
  field: 'words',
  message: connectionTexts.tookTooLong,
  cure: connectionTexts.shortenTheWords,
};

/** A worker that has not answered by then is ended, and the next question starts another. */
const MAX_ANSWER_MS = 20_000;
const MAX_START_MS = 60_000;

type Waiting = (result: Result<never, Problem>) => void;

/** The consultant in its worker. It fetches the library at the first question; a worker that fails or hangs is replaced. */
class ConsultClient {
  #worker: Worker | null = null;
  #ready: Promise<readonly NamedChoice[]> | null = null;
  readonly #answers = new Map<number, (answer: Answer) => void>();
  readonly #judged = new Map<number, (judged: Judged) => void>();
  readonly #schedules = new Map<number, (schedule: Scheduled) => void>();
  #next = 1;

  /** Plants of the library, once it is loaded. */
  plants(): Promise<readonly NamedChoice[]> {
    this.#ready ??= this.#start().catch((error: unknown) => {
      this.#end();
      throw error;
    });
    return this.#ready;
  }

  /** Answers a request; a problem when the library cannot be loaded or the answer takes too long. */
  ask(body: ConsultRequest): Promise<Answer> {
    return this.#call(this.#answers, (id) => ({ kind: 'ask', id, body }));
  }

  /** Dates the steps of the advice; a problem when the library cannot be loaded or it takes too long. */
  schedule(query: ScheduleQuery): Promise<Scheduled> {
    return this.#call(this.#schedules, (id) => ({ kind: 'schedule', id, query }));
  }

  /** Judges a label that was read out; a problem when the library cannot be loaded or it takes too long. */
  label(query: LabelQuery): Promise<Judged> {
    return this.#call(this.#judged, (id) => ({ kind: 'label', id, query }));
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
      const timer = setTimeout(() => this.#end(), MAX_ANSWER_MS);
      waiting.set(id, (result) => {
        clearTimeout(timer);
        waiting.delete(id);
        resolve(result);
      });
      this.#send(message(id));
    });
  }

  #receive(message: Exclude<FromWorker, { kind: 'ready' | 'failed' }>): void {
    switch (message.kind) {
      case 'answer':
        this.#answers.get(message.id)?.(message.result);
        return;
      case 'scheduled':
        this.#schedules.get(message.id)?.(message.result);
        return;
      case 'judged':
        this.#judged.get(message.id)?.(message.result);
    }
  }

  #send(message: ToWorker): void {
    this.#worker?.postMessage(message);
  }

  /** Ends the worker with all that it was asked; the next question starts another. */
  #end(): void {
    this.#worker?.terminate();
    this.#worker = null;
    this.#ready = null;
    const waiting: Waiting[] = [
      ...this.#answers.values(),
      ...this.#schedules.values(),
      ...this.#judged.values(),
    ];
    for (const give of waiting) give(fail(FAILED));
  }

  #start(): Promise<readonly NamedChoice[]> {
    const worker = new Worker(new URL('./consult.worker.ts', import.meta.url), { type: 'module' });
    this.#worker = worker;
    return new Promise((resolve, reject) => {
      const timer = setTimeout(() => reject(new Error('the worker did not start')), MAX_START_MS);
      worker.onerror = () => {
        reject(new Error('the worker failed'));
        this.#end();
      };
      worker.onmessage = ({ data }: MessageEvent<FromWorker>) => {
        if (data.kind === 'ready') {
          clearTimeout(timer);
          resolve(data.plants);
        } else if (data.kind === 'failed') {
          clearTimeout(timer);
          reject(new Error('the library was not loaded'));
        } else this.#receive(data);
      };
      this.#send({ kind: 'start' });
    });
  }
}

export const consultant = new ConsultClient();
