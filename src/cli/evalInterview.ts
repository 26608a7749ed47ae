import { readFileSync } from 'node:fs';
import { parse } from 'yaml';
import { z } from 'zod';
import { callerSchema, playCall, summaryOf, type Call } from './interviews.ts';
import { openConsultant } from './openConsultant.ts';

const ROUNDS = 10;
const [file, ...flags] = process.argv.slice(2);
if (file === undefined) {
  console.error(
    'Name a file of callers: npm run eval:interview -- FILE [--questions] [--quiet], FILE in JSON or YAML',
  );
  process.exit(2);
}
const callers = z.array(callerSchema).parse(parse(readFileSync(file, 'utf8')));
const answerBody = openConsultant();
const calls = callers.map((caller) => playCall(caller, answerBody, ROUNDS));

const rank = (value: number | null): string => (value === null ? '-' : String(value));

function lineOf(call: Call, { verdicts }: { readonly verdicts: readonly string[] }): string {
  const { id, first, end, asked, settled, leader, verdict, verdictOk, missed, harmful } = call;
  return [
    id,
    `rank ${rank(first)} to ${rank(end)}`,
    `asked ${asked.length}`,
    settled ? 'settled' : 'open',
    `verdict ${verdict}${verdictOk ? '' : ` (right: ${verdicts.join(', ')})`}`,
    ...(end === 1 ? [] : [`leads: ${leader}`]),
    ...(missed.length === 0 ? [] : [`not said: ${missed.map(([word]) => word).join(', ')}`]),
    ...(harmful.length === 0 ? [] : [`HARM: ${harmful.join(', ')}`]),
  ].join(' · ');
}

if (!flags.includes('--quiet')) {
  calls.forEach((call, i) => {
    const caller = callers[i];
    if (caller) console.log(lineOf(call, caller));
    if (flags.includes('--questions'))
      for (const { question, value } of call.asked) console.log(`    ${question} ${String(value)}`);
  });
  console.log('');
}

const COUNTS = ['callers', 'lostByAsking', 'settledWrong', 'harmful', 'questions', 'unanswerable'];
for (const [name, value] of Object.entries(summaryOf(calls))) {
  const shown =
    value === null
      ? '-'
      : COUNTS.includes(name)
        ? String(+value.toFixed(2))
        : `${(100 * value).toFixed(1)} %`;
  console.log(`${name.padEnd(14)}${shown}`);
}
