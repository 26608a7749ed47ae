import type { PlantId } from '../schema/common.ts';
import { namesPart } from './partFit.ts';
import type { PlantMention } from './plantNames.ts';
import { stem, stemSet } from './stem.ts';
import type { Token } from './tokens.ts';

/** What must be known of plants to read a text without their names. */
export interface Named {
  /** Stems of the words of which questions of care are made. */
  readonly careWords: ReadonlySet<string>;
  /** What is eaten of it bears its name: the apples of an apple. */
  readonly isEaten: (plant: PlantId) => boolean;
}

/** For each word the plant that it names or helps to name. Mentions in the order of the text. */
export function mentionOfEach(
  tokens: readonly Token[],
  mentions: readonly PlantMention[],
): readonly (PlantMention | null)[] {
  let next = 0;
  return tokens.map(({ start, end }) => {
    while ((mentions[next]?.end ?? Infinity) <= start) next++;
    const mention = mentions[next];
    return mention && start >= mention.start && end <= mention.end ? mention : null;
  });
}

/** Stands for any plant name in the phrases of the library: "half the maple" is half the plant. */
const PLANT = stem('plant');

/**
 * The words with plant names read as "plant": the white of a white pine says nothing about the plant. Names of
 * plants that are eaten stay, as they name the fruit, and so do the words that questions of care name plants by.
 */
export function withoutNames(
  { isEaten, careWords }: Named,
  tokens: readonly Token[],
  mentions: readonly PlantMention[],
): readonly Token[] {
  const named = mentionOfEach(tokens, mentions);
  return tokens.map((token, i) => {
    const mention = named[i];
    const stays =
      !mention || isEaten(mention.plant) || namesPart(token) || careWords.has(token.stem);
    return stays ? token : { ...token, stem: PLANT };
  });
}

const OF = stem('of');
const ASKING = stemSet('when how can should do does what may must could');

/** Sentences that ask for something: there the plant's name may be what is asked about. */
function sentencesOfAsking(tokens: readonly Token[]): ReadonlySet<number> {
  return new Set(
    tokens.filter(({ stem: word }) => ASKING.has(word)).map(({ sentence }) => sentence),
  );
}

/** Words from "of" to the name that tell nothing of it: "of my dear old lilac", not "of my brown lilac". */
const TELL_NOTHING = stemSet(
  'the a an my our his her their your this that these those one two some all both old older young dear poor beautiful lovely new big large little small tall neighbor',
);

/**
 * The words without whose part is spoken of: "the leaves of my old lilac are brown" is "the leaves are brown", as the
 * parts of a phrase must stand near each other. What is eaten stays where no part is named: "the skin of the apples";
 * and so does a name that questions of care are about, in a sentence that asks.
 */
export function stripPossessors(
  { isEaten, careWords }: Named,
  tokens: readonly Token[],
  mentions: readonly PlantMention[],
): readonly Token[] {
  const asking = sentencesOfAsking(tokens);
  const named = mentionOfEach(tokens, mentions);
  const dropped = new Set<number>();
  named.forEach((mention, last) => {
    if (!mention || tokens[last]?.end !== mention.end) return;
    let first = last;
    while (named[first - 1] === mention) first--;
    let of = first - 1;
    while (TELL_NOTHING.has(tokens[of]?.stem ?? '')) of--;
    const part = tokens[of - 1];
    if (tokens[of]?.stem !== OF || part?.sentence !== tokens[last].sentence) return;
    if (asking.has(tokens[last].sentence) && careWords.has(tokens[last].stem)) return;
    if (tokens[first]?.pauseBefore === true || (isEaten(mention.plant) && !namesPart(part))) return;
    for (let i = of; i <= last; i++) dropped.add(i);
  });
  return dropped.size === 0 ? tokens : tokens.filter((_, i) => !dropped.has(i));
}

const PLANT_NOUNS = stemSet(
  'plant tree bush vine leaf leaves foliage seedling hedge stem stalk cane root flower blossom',
);

/** Marks names before such nouns: "lemon tree" is the tree as a whole, and "lemon" neither its fruit nor a colour there. */
function namesOfWholes(
  tokens: readonly Token[],
  mentions: readonly PlantMention[],
): readonly boolean[] {
  const ends = new Set(mentions.map(({ end }) => end));
  return tokens.map(({ end }, i) => ends.has(end) && PLANT_NOUNS.has(tokens[i + 1]?.stem ?? ''));
}

/** What the names in a text stand for, word by word. */
export interface Naming {
  /** The plant that the word names or helps to name. */
  readonly named: readonly (PlantMention | null)[];
  /** Whether it names a plant as a whole: "tomato leaves". */
  readonly wholes: readonly boolean[];
  /** Whether it names the fruit of its plant: "tomatoes split". */
  readonly fruits: readonly boolean[];
}

/** Reads {@link Naming}; `bearsFruit` is true of plants that are eaten for their fruit. */
export function readNaming(
  tokens: readonly Token[],
  mentions: readonly PlantMention[],
  bearsFruit: (plant: PlantId) => boolean,
): Naming {
  const named = mentionOfEach(tokens, mentions);
  const wholes = namesOfWholes(tokens, mentions);
  const fruits = named.map(
    (mention, i) =>
      mention !== null &&
      wholes[i] !== true &&
      bearsFruit(mention.plant) &&
      !namesPart(tokens[i + 1]),
  );
  return { named, wholes, fruits };
}
