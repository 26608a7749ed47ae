import { fileNameFor, knowledgeLayout } from './knowledgeLayout.ts';

const KEYS = ['id', 'name', 'hosts', 'say', 'source'];

it('brings entries into one layout, by id and field', () => {
  const text = `# What pests do.
- {id: mites, source: practice, name: 'Mites: red', hosts: {rose: very}}
# Beside water.
- name: Aphids
  id: aphids
  hosts:
    rose: usual
    plant: less
  say: They suck, and "stick".
`;
  expect(knowledgeLayout(text, KEYS)).toBe(`# What pests do.
# Beside water.
- id: aphids
  name: Aphids
  hosts: {rose: usual, plant: less}
  say: 'They suck, and "stick".'
- id: mites
  name: "Mites: red"
  hosts: {rose: very}
  source: practice
`);
});

it('leaves what is in the layout, and what is no list of entries', () => {
  for (const text of ['- id: a\n  name: A\n', 'leaf: [leaf, foliage]\n', '- id: [\n'])
    expect(knowledgeLayout(text, KEYS)).toBe(text);
});

it('names the file of an entry by its content', () => {
  expect(fileNameFor('causes', { id: 'a', category: 'insect' })).toBe('insect');
  expect(fileNameFor('findings', { id: 'a', part: 'leaf' })).toBe('leaf');
  expect(fileNameFor('plants', { id: 'a', part: 'leaf' })).toBeNull();
  expect(fileNameFor('causes', null)).toBeNull();
});
