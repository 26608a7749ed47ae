import { readFileSync } from 'node:fs';
import { cpus } from 'node:os';
import { z } from 'zod';
import { openConsultant } from './openConsultant.ts';

const caseSchema = z.object({
  words: z.string(),
  date: z.string(),
  lat: z.number(),
  lon: z.number(),
});
const cases = z
  .array(caseSchema)
  .parse(JSON.parse(readFileSync('tests/cases/clinic.json', 'utf8')));

const started = performance.now();
const answer = openConsultant();
const loaded = performance.now() - started;

/** Milliseconds of one call. */
function time(work: () => void): number {
  const start = performance.now();
  work();
  return performance.now() - start;
}

function percentile(values: readonly number[], share: number): number {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? NaN;
}

const ROUNDS = 12;
const first: number[] = [];
const again: number[] = [];
for (let round = 0; round < ROUNDS; round++) {
  for (const { words, date, lat, lon } of cases) {
    // A place of its own in each round, so that the first answer builds its network and almanac anew.
    const body = { words, date, place: { lat: lat + round / 1000, lon } };
    first.push(time(() => answer(body)));
    again.push(time(() => answer({ ...body, answers: [{ finding: 'leaf-drop', value: false }] })));
  }
}

const show = (name: string, values: readonly number[]): void => {
  const figures = [0.5, 0.95, 1].map((share) => percentile(values, share).toFixed(1).padStart(7));
  console.log(`${name.padEnd(44)}${figures.join('')}`);
};
console.log(`${cpus()[0]?.model ?? 'unknown processor'}, Node ${process.versions.node}`);
console.log(`library read, checked and compiled: ${loaded.toFixed(0)} ms`);
console.log(`${'milliseconds'.padEnd(44)} median    p95    max`);
show('first answer at a new place and date', first);
show('next answer of the same enquiry', again);
console.log(`memory: ${(process.memoryUsage().heapUsed / 1e6).toFixed(0)} MB of heap`);
