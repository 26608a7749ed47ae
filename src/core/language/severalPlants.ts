import type { PlantId } from '../schema/common.ts';
import { extract, stemmedTokens, type LanguageContext } from './extract.ts';
import { findPlants, type PlantMention } from './plantNames.ts';
import { stemSet } from './stem.ts';
import { MAX_TEXT, type Token } from './tokens.ts';

/** What a message says of one of its plants. */
export interface PlantPart {
  readonly plant: PlantId;
  /** The sentences about it, as they stand in the message. */
  readonly words: string;
}

/** A plant said with less weight is scenery: what it stands under, beside or looks like. */
const MIN_WEIGHT = 0.3;

interface Sentence {
  readonly text: string;
  readonly mentions: readonly PlantMention[];
}

const plantsIn = (
  languageContext: LanguageContext,
  tokens: readonly Token[],
): readonly PlantMention[] =>
  findPlants(languageContext.plantNames, tokens, (one) => languageContext.phraseUses.has(one));

/** Sentences with their plants; each is weighed by itself, as which came first in the message does not matter. */
function sentencesOf(languageContext: LanguageContext, text: string): readonly Sentence[] {
  const bySentence: Token[][] = [];
  for (const token of stemmedTokens(text)) {
    const own = bySentence.at(-1);
    if (own?.[0]?.sentence === token.sentence) own.push(token);
    else bySentence.push([token]);
  }
  return bySentence.flatMap((tokens, i): readonly Sentence[] => {
    const from = i === 0 ? 0 : (tokens[0]?.start ?? 0);
    const to = bySentence[i + 1]?.[0]?.start ?? text.length;
    const own = text.slice(from, to);
    return text.length > MAX_MESSAGE
      ? [{ text: own, mentions: plantsIn(languageContext, tokens) }]
      : clausesOf(languageContext, own, tokens, from);
  });
}

/** Clauses about a plant each are looked for in messages of so many characters, and there in sentences of so many words. */
const MAX_MESSAGE = 20_000;
const MAX_SENTENCE = 60;
const JOINS = stemSet('and but while whereas');
/** So many words may stand between such a word, or a comma, and the name: "and our old red maple". */
const FURTHEST = 4;

/** Where the clause of a name begins: at a word that joins or after a comma; null where neither stands near. */
function clauseStart(tokens: readonly Token[], name: number): number | null {
  for (let i = name; i >= Math.max(1, name - FURTHEST); i--)
    if (tokens[i]?.pauseBefore === true || JOINS.has(tokens[i]?.stem ?? '')) return i;
  return null;
}

/** A sentence apart where each of its clauses reports of a plant of its own: "the spruce is brown and my maple has spots". Spans of `tokens` count from the whole text, of which the sentence begins at `from`. */
function clausesOf(
  languageContext: LanguageContext,
  text: string,
  tokens: readonly Token[],
  from: number,
): readonly Sentence[] {
  const mentions = plantsIn(languageContext, tokens);
  const strong = mentions.filter(({ weight }) => weight >= MIN_WEIGHT);
  if (strong.length < 2 || tokens.length > MAX_SENTENCE) return [{ text, mentions }];
  for (const { start } of strong.slice(1)) {
    const name = tokens.findIndex((token) => token.start === start);
    const at = clauseStart(tokens, name);
    if (at === null) continue;
    const [before, after] = [tokens.slice(0, at), tokens.slice(at)];
    const cut = after[0]?.start ?? from;
    const first = { text: text.slice(0, cut - from), mentions: plantsIn(languageContext, before) };
    const rest = { text: text.slice(cut - from), mentions: plantsIn(languageContext, after) };
    if (reports(languageContext, first) && reports(languageContext, rest))
      return [first, ...clausesOf(languageContext, rest.text, after, cut)];
  }
  return [{ text, mentions }];
}

/** Whether something is reported of the plant that a sentence is about. */
function reports(languageContext: LanguageContext, sentence: Sentence): boolean {
  const subject = subjectOf(sentence);
  return subject !== null && extract(languageContext, sentence.text, subject).findings.length > 0;
}

/** The plant that a sentence is about; null when it goes on about the one before. */
function subjectOf({ mentions }: Sentence): PlantId | null {
  const [first] = [...mentions]
    .filter(({ weight }) => weight >= MIN_WEIGHT)
    .sort((a, b) => b.weight - a.weight);
  return first?.plant ?? null;
}

/** A general name and its kind ("the maple", "our Japanese maple") are one plant. */
function sameAs(
  languageContext: LanguageContext,
  plant: PlantId,
  known: readonly PlantId[],
): PlantId | undefined {
  return known.find(
    (one) =>
      languageContext.lineage(one).includes(plant) || languageContext.lineage(plant).includes(one),
  );
}

/**
 * Splits a message about several plants by sentence, or by clause where each clause reports on another plant: each
 * belongs to the plant it names, else to the plant before. Every character of the text is in exactly one part; fewer
 * than two parts mean one plant. Each part takes the plant of highest probability.
 */
export function partByPlant(languageContext: LanguageContext, text: string): readonly PlantPart[] {
  if (text.length > MAX_TEXT) return [];
  const parts: { plant: PlantId; words: string }[] = [];
  let before = '';
  let current: { plant: PlantId; words: string } | undefined;
  for (const sentence of sentencesOf(languageContext, text)) {
    const subject = subjectOf(sentence);
    const known = parts.map(({ plant }) => plant);
    const same = subject === null ? current?.plant : sameAs(languageContext, subject, known);
    const found = parts.find(({ plant }) => plant === same);
    if (found) current = found;
    else if (subject !== null && (parts.length === 0 || reports(languageContext, sentence))) {
      current = { plant: subject, words: before };
      before = '';
      parts.push(current);
    }
    if (current) current.words += sentence.text;
    else before += sentence.text;
  }
  return parts.length < 2 ? [] : parts.map(({ plant, words }) => ({ plant, words: words.trim() }));
}
