import { careTopicSchema } from '../schema/cause.ts';
import { causeId } from '../../test/setting.ts';
import { buildTopicWords, similarityToTopics } from './topicWords.ts';
import { stem } from './stem.ts';
import { tokenize } from './tokens.ts';

const topic = (id: string, name: string, change: Record<string, unknown> = {}) =>
  careTopicSchema.parse({
    id,
    name,
    hosts: {},
    phrases: ['when'],
    say: 'It is done so.',
    steps: [{ text: 'Do it in spring.', rung: 'hand' }],
    source: 'practice',
    ...change,
  });
const TOPICS = [
  topic('fig', 'Pruning figs'),
  topic('pear', 'Pruning pears', { aliases: ['an old orchard'] }),
  topic('store', 'Storing roots', { steps: [{ text: 'Lay carrots in sand.', rung: 'hand' }] }),
];
const CUT = ['prune', 'clip'].map(stem);
const senses = (word: string): readonly string[] => (CUT.includes(word) ? [word, '@cut'] : [word]);
const words = buildTopicWords(TOPICS, senses);
const like = (text: string, id: string): number =>
  similarityToTopics(words, tokenize(text))(causeId(id));

it('finds the topic that speaks of most that is asked', () => {
  expect(like('do I prune my fig', 'fig')).toBeGreaterThan(like('do I prune my fig', 'pear'));
  expect(like('do I prune my fig', 'pear')).toBeGreaterThan(0);
  expect(like('do I prune my fig', 'store')).toBe(0);
});

it('reads other names of a topic, and its steps for less than its name', () => {
  expect(like('the orchard', 'pear')).toBeGreaterThan(0);
  expect(like('storing', 'store')).toBeGreaterThan(like('carrots', 'store'));
  expect(like('carrots', 'store')).toBeGreaterThan(0);
});

it('takes a word of the same class for less than the word itself', () => {
  expect(like('clip', 'fig')).toBeGreaterThan(0);
  expect(like('clip', 'fig')).toBeLessThan(like('prune', 'fig'));
});

it('counts a word once, and none that only asks', () => {
  expect(like('prune prune', 'fig')).toBe(like('prune', 'fig'));
  expect(like('how should I do it, please', 'fig')).toBe(0);
});

it('knows only topics of care', () => {
  expect(like('prune', 'rust')).toBe(0);
});
