import { createInterface } from 'node:readline';
import type { Problem } from '../contracts/problem.ts';
import { openConsultant } from './openConsultant.ts';

const answerBody = openConsultant();

function parseLine(line: string): unknown {
  try {
    return JSON.parse(line);
  } catch {
    return undefined;
  }
}

const MALFORMED: Problem = {
  code: 'malformed-json',
  field: null,
  message: 'The line is not JSON.',
  cure: 'Write one JSON object on each line, with "words", "date" and "place".',
};

function answerLine(line: string): unknown {
  const body = parseLine(line);
  if (body === undefined) return { error: MALFORMED };
  const answer = answerBody(body);
  return answer.ok ? answer.value : { error: answer.error };
}

for await (const line of createInterface({ input: process.stdin })) {
  if (line.trim() !== '') process.stdout.write(`${JSON.stringify(answerLine(line))}\n`);
}
