import { HARMLESS_TREATMENT, REFERENCE_PLACE } from '../../test/miniLibrary.ts';
import { checkLibrary } from './check.ts';
import type { KnowledgeIssue } from './faults.ts';
import { readLibrary, type KnowledgeFile } from './read.ts';

const finding = {
  id: 'f',
  part: 'leaf',
  kind: 'symptom',
  label: 'Finding',
  question: 'So?',
  background: 'rare',
  source: 'practice',
};
const cause = {
  id: 'c',
  name: 'Cause',
  category: 'fungus',
  hosts: { fern: 'usual' },
  common: 'common',
  findings: { f: 'usual', g: 'usual', h: 'often' },
  harm: {},
  say: 'It is a cause for tests.',
  leave: 'It goes by itself.',
  source: 'practice',
};
const treatment = {
  ...HARMLESS_TREATMENT,
  id: 't',
  name: 'Treatment',
  rung: 'hand',
  text: 'Pick them off by hand.',
  source: 'practice',
};

const look = {
  id: 'l',
  say: 'Look at the roots.',
  seconds: 20,
  shows: ['f', 'g'],
  source: 'practice',
};

const T = { use: 't', effect: 'good' };

function files(change: Record<string, unknown> = {}): KnowledgeFile[] {
  const all: Record<string, unknown> = {
    'plants/p.yaml': [{ id: 'fern', name: 'Fern', source: 'practice' }],
    'places/p.yaml': [REFERENCE_PLACE],
    'findings/f.yaml': ['f', 'g', 'h'].map((id) => ({ ...finding, id })),
    'causes/c.yaml': [cause],
    'treatments/t.yaml': [treatment],
    ...change,
  };
  return Object.entries(all).map(([file, content]) => ({
    file,
    content,
    text: JSON.stringify(content),
  }));
}

function issuesOf(change: Record<string, unknown> = {}): readonly KnowledgeIssue[] {
  const read = readLibrary(files(change));
  return read.ok ? checkLibrary(read.value) : read.error;
}

it('finds nothing wrong with a sound library', () => {
  expect(issuesOf()).toEqual([]);
});

it.each<[string, Record<string, unknown>, Partial<KnowledgeIssue>]>([
  [
    'a host that does not exist',
    { 'causes/c.yaml': [{ ...cause, hosts: { moss: 'usual' } }] },
    { id: 'c', field: 'hosts' },
  ],
  [
    'a finding that does not exist',
    {
      'causes/c.yaml': [{ ...cause, findings: { f: 'usual', g: 'often', h: 'often', x: 'often' } }],
    },
    { id: 'c', field: 'findings' },
  ],
  [
    'a word that is not on the scale',
    { 'causes/c.yaml': [{ ...cause, common: 'now and then' }] },
    { id: 'c', field: 'common' },
  ],
  [
    'no treatment and no reason to leave it',
    { 'causes/c.yaml': [{ ...cause, leave: undefined }] },
    { id: 'c', field: 'treatments' },
  ],
  [
    'a kind of plant that does not exist, in what a treatment is for',
    { 'causes/c.yaml': [{ ...cause, treatments: [{ use: 't', effect: 'good', only: ['moss'] }] }] },
    { id: 'c', field: 'treatments' },
  ],
  [
    'a kind of plant that does not exist, on which a cause is left',
    { 'causes/c.yaml': [{ ...cause, leaveOn: [{ only: ['moss'], why: 'It heals by itself.' }] }] },
    { id: 'c', field: 'leaveOn' },
  ],
  [
    'a treatment that stands twice for the same plants',
    { 'causes/c.yaml': [{ ...cause, treatments: [T, T] }] },
    { id: 'c', field: 'treatments' },
  ],
  [
    'an unused finding',
    { 'findings/f.yaml': ['f', 'g', 'h', 'i'].map((id) => ({ ...finding, id })) },
    { id: 'i' },
  ],
  [
    'an unknown source of the dates of a stage',
    {
      'causes/c.yaml': [
        { ...cause, stages: [{ name: 'hatch', when: 'dd10 50..90', source: 'hearsay' }] },
      ],
    },
    { id: cause.id, field: 'stages' },
  ],
  [
    'a place that is not there, in when a plant flowers',
    {
      'plants/p.yaml': [
        {
          id: 'fern',
          name: 'Fern',
          traits: { bloom: '04-01..05-01 @nowhere' },
          source: 'practice',
        },
      ],
    },
    { id: 'fern', field: 'bloom' },
  ],
  [
    'an unknown source',
    { 'treatments/t.yaml': [{ ...treatment, source: 'hearsay' }] },
    { id: 't', field: 'source' },
  ],
  [
    'a conventional product of no class',
    { 'treatments/t.yaml': [{ ...treatment, rung: 'conventional' }] },
    { id: 't', field: 'classes', fault: { code: 'no-class' } },
  ],
  [
    'a work that is older than what it is cited for',
    {
      'causes/c.yaml': [{ ...cause, knownSince: 2002, source: 'old-book' }],
      'sources/s.yaml': [
        {
          ...{ id: 'old-book', author: 'A', title: 'T', publisher: 'P', year: 1991 },
          recalled: true,
        },
      ],
    },
    { id: cause.id, fault: { code: 'cited-too-early', source: 'old-book', since: 2002 } },
  ],
  [
    'a product that says too little of itself',
    { 'treatments/t.yaml': [{ ...treatment, rung: 'low-toxicity', classes: ['fungicide'] }] },
    { id: 't', fault: { code: 'not-stated', fields: ['applied', 'limits', 'amount', 'cautions'] } },
  ],
  [
    'a product that does not say how often',
    {
      'treatments/t.yaml': [
        {
          ...treatment,
          classes: ['nutrient'],
          applied: 'soil',
          amount: '5 g/m2',
          cautions: ['On damp soil.'],
        },
      ],
    },
    { id: 't', field: 'amount', fault: { code: 'no-count' } },
  ],
  ...Object.keys(HARMLESS_TREATMENT).map(
    (field): [string, Record<string, unknown>, Partial<KnowledgeIssue>] => [
      `a treatment that leaves ${field} unsaid`,
      { 'treatments/t.yaml': [{ ...treatment, [field]: undefined }] },
      { id: 't', field },
    ],
  ),
  [
    'a conventional product that passes for organic',
    { 'treatments/t.yaml': [{ ...treatment, rung: 'conventional', classes: ['herbicide'] }] },
    { id: 't', field: 'organic', fault: { code: 'conventional-organic' } },
  ],
  [
    'a law of a place that does not exist',
    {
      'law/l.yaml': [
        {
          ...{ id: 'l', where: ['nowhere-land'], matters: ['burning'], effect: 'forbids' },
          ...{ say: 'Nothing is burned.', who: 'council', asOf: 2026, source: 'practice' },
        },
      ],
    },
    {
      id: 'l',
      field: 'where',
      fault: { code: 'unknown-id', id: 'nowhere-land', section: 'areas' },
    },
  ],
  [
    'a conventional step of care of no class',
    {
      'care/c.yaml': [
        {
          id: 'care-feed',
          name: 'How to feed',
          hosts: { fern: 'usual' },
          phrases: ['feed'],
          say: 'Feed in spring.',
          steps: [{ text: 'Spread the granules.', rung: 'conventional' }],
          source: 'practice',
        },
      ],
    },
    { id: 'care-feed', field: 'steps', fault: { code: 'no-class' } },
  ],
  [
    'a range in an area that does not exist',
    {
      'causes/c.yaml': [
        { ...cause, range: { established: ['us', 'atlantis'], asOf: 2026, source: 'practice' } },
      ],
    },
    { id: 'c', field: 'range', fault: { code: 'unknown-id', id: 'atlantis', section: 'areas' } },
  ],
  [
    'a look that shows what does not exist',
    { 'looks/l.yaml': [{ ...look, shows: ['f', 'x'] }] },
    { id: 'l', field: 'shows' },
  ],
  [
    'a finding that two looks show',
    { 'looks/l.yaml': [look, { ...look, id: 'm', shows: ['g', 'h'] }] },
    { id: 'm', field: 'shows', fault: { code: 'in-two-looks', finding: 'g' } },
  ],
  [
    'a choice that is no finding of its group',
    {
      'groups/g.yaml': [
        { id: 'g', question: 'Old or new?', choices: ['spots'], source: 'practice' },
      ],
    },
    { id: 'g', field: 'choices' },
  ],
  [
    'an application rate',
    { 'treatments/t.yaml': [{ ...treatment, text: 'Mix 10 ml per litre and spray.' }] },
    { id: 't', field: 'text' },
  ],
  [
    'a house plant out of doors in an area that is not listed',
    {
      'plants/p.yaml': [
        { id: 'fig', name: 'Fig', source: 'practice', traits: { outdoorsIn: ['the-moon'] } },
      ],
    },
    { id: 'fig', field: 'traits', fault: { code: 'unknown-id', id: 'the-moon', section: 'areas' } },
  ],
  [
    'a depth in one system of units',
    { 'causes/c.yaml': [{ ...cause, say: 'It sits 5 cm deep.' }] },
    { id: 'c', fault: { code: 'one-system', text: 'It sits 5 cm deep.' } },
  ],
  [
    'a text that nobody has written',
    { 'causes/c.yaml': [{ ...cause, say: 'To be written.' }] },
    { id: 'c', field: 'say', fault: { code: 'unwritten' } },
  ],
  [
    'a topic of care for no plant, with nothing in it',
    {
      'care/a.yaml': [
        {
          ...{ id: 'move', name: 'Moving it', hosts: {}, phrases: ['to move'], source: 'practice' },
          ...{ say: 'Move it in spring.', steps: [{ text: 'To be written.', rung: 'hand' }] },
        },
      ],
    },
    { id: 'move', field: 'hosts', fault: { code: 'no-host' } },
  ],
  [
    'an id that stands twice',
    { 'treatments/t.yaml': [treatment, treatment] },
    { id: 't', field: 'id' },
  ],
  [
    'a misspelt field',
    { 'treatments/t.yaml': [{ ...treatment, rungs: 'hand' }] },
    { id: 't', file: 'treatments/t.yaml' },
  ],
  [
    'a broken window',
    { 'treatments/t.yaml': [{ ...treatment, when: 'soon' }] },
    { id: 't', field: 'when' },
  ],
  [
    'a finding that was learned and is gone',
    { 'models/hearing.yaml': { readings: {}, words: {}, findings: { gone: -400 } } },
    { id: 'gone' },
  ],
  [
    'a pair of findings that was learned and of which one is gone',
    {
      'models/hearing.yaml': { readings: {}, words: {}, findings: {}, together: { spots: 'gone' } },
    },
    { id: 'gone' },
  ],
  [
    'a file of what was learned that lacks a part',
    { 'models/hearing.yaml': { readings: {}, words: {} } },
    { file: 'models/hearing.yaml', id: 'findings' },
  ],
])('reports %s', (_name, change, expected) => {
  expect(issuesOf(change)).toEqual(expect.arrayContaining([expect.objectContaining(expected)]));
});

it('gives another version to another text', () => {
  const version = (change: Record<string, unknown>): string => {
    const read = readLibrary(files(change));
    return read.ok ? read.value.library.version : '';
  };
  expect(version({})).toBe(version({}));
  expect(version({})).not.toBe(version({ 'causes/c.yaml': [{ ...cause, name: 'Another' }] }));
});

const danger = {
  id: 'fire',
  order: 1,
  name: 'Fire',
  signs: [['\\b{tree}\\b', '\\bburns\\b']],
  say: 'Get away from it and call for help.',
  call: ['fire'],
  source: 'practice',
};

it.each([
  ['a list of words that does not exist', {}, { field: 'signs' }],
  ['such a list in what makes it none', { signs: [['x']], unless: '{tree}' }, { field: 'unless' }],
  ['an unknown source of a danger', { signs: [['x']], source: 'hearsay' }, { field: 'source' }],
])('reports %s', (_name, change, expected) => {
  const issues = issuesOf({ 'dangers/d.yaml': [{ ...danger, ...change }] });
  expect(issues).toContainEqual(expect.objectContaining({ id: 'fire', ...expected }));
});

it('finds nothing wrong with a danger whose lists exist', () => {
  const words = { 'language/danger-words.yaml': { tree: ['oak'] } };
  expect(issuesOf({ 'dangers/d.yaml': [danger], ...words })).toEqual([]);
});
