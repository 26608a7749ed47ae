import { parse, stringify } from 'yaml';
import { causeSchema, careTopicSchema } from '../core/schema/cause.ts';
import { plantSchema } from '../core/schema/plant.ts';
import type { KnowledgeFile } from '../core/knowledge/read.ts';
import { beginEntry } from './skeleton.ts';

const file = (path: string, entries: readonly object[]): KnowledgeFile => ({
  file: path,
  content: entries,
  text: entries.length === 0 ? '' : `# About this file.\n${stringify(entries)}`,
});
const FILES = [
  file('causes/fungus.yaml', [{ id: 'leaf-curl', name: 'Leaf curl' }]),
  file('causes/insect.yaml', []),
  file('care/planting.yaml', [{ id: 'sow', name: 'Sowing' }]),
  file('plants/bulbs.yaml', [{ id: 'crocus', name: 'Crocus' }]),
];

it.each([
  ['cause', 'Elder’s Blïster', 'fungus', 'elders-blister', causeSchema],
  ['cause', 'Leaf roller', 'insect', 'leaf-roller', causeSchema],
  ['care', 'Moving a peony', 'planting', 'moving-a-peony', careTopicSchema],
  ['plant', 'Sea holly', 'bulbs', 'sea-holly', plantSchema],
] as const)(
  'begins a %s that can be read, beside what is there',
  (kind, name, into, id, schema) => {
    const begun = beginEntry(FILES, { kind, name, file: into });
    if (!begun.ok) throw new Error(begun.error.code);
    expect(begun.value.id).toBe(id);
    const entries = (parse(begun.value.text) as { readonly id: string }[]).filter(
      (entry) => entry.id === id,
    );
    expect(entries).toHaveLength(1);
    expect(schema.safeParse(entries[0]).success).toBe(true);
  },
);

it('keeps the other entries and the head of the file', () => {
  const begun = beginEntry(FILES, { kind: 'cause', name: 'Blister', file: 'fungus' });
  expect(begun.ok && begun.value.text.split('\n').slice(0, 2)).toEqual([
    '# About this file.',
    '- id: blister',
  ]);
  expect(begun.ok && begun.value.text).toContain('- id: leaf-curl');
});

it.each([
  ['a name that is there', { kind: 'cause', name: 'LEAF CURL', file: 'insect' }, 'taken'],
  ['a file that is not', { kind: 'plant', name: 'Squill', file: 'planting' }, 'no-such-file'],
  ['a name without letters', { kind: 'care', name: '?!', file: 'planting' }, 'no-letters'],
] as const)('refuses %s', (_what, asked, code) => {
  const begun = beginEntry(FILES, asked);
  expect(begun.ok ? null : begun.error.code).toBe(code);
});
