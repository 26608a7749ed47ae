import { spawnSync } from 'node:child_process';

const good = {
  words: 'orange powder under the rose leaves',
  date: '2026-06-12',
  place: { lat: 41.2, lon: -80.1 },
};
const lines = [
  JSON.stringify(good),
  '{"words": ',
  '',
  JSON.stringify({ ...good, date: 'June' }),
  JSON.stringify({ ...good, plant: 'rose' }),
];

it('answers each line, reports a bad one, and goes on', () => {
  const done = spawnSync('node_modules/.bin/tsx', ['src/cli/consult.ts'], {
    input: lines.join('\n'),
    encoding: 'utf8',
  });
  const answers = done.stdout
    .trim()
    .split('\n')
    .map((line) => JSON.parse(line) as { error?: { code: string }; causes?: { id: string }[] });
  expect(done.status).toBe(0);
  expect(answers.map(({ error }) => error?.code ?? 'ok')).toEqual([
    'ok',
    'malformed-json',
    'invalid-field',
    'ok',
  ]);
  expect(answers[0]?.causes?.[0]?.id).toBe('rose-rust');
}, 30_000);
