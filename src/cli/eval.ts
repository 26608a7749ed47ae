import { readFileSync } from 'node:fs';
import { z } from 'zod';
import { judgeCase, judgedCaseSchema, type CaseMarks } from './judgedCases.ts';
import { openConsultant } from './openConsultant.ts';

const file = process.argv[2];
if (file === undefined) {
  console.error('Name a file of judged cases: npm run eval -- FILE [--all]');
  process.exit(2);
}
const everyPlant = process.argv.includes('--all');
const cases = z.array(judgedCaseSchema).parse(JSON.parse(readFileSync(file, 'utf8')));
const answer = openConsultant();
const marks = cases.map((one) => judgeCase(one, answer, everyPlant));

const mark = (value: boolean | null): string => (value === null ? '-' : value ? 'ok' : 'NO');
const cell = (text: string, width: number): string => text.slice(0, width).padEnd(width);
console.log(
  `${cell('case', 6)}${cell('plant', 18)}ok  ${cell('leading cause', 26)}rank  p     verdict        timing mention harm  second`,
);
for (const one of marks) {
  if (one.skipped) {
    console.log(`${cell(one.id, 6)}${cell('(plant not in the library)', 60)}`);
    continue;
  }
  const rank = one.rank === null ? '>12' : String(one.rank);
  console.log(
    `${cell(one.id, 6)}${cell(one.plant, 18)}${mark(one.plantOk)}  ${cell(one.lead, 26)}${rank.padEnd(6)}${one.probability.toFixed(2)}  ` +
      `${cell(one.verdict, 15)}${mark(one.timingOk).padEnd(7)}${mark(one.mentionOk).padEnd(8)}${one.harmful.length > 0 ? `HARM: ${one.harmful.join('; ')}` : 'none'}  ${mark(one.secondOk)}`,
  );
  for (const missed of one.missed) console.log(`        not mentioned: ${missed.join(' | ')}`);
}

const counted = marks.filter((one) => !one.skipped);
const share = (name: string, test: (one: CaseMarks) => boolean | null): void => {
  const judged = counted.map(test).filter((value) => value !== null);
  const good = judged.filter(Boolean).length;
  const percent = judged.length === 0 ? '-' : `${((100 * good) / judged.length).toFixed(0)} %`;
  console.log(`${cell(name, 34)}${good} of ${judged.length}  ${percent}`);
};
console.log('');
share('plant right', (one) => one.plantOk);
share('cause first', (one) => one.rank === 1);
share('cause among the first three', (one) => one.rank !== null && one.rank <= 3);
share('second cause among the first four', (one) => one.secondOk);
share('verdict fits the timing', (one) => one.timingOk);
share('all advice groups mentioned', (one) => one.mentionOk);
share('no harmful advice', (one) => one.harmful.length === 0);
