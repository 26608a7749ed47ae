import type { PlantId } from '../schema/common.ts';
import type { Plant } from '../schema/plant.ts';
import { stem, stemSet } from './stem.ts';
import { makeSpeller, type Speller } from './soundsLike.ts';
import { tokenize, wordsIn, type Span, type Token } from './tokens.ts';

/** A plant named in the text. `weight` says how likely it is the plant that is asked about. */
export interface PlantMention extends Span {
  readonly plant: PlantId;
  readonly weight: number;
}

interface NameEntry {
  readonly stems: readonly string[];
  readonly plant: PlantId;
  readonly ambiguous: boolean;
  /** A group is named by its common word; a species by its own. */
  readonly broad: boolean;
}

/** Names by their first stem, longest first, and what a misspelled word of a name means. */
export interface PlantNames {
  readonly byStem: ReadonlyMap<string, readonly NameEntry[]>;
  readonly spell: Speller;
}

/** A name that is cut to fewer letters is too often another word. */
const MIN_STEM = 4;

/** The scientific name, where it is not what people call another plant: geraniums are pelargoniums to most. */
function scientificOf(
  { scientific, names }: Plant,
  common: ReadonlySet<string>,
): readonly string[] {
  if (scientific === undefined) return [];
  const name = scientific.toLowerCase();
  // "Ribes" would be heard in "ribs".
  if (stem(name).length < MIN_STEM) return [];
  return common.has(name) && !names.includes(name) ? [] : [scientific];
}

/** Builds the name index of a library's plants. */
export function buildPlantNames(plants: readonly Plant[]): PlantNames {
  const names = new Map<string, NameEntry[]>();
  const words = new Set<string>();
  const common = new Set(plants.flatMap((plant) => plant.names));
  const hasKinds = new Set<string>(plants.flatMap(({ parents }) => parents));
  for (const plant of plants) {
    const broad = (plant.rank === 'group' || plant.rank === 'family') && hasKinds.has(plant.id);
    const add = (name: string, ambiguous: boolean): void => {
      if (!ambiguous) for (const word of wordsIn(name)) words.add(word);
      const stems = tokenize(name).map((token) => token.stem);
      const first = stems[0];
      if (first === undefined) return;
      const entry = { stems, plant: plant.id, ambiguous, broad };
      const known = names.get(first);
      if (known) known.push(entry);
      else names.set(first, [entry]);
    };
    const scientific = scientificOf(plant, common);
    const ambiguous = new Set(plant.ambiguous.map((name) => name.toLowerCase()));
    for (const name of new Set([plant.name.toLowerCase(), ...plant.names, ...scientific])) {
      if (!ambiguous.has(name)) add(name, false);
    }
    for (const name of ambiguous) add(name, true);
  }
  for (const list of names.values()) list.sort((a, b) => b.stems.length - a.stems.length);
  return { byStem: names, spell: makeSpeller(words) };
}

const SUPPORT_AFTER = stemSet(
  'tree bush shrub plant seedling hedge vine fruit leaf branch orchard grove blossom flower patch stem stalk root',
);
const SUPPORT_BEFORE = stemSet(
  'my our their the a an potted these those his her me young dwarf on every each',
);
const DESCRIBES_ONE = stemSet('old young big little new indoor outdoor');
const OWN = stemSet('my our this these me');
/** Words before a plant that make it scenery: what it stands under, beside or looks like. */
const SCENERY = stemSet(
  'under beneath near beside behind against like neighbour neighbor by stump next unlike from',
);
/** Words that may stand between one of these and the plant: "under the big old oak", "next to our maple". */
const DESCRIBES = stemSet(
  'to the a an our my his her their some big huge large giant tall great old older mature little small dead two three',
);
const MAX_DESCRIBED = 5;

/** Whether a name is only scenery: right after a word for it, or with words between that describe it. */
function isScenery(tokens: readonly Token[], first: number): boolean {
  for (let step = 1; step <= MAX_DESCRIBED; step++) {
    const token = tokens[first - step];
    if (!token || token.sentence !== tokens[first]?.sentence) return false;
    if (SCENERY.has(token.stem)) return true;
    if (step > 1 && !DESCRIBES.has(tokens[first - step + 1]?.stem ?? '')) return false;
  }
  return false;
}

const LIKE = stem('like');
const COLOUR_NOUNS = stemSet(
  'brown green yellow colour color coloured black skin oil peel shaped sized',
);

/** "Mint is running": a name that opens a sentence about itself. */
const BE_OR_HAVE = stemSet('is are was were has have had');

/** "Lemon in pot", "box - leaves cupped": a name that a note begins with. */
function isHeading(name: Token | undefined, next: Token | undefined): boolean {
  if (next === undefined || next.sentence !== name?.sentence || next.pauseBefore) return true;
  return ['in', 'with'].includes(next.stem);
}

function supported(tokens: readonly Token[], first: number, after: number): boolean {
  const next = tokens[after];
  const plural = /s$/.test(tokens[after - 1]?.word ?? '');
  if (next !== undefined && SUPPORT_AFTER.has(next.stem)) return true;
  if (next !== undefined && COLOUR_NOUNS.has(next.stem)) return false;
  const opensSentence = tokens[first - 1]?.sentence !== tokens[first]?.sentence;
  if (first === 0 && isHeading(tokens[first], next)) return true;
  // "The old ash", "my indoor lemon".
  const leading = DESCRIBES_ONE.has(tokens[first - 1]?.stem ?? '') ? 2 : 1;
  return (
    plural ||
    (opensSentence && next !== undefined && BE_OR_HAVE.has(next.stem)) ||
    OWN.has(tokens[first - 1]?.stem ?? '') ||
    SUPPORT_BEFORE.has(tokens[first - leading]?.stem ?? '')
  );
}

const BE_OR_SEEM = stemSet('is are was were looks look seems seem');
const WELL = stemSet('fine healthy great okay ok perfect beautiful good');
const EXCEPT = stemSet('except but until till when then now');

/** "The apple maggot", "white pine weevils": a trouble's name, which says little of the plant that is asked about. */
const TROUBLES = stemSet(
  'weevil maggot bug worm beetle borer moth aphid adelgid scale mite sawfly hornworm leafminer',
);

const BESIDE = stemSet('near beside behind above over by');
const OURS = stemSet('my our');

/** "There is a black walnut near my tomatoes": the plant that is one's own is asked about, the other stands by it. */
function standsByOwn(tokens: readonly Token[], after: number): boolean {
  const at = tokens[after]?.stem === 'next' ? after + 1 : after;
  const beside = at > after ? tokens[at]?.stem === 'to' : BESIDE.has(tokens[at]?.stem ?? '');
  return beside && OURS.has(tokens[at + 1]?.stem ?? '');
}

/** "The lilac is fine": said for comparison, unless the same breath goes on with what is wrong. */
function saidToBeWell(tokens: readonly Token[], after: number): boolean {
  const at = [1, 2].find((step) => WELL.has(tokens[after + step]?.stem ?? ''));
  if (at === undefined || !BE_OR_SEEM.has(tokens[after]?.stem ?? '')) return false;
  const next = tokens[after + at + 1];
  return next === undefined || next.pauseBefore || !EXCEPT.has(next.stem);
}

/** Where a name stands, and where the one before it ended; null for the first. */
interface Place {
  readonly first: number;
  readonly after: number;
  readonly own: boolean;
  readonly lastAfter: number | null;
}

/** Whether a plant is named by the way: as scenery, for comparison or in the name of a trouble. */
function isAside(tokens: readonly Token[], { first, after, own, lastAfter }: Place): boolean {
  const near = lastAfter !== null && first - lastAfter <= MAX_DESCRIBED;
  const scenery = isScenery(tokens, first) && !(near && standsByOwn(tokens, lastAfter));
  const simile = [2, 3, 4].some(
    (step) =>
      tokens[first - step]?.stem === LIKE &&
      tokens[first - step]?.sentence === tokens[first]?.sentence,
  );
  return (
    TROUBLES.has(tokens[after]?.stem ?? '') ||
    scenery ||
    simile ||
    saidToBeWell(tokens, after) ||
    (!own && standsByOwn(tokens, after))
  );
}

/** Weight of a name that opens at `first`; `found` are the names before it. */
function weigh(
  tokens: readonly Token[],
  entry: NameEntry,
  first: number,
  found: readonly { readonly after: number }[],
): number {
  const before = [1, 2, 3]
    .map((step) => tokens[first - step])
    .filter((t) => t?.sentence === tokens[first]?.sentence);
  const own =
    OWN.has(entry.stems[0] ?? '') ||
    before.some((token) => token !== undefined && OWN.has(token.stem));
  const after = first + entry.stems.length;
  const aside = isAside(tokens, { first, after, own, lastAfter: found.at(-1)?.after ?? null });
  const order = 1 / (1 + 0.25 * found.length);
  return (
    order *
    (own ? 1.5 : 1) *
    (aside ? 0.2 : 1) *
    (entry.broad ? 0.35 : 1) *
    (entry.stems.length > 1 ? 1.3 : 1)
  );
}

/** What a name weighs that the enquirer took back. */
const TAKEN_BACK = 0.1;

/** "Lupines, no, sorry, my roses": what was said before the pause after "no" is taken back. */
function isTakenBack(tokens: readonly Token[], after: number): boolean {
  return [0, 1, 2].some(
    (step) =>
      tokens[after + step]?.stem === 'no' &&
      tokens[after + step + 1]?.pauseBefore === true &&
      (step === 0 || SUPPORT_AFTER.has(tokens[after + step - 1]?.stem ?? '')),
  );
}

/** Words that put right what was just said: "a money tree, no, it's a jade". */
const IT_IS = stemSet("it its it's is thats that's theyre they're they be");
const CORRECTING = stemSet('no actually sorry wait rather mean oops nope');
/** So many words may stand between a name and the one that replaces it. */
const MAX_BETWEEN = 6;

/** A name that is replaced by the next one within the same breath. */
function isReplaced(tokens: readonly Token[], after: number, next: number | undefined): boolean {
  if (next === undefined || next - after > MAX_BETWEEN) return false;
  const between = tokens.slice(after, next);
  const at = between.findIndex(({ stem: one }) => CORRECTING.has(one));
  return at >= 0 && at < 3 && between.slice(at).some(({ stem: one }) => IT_IS.has(one));
}

const SIZES = stemSet('size sized shape shaped ish');
const SIZE = stem('size');
/** Parts of a plant that other things are likened to. */
const THINGS = stemSet('cone berry nut pod leaf flower blossom fruit seed grain');
const isThing = (token: Token | undefined): boolean => THINGS.has(token?.stem ?? '');

/** "Pea-size", "pine cone looking", "as big as walnuts", "the size of a pea": a name that describes how something looks, and no plant. */
function isMeasure(tokens: readonly Token[], first: number, after: number): boolean {
  const before = (step: number): string => tokens[first - step]?.stem ?? '';
  const [next, second] = [tokens[after], tokens[after + 1]];
  if (SIZES.has(next?.stem ?? '')) return true;
  // Not "oak leaves look" nor "oak leaves, like": these are the leaves of an oak.
  const likened = second?.word === 'looking' || SIZES.has(second?.stem ?? '');
  if (isThing(next) && second?.sentence === next?.sentence && likened) return true;
  const at = ['a', 'an'].includes(before(1)) ? 2 : 1;
  if (before(at) === 'as') return before(at + 2) === 'as';
  return before(at) === 'of' && before(at + 1) === SIZE;
}

const LIME = stem('lime');
/** Before "lime" as it comes in a bag. */
const MINERAL_BEFORE = stemSet(
  'much some add adding put putting spread apply applying need needs use using more garden ground pelletized hydrated dolomitic agricultural powdered bag bags of with any',
);
const MINERAL_AFTER = stemSet('do does should to on pellets powder spreader soil lawn bag it');

/** "How much lime do I put", "a bit of lime": what is spread, and no tree. */
function isMineral(tokens: readonly Token[], entry: NameEntry, first: number): boolean {
  if (entry.stems.length > 1 || entry.stems[0] !== LIME) return false;
  const before = tokens[first - 1];
  const next = tokens[first + 1];
  return (
    MINERAL_BEFORE.has(before?.stem ?? '') ||
    (next !== undefined && !next.pauseBefore && MINERAL_AFTER.has(next.stem))
  );
}

function longestAt(names: PlantNames, tokens: readonly Token[], i: number): NameEntry | null {
  const entries = names.byStem.get(tokens[i]?.stem ?? '');
  if (!entries) return null;
  const sentence = tokens[i]?.sentence;
  const fits = (entry: NameEntry): boolean =>
    entry.stems.every(
      (part, k) => tokens[i + k]?.stem === part && tokens[i + k]?.sentence === sentence,
    ) &&
    (!entry.ambiguous || supported(tokens, i, i + entry.stems.length)) &&
    !isMeasure(tokens, i, i + entry.stems.length) &&
    !isMineral(tokens, entry, i);
  return entries.find(fits) ?? null;
}

/** Tokens with misspelled plant names put right; places stay. `isWord` is true of words that are none. */
function spelled(
  { spell }: PlantNames,
  tokens: readonly Token[],
  isWord: (stem: string) => boolean,
): readonly Token[] {
  return tokens.map((token) => {
    const meant = isWord(token.stem)
      ? null
      : (spell(token.word) ?? spell(token.word.replace(/s$/, '')));
    return meant === null ? token : { ...token, stem: stem(meant) };
  });
}

/**
 * All plants named in the text, in its order; the longest name at each place. Words that the library knows
 * otherwise are not taken for misspelled names.
 */
export function findPlants(
  names: PlantNames,
  spoken: readonly Token[],
  isWord: (stem: string) => boolean = () => false,
): readonly PlantMention[] {
  const tokens = spelled(names, spoken, isWord);
  const found: (PlantMention & { readonly at: number; readonly after: number })[] = [];
  for (let i = 0; i < tokens.length;) {
    const entry = longestAt(names, tokens, i);
    if (!entry) {
      i++;
      continue;
    }
    const [first, last] = [tokens[i], tokens[i + entry.stems.length - 1]];
    if (first && last) {
      found.push({
        plant: entry.plant,
        weight:
          weigh(tokens, entry, i, found) *
          (isTakenBack(tokens, i + entry.stems.length) ? TAKEN_BACK : 1),
        start: first.start,
        end: last.end,
        at: i,
        after: i + entry.stems.length,
      });
    }
    i += entry.stems.length;
  }
  return found.map(({ plant, weight, start, end, after }, k) => {
    const replaced = isReplaced(tokens, after, found[k + 1]?.at);
    return { plant, weight: weight * (replaced ? TAKEN_BACK : 1), start, end };
  });
}

/** Plants of the text with their share of the evidence, the likeliest first. Shares sum to 1. */
export interface RankedPlant {
  readonly plant: PlantId;
  readonly confidence: number;
}

/**
 * Ranks the plants mentioned by confidence, 0 to 1. A group (tree, maple) passes its weight to a more special plant
 * of the same text that belongs to it ("a maple, the red Japanese kind").
 */
export function rankPlants(
  mentions: readonly PlantMention[],
  lineage: (id: PlantId) => readonly PlantId[],
): readonly RankedPlant[] {
  const weights = new Map<PlantId, number>();
  for (const { plant, weight } of mentions) weights.set(plant, (weights.get(plant) ?? 0) + weight);
  for (const [general, weight] of [...weights]) {
    const special = [...weights.keys()].find(
      (one) => one !== general && lineage(one).includes(general),
    );
    if (special === undefined) continue;
    weights.delete(general);
    weights.set(special, (weights.get(special) ?? 0) + weight);
  }
  const total = [...weights.values()].reduce((sum, weight) => sum + weight, 0);
  return [...weights]
    .map(([plant, weight]) => ({ plant, confidence: weight / total }))
    .sort((a, b) => b.confidence - a.confidence);
}
