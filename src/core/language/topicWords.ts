import { addAt, entryAt, numberAt } from '../util/entryAt.ts';
import type { CareTopic } from '../schema/cause.ts';
import type { CauseId } from '../schema/common.ts';
import { stem, stemSet } from './stem.ts';
import { wordsIn, type Token } from './tokens.ts';

/** Words that ask, and say nothing about what is asked. */
const EMPTY = stemSet(
  "a an the and or but of in on at to for from with without by as is are was were be been it its they them their this that these those there here i me my we our you your he she his her do does did have has had having will would can could should may might must shall not no so too very just some any all each one then than what which who how why where if about into also only many few get got getting know think thing like want need tell please now go going i'd i'm i've it's don't that's what's best good way tip look looking wonder wondering really still yet ok right let make made take use using lot bit kind sort them us am there's you'd",
);

/** What each field of a topic counts: who asks uses the words of its name before those of its steps. */
const NAME = 1;
const SAID = 0.6;
const STEPS = 0.35;
/** What a word counts that only has a class with one of the topic in common: "trim" for "prune". */
const AKIN = 0.7;

/** The topics that use a word, by number, and how telling it is for each, in nats. */
interface Uses {
  readonly topics: readonly number[];
  readonly nats: readonly number[];
}

/** The words of all topics of care. */
export interface TopicWords {
  readonly classesOf: (stem: string) => readonly string[];
  readonly uses: ReadonlyMap<string, Uses>;
  readonly number: ReadonlyMap<CauseId, number>;
}

/** Phrases without what must not be there, counts and classes. */
const wordsOfPhrases = (phrases: readonly string[]): string =>
  phrases.join(' ').replace(/(^|\s)[-~>]\S*|@[a-z-]+|\|/g, ' ');

const stemsOf = (text: string): Set<string> => new Set([...wordsIn(text)].map(stem));

function fieldsOf(topic: CareTopic): readonly (readonly [Set<string>, number])[] {
  const { name, aliases, say, phrases, steps } = topic;
  return [
    [stemsOf([name, ...aliases].join(' ')), NAME],
    [stemsOf(`${say} ${wordsOfPhrases(phrases)}`), SAID],
    [stemsOf(steps.map(({ text }) => text).join(' ')), STEPS],
  ];
}

/** Collects the words of all topics; one that many of them use tells little (K. Sparck Jones, 1972). */
export function buildTopicWords(
  topics: readonly CareTopic[],
  classesOf: TopicWords['classesOf'],
): TopicWords {
  const weights = new Map<string, Map<number, number>>();
  topics.forEach((topic, n) => {
    const own = new Map<string, number>();
    const count = (sense: string, weight: number): void => {
      own.set(sense, Math.max(own.get(sense) ?? 0, weight));
    };
    for (const [stems, weight] of fieldsOf(topic))
      for (const one of stems) {
        if (EMPTY.has(one)) continue;
        count(one, weight);
        for (const akin of classesOf(one)) count(akin, AKIN * weight);
      }
    for (const [sense, weight] of own)
      weights.set(sense, (weights.get(sense) ?? new Map<number, number>()).set(n, weight));
  });
  const uses = new Map<string, Uses>();
  for (const [sense, users] of weights) {
    const rarity = Math.log((topics.length + 1) / (users.size + 0.5));
    uses.set(sense, {
      topics: [...users.keys()],
      nats: [...users.values()].map((weight) => weight * rarity),
    });
  }
  return { classesOf, uses, number: new Map(topics.map(({ id }, n) => [id, n])) };
}

/**
 * How much of what is asked a topic speaks of, in nats of at least 0: the summed tf-idf weights of the different words they
 * share. A function that returns 0 for what is no topic of care.
 */
export function likenessToTopics(
  { classesOf, uses, number }: TopicWords,
  tokens: readonly Token[],
): (cause: CauseId) => number {
  const total = new Float64Array(number.size);
  const best = new Float64Array(number.size);
  for (const one of new Set(tokens.map((token) => token.stem))) {
    if (EMPTY.has(one)) continue;
    const lists = [one, ...classesOf(one)].flatMap((sense) => uses.get(sense) ?? []);
    for (const { topics, nats } of lists)
      topics.forEach((topic, k) => {
        best[topic] = Math.max(numberAt(best, topic), entryAt(nats, k));
      });
    for (const { topics } of lists)
      for (const topic of topics) {
        addAt(total, topic, numberAt(best, topic));
        best[topic] = 0;
      }
  }
  return (cause) => {
    const n = number.get(cause);
    return n === undefined ? 0 : numberAt(total, n);
  };
}
