import { answerConsult } from '../../application/answerConsult.ts';
import { answerLabel, type LabelQuery } from '../../application/answerLabel.ts';
import { answerSchedule, type ScheduleQuery } from '../../application/answerSchedule.ts';
import { createConsultant } from '../../core/consult/consult.ts';
import { compileLibrary } from '../../core/library/compile.ts';
import type { Library } from '../../core/schema/library.ts';
import { fetchLibrary } from '../api/fetchLibrary.ts';
import type { FromWorker, ToWorker } from './messages.ts';

let answer: ((body: unknown) => ReturnType<typeof answerConsult>) | null = null;
let schedule: ((query: ScheduleQuery) => ReturnType<typeof answerSchedule>) | null = null;
let judge: ((query: LabelQuery) => ReturnType<typeof answerLabel>) | null = null;

const send = (message: FromWorker): void => self.postMessage(message);

function start(library: Library): void {
  const compiled = compileLibrary(library);
  const consultant = createConsultant(compiled);
  answer = (body) => answerConsult(compiled, consultant, body);
  judge = (query) => answerLabel(compiled, consultant, query);
  schedule = (query) => answerSchedule(compiled, consultant, query);
  const plants = [...compiled.plants.values()].map(
    ({ id, name, scientific, names, ambiguous }) => ({
      id,
      name,
      scientific: scientific ?? null,
      names: [...names, ...ambiguous],
    }),
  );
  send({ kind: 'ready', plants });
  // Put together while the first words are typed.
  compiled.descriptions();
}

self.onmessage = ({ data }: MessageEvent<ToWorker>): void => {
  switch (data.kind) {
    case 'start':
      fetchLibrary()
        .then(start)
        .catch(() => send({ kind: 'failed' }));
      return;
    case 'ask':
      if (answer) send({ kind: 'answer', id: data.id, result: answer(data.body) });
      return;
    case 'schedule':
      if (schedule) send({ kind: 'scheduled', id: data.id, result: schedule(data.query) });
      return;
    case 'label':
      if (judge) send({ kind: 'judged', id: data.id, result: judge(data.query) });
  }
};
