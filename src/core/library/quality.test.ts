import { miniLibrary, readMini } from '../../test/miniLibrary.ts';
import { findingId } from '../../test/setting.ts';
import { checkQuality } from './quality.ts';
import { profileSimilarity, weakestPairs } from './separation.ts';

const FINDINGS = ['f1', 'f2', 'f3', 'f4', 'f5', 'f6'].map((id) => ({ id }));
const SOUND = {
  lookAlikes: [{ id: 'b', tells: 'The other shows f5.' }],
  timing: 'none',
  harm: { looks: 'slight' },
  expect: 'It passes in a week.',
  lookAgainDays: 14,
};
const shows = (...ids: string[]): Record<string, string> =>
  Object.fromEntries(ids.map((id) => [id, 'usual']));
const B = {
  id: 'b',
  findings: shows('f2', 'f3', 'f4', 'f5'),
  extra: { ...SOUND, lookAlikes: [{ id: 'a', tells: 'That one shows f1.' }] },
};
const SOW = {
  id: 'sow',
  name: 'Sow clean seed',
  rung: 'conditions',
  text: 'Next year sow clean seed.',
  source: 'practice',
};
const PLANTS = {
  'treatments/t.yaml': [SOW],
  'plants/a.yaml': [{ id: 'fern', name: 'Fern', rank: 'group', source: 'practice' }],
};

function issuesOf(findings: Record<string, string>, extra: Record<string, unknown>) {
  const causes = [{ id: 'a', findings, extra: { ...SOUND, ...extra } }, B];
  const read = readMini(FINDINGS, causes, PLANTS);
  return checkQuality(read, miniLibrary(FINDINGS, causes, PLANTS)).map(
    ({ id, field }) => `${id} ${field}`,
  );
}

it('finds nothing wrong with a cause that has all an advisor needs', () => {
  expect(issuesOf(shows('f1', 'f2', 'f3', 'f6'), {})).toEqual([]);
});

it.each([
  ['too few findings', shows('f1', 'f2', 'f6'), {}, 'a findings'],
  ['findings that are never shown', { ...shows('f1', 'f2', 'f6'), f3: 'never' }, {}, 'a findings'],
  ['no look-alike', shows('f1', 'f2', 'f3', 'f6'), { lookAlikes: [] }, 'a lookAlikes'],
  ['nothing that tells it from its look-alike', B.findings, {}, 'a lookAlikes'],
  ['the same findings as another', B.findings, {}, 'a findings'],
  [
    'no harm and no reason to leave it',
    shows('f1', 'f2', 'f3', 'f6'),
    { harm: {}, leave: undefined },
    'a harm',
  ],
  ['nothing of what to expect', shows('f1', 'f2', 'f3', 'f6'), { expect: undefined }, 'a expect'],
  [
    'no day to look again',
    shows('f1', 'f2', 'f3', 'f6'),
    { lookAgainDays: undefined },
    'a lookAgainDays',
  ],
  [
    'words that name a season, without dates',
    shows('f1', 'f2', 'f3', 'f6'),
    { treatments: [{ use: 'sow', effect: 'good' }] },
    'a treatments',
  ],
  ['no timing', shows('f1', 'f2', 'f3', 'f6'), { timing: undefined }, 'a timing'],
])('reports %s', (_name, findings, extra, expected) => {
  expect(issuesOf(findings, extra)).toContain(expected);
});

it('asks how what can be seen looks, and how to look, but not of what happened', () => {
  const findings = [
    { id: 'f1', extra: { plate: undefined } },
    { id: 'f2', extra: { how: undefined } },
    { id: 'f3', extra: { kind: 'context', plate: undefined, how: undefined } },
    ...FINDINGS.slice(3),
  ];
  const causes = [{ id: 'a', findings: shows('f1', 'f2', 'f3', 'f6'), extra: SOUND }, B];
  const read = readMini(findings, causes, PLANTS);
  const issues = checkQuality(read, miniLibrary(findings, causes, PLANTS));
  expect(issues.map(({ id, field }) => `${id} ${field}`)).toEqual(['f1 plate', 'f2 how']);
});

it('asks for many ways to say what many causes show', () => {
  const few = { id: 'f1', extra: { phrases: ['spot', 'dot'] } };
  const causes = Array.from({ length: 10 }, (_, i) => ({
    id: `cause-${i}`,
    findings: shows('f1', 'f2', 'f3', 'f4'),
  }));
  const findings = [few, ...FINDINGS.slice(1)];
  const read = readMini(findings, causes, PLANTS);
  const issues = checkQuality(read, miniLibrary(findings, causes, PLANTS));
  const tooFew = issues.filter(({ id, field }) => id === 'f1' && field === 'phrases');
  expect(tooFew.map(({ fault }) => fault)).toEqual([
    { code: 'too-few-phrases', causes: 10, phrases: 2, least: 10 },
  ]);
});

it('asks of a plant that enough reaches it, and a normal look', () => {
  const plants = { 'plants/a.yaml': [{ id: 'fern', name: 'Fern', source: 'practice' }] };
  const causes = [{ id: 'a', findings: shows('f1', 'f2', 'f3', 'f6'), extra: SOUND }, B];
  const read = readMini(FINDINGS, causes, plants);
  const issues = checkQuality(read, miniLibrary(FINDINGS, causes, plants));
  expect(issues.map(({ field }) => field)).toEqual(['causes', 'normalLooks']);
});

it('measures how alike two causes are as the cosine of what they show', () => {
  const strengths = (list: Record<string, number>) =>
    new Map(Object.entries(list).map(([id, share]) => [findingId(id), share]));
  const one = strengths({ x: 0.9, y: 0.3 });
  expect(profileSimilarity(one, one)).toBeCloseTo(1, 12);
  expect(profileSimilarity(one, strengths({ z: 1 }))).toBe(0);
  expect(profileSimilarity(one, strengths({ x: 0.3, y: 0.9 }))).toBeCloseTo(0.54 / 0.9, 12);
});

it('finds for each plant the pair that is least told apart', () => {
  const library = miniLibrary(FINDINGS, [
    { id: 'a', findings: shows('f1', 'f2') },
    { id: 'b', findings: shows('f1', 'f2', 'f3') },
    { id: 'c', findings: shows('f4', 'f5') },
  ]);
  const [weakest] = weakestPairs(library);
  expect([weakest?.first, weakest?.second]).toEqual(['a', 'b']);
  expect(weakest?.similarity).toBeCloseTo(Math.sqrt(2 / 3), 12);
});
