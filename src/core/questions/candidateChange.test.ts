import { miniLibrary, type MiniCause } from '../../test/miniLibrary.ts';
import { circumstancesAt, findingId, plantId } from '../../test/setting.ts';
import { buildNetwork } from '../diagnosis/network.ts';
import { weighAll } from '../diagnosis/posterior.ts';
import { CHANGE_QUESTION } from './candidateChange.ts';
import { rankQuestions } from './questions.ts';
import type { Report } from '../diagnosis/evidence.ts';

const sign = (id: string, part: string, extra: Record<string, unknown> = {}) => ({
  id,
  extra: { part, ...extra },
});
const FINDINGS = [
  ...['a', 'b', 'c', 'd', 'e'].map((id) => sign(`leaf-${id}`, 'leaf')),
  sign('bark-gum', 'trunk'),
  sign('leaf-a-dark', 'leaf', { isA: ['leaf-a'] }),
  sign('dug', 'root', { needs: 'tool' }),
  sign('mound', 'soil'),
  sign('new-here', 'history', { kind: 'context' }),
];
const CAUSES: readonly MiniCause[] = [
  {
    id: 'blight',
    findings: {
      'leaf-a-dark': 'nearly-always',
      'leaf-b': 'usual',
      'leaf-c': 'often',
      'leaf-d': 'sometimes',
      'leaf-e': 'seldom',
      'new-here': 'always',
      dug: 'always',
      mound: 'always',
    },
  },
  { id: 'canker', findings: { 'bark-gum': 'always', 'leaf-b': 'seldom', 'leaf-a': 'seldom' } },
];

function change(reports: Report[] = [], skipped: string[] = []) {
  const library = miniLibrary(FINDINGS, CAUSES, {});
  const network = buildNetwork(library, plantId('fern'), circumstancesAt(library));
  const { posterior } = weighAll(library, network, reports, 0);
  return rankQuestions(library, network, posterior, reports, new Set(skipped)).find(
    ({ finding }) => finding === CHANGE_QUESTION,
  );
}
const report = (id: string, value = true): Report => ({
  finding: findingId(id),
  value,
  sure: 0.95,
});

it('offers what is plain to see, four of a part, part by part', () => {
  expect(change()?.choices.map(({ finding }) => finding)).toEqual([
    'leaf-a',
    'leaf-b',
    'leaf-c',
    'leaf-d',
    'bark-gum',
  ]);
});

it('is worth asking', () => {
  expect(change()?.netValue).toBeGreaterThan(0);
  expect(change()?.informationGainBits).toBeGreaterThan(0.1);
});

it.each([
  ['something is reported', [report('leaf-b')], []],
  ['they could not tell', [], [CHANGE_QUESTION]],
])('is not asked once %s', (_, reports, skipped) => {
  expect(change(reports, skipped)).toBeUndefined();
});

it.each([
  ['it is only known what happened', [report('new-here')]],
  ['something was denied', [report('bark-gum', false)]],
])('is still asked where %s', (_, reports) => {
  expect(change(reports)?.kind).toBe('change');
});
