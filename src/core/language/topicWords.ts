import { numberAt } from '../util/entryAt.ts';
import type { CareTopic } from '../schema/cause.ts';
import type { CauseId } from '../schema/common.ts';
import { stem, stemSet } from './stem.ts';
import { sumOfWeights, type Descriptions, type SimilarityOf, type Uses } from './textSimilarity.ts';
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

/** The words of all topics of care. */
export interface TopicWords {
  readonly senses: Descriptions['senses'];
  readonly uses: ReadonlyMap<string, Uses>;
  /** Number of each topic in the columns of `uses`. */
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

/** The words and classes of a topic, each with the greatest weight of its fields. */
function weightsOf(topic: CareTopic, senses: Descriptions['senses']): ReadonlyMap<string, number> {
  const weights = new Map<string, number>();
  for (const [stems, weight] of fieldsOf(topic))
    for (const stem of stems)
      if (!EMPTY.has(stem))
        senses(stem).forEach((sense, k) => {
          const own = k === 0 ? weight : AKIN * weight;
          weights.set(sense, Math.max(weights.get(sense) ?? 0, own));
        });
  return weights;
}

/** Collects the words of all topics; the more of them use one, the lower its idf (K. Sparck Jones, 1972). */
export function buildTopicWords(
  topics: readonly CareTopic[],
  senses: Descriptions['senses'],
): TopicWords {
  const users = new Map<string, Map<number, number>>();
  topics.forEach((topic, n) => {
    for (const [sense, weight] of weightsOf(topic, senses))
      users.set(sense, (users.get(sense) ?? new Map<number, number>()).set(n, weight));
  });
  const uses = new Map<string, Uses>();
  for (const [sense, weights] of users) {
    const idf = Math.log((topics.length + 1) / (weights.size + 0.5));
    uses.set(sense, {
      documents: Int32Array.from(weights.keys()),
      nats: Float64Array.from(weights.values(), (weight) => weight * idf),
    });
  }
  return { senses, uses, number: new Map(topics.map(({ id }, n) => [id, n])) };
}

/** Similarity of a question to every topic of care, in nats of at least 0, as {@link sumOfWeights}; 0 for what is no topic. */
export function similarityToTopics(topics: TopicWords, tokens: readonly Token[]): SimilarityOf {
  const { number } = topics;
  const total = sumOfWeights(topics, tokens, EMPTY, number.size);
  return (cause) => {
    const n = number.get(cause);
    return n === undefined ? 0 : numberAt(total, n);
  };
}
