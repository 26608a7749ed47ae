import { miniLibrary } from '../../test/miniLibrary.ts';
import { causeId } from '../../test/setting.ts';
import { sampleKindSchema } from '../schema/sampleKind.ts';
import { samplesFor } from './samples.ts';

const library = miniLibrary(
  [
    { id: 'spots', extra: { part: 'leaf', background: 'common' } },
    { id: 'wilt', extra: { part: 'leaf', background: 'common' } },
    { id: 'brown-roots', extra: { part: 'root', background: 'telltale' } },
  ],
  [
    { id: 'leaf-spot', findings: { spots: 'always' } },
    { id: 'root-rot', findings: { wilt: 'always', 'brown-roots': 'often' } },
    {
      id: 'old-age',
      findings: { spots: 'often' },
      extra: { category: 'normal', leave: 'It ages.' },
    },
  ],
);
const kind = (id: string, suits: Record<string, unknown>) =>
  sampleKindSchema.parse({
    ...{ id, name: id, sort: 'specimen', take: ['Take some of it.'], pack: ['Wrap it in paper.'] },
    ...{ send: 'On the same day.', days: [1, 2], for: suits, source: 'practice' },
  });
const fungi = ['fungus'];
const leaves = kind('leaves', { categories: fungi, parts: ['leaf'] });
const roots = kind('roots', { categories: fungi, parts: ['root'] });
const named = kind('named', { categories: [], parts: [], causes: ['leaf-spot'] });
const kindsOf = (id: string, ...sampleKinds: (typeof leaves)[]): string[] => {
  const cause = library.causes.get(causeId(id));
  if (!cause) throw new Error(`no cause ${id}`);
  return samplesFor(cause, { findings: library.findings, sampleKinds }).map((one) => one.id);
};

it('takes the part where the findings tell most, however often another one is seen', () => {
  expect(kindsOf('leaf-spot', roots, leaves)).toEqual(['leaves']);
  expect(kindsOf('root-rot', leaves, roots)).toEqual(['roots', 'leaves']);
});

it('takes a kind that is named for the cause before all others', () => {
  expect(kindsOf('leaf-spot', leaves, named)).toEqual(['named', 'leaves']);
  expect(kindsOf('root-rot', leaves, named)).toEqual(['leaves']);
});

it('takes none where none decides', () => {
  expect(kindsOf('old-age', leaves, roots, named)).toEqual([]);
});
