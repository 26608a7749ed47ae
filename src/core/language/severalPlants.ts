import type { PlantId } from '../knowledge/schema/common.ts';
import { hear, heardTokens, type Ear } from './hear.ts';
import { findPlants, type PlantMention } from './plantNames.ts';
import { LONGEST_TEXT, type Token } from './tokens.ts';

/** What a message says of one of its plants. */
export interface PlantPart {
  readonly plant: PlantId;
  /** The sentences about it, as they stand in the message. */
  readonly words: string;
}

/** A plant said with less weight is scenery: what it stands under, beside or looks like. */
const LEAST_WEIGHT = 0.3;

interface Sentence {
  readonly text: string;
  readonly mentions: readonly PlantMention[];
}

/** Sentences with their plants; each is weighed by itself, as which came first in the message does not matter. */
function sentencesOf(ear: Ear, text: string): readonly Sentence[] {
  const bySentence: Token[][] = [];
  for (const token of heardTokens(text)) {
    const own = bySentence.at(-1);
    if (own?.[0]?.sentence === token.sentence) own.push(token);
    else bySentence.push([token]);
  }
  return bySentence.map((tokens, i): Sentence => {
    const from = i === 0 ? 0 : (tokens[0]?.start ?? 0);
    const to = bySentence[i + 1]?.[0]?.start ?? text.length;
    const mentions = findPlants(ear.plantNames, tokens, (one) => ear.phraseUses.has(one));
    return { text: text.slice(from, to), mentions };
  });
}

/** The plant that a sentence is about; null when it goes on about the one before. */
function subjectOf({ mentions }: Sentence): PlantId | null {
  const [first] = [...mentions]
    .filter(({ weight }) => weight >= LEAST_WEIGHT)
    .sort((a, b) => b.weight - a.weight);
  return first?.plant ?? null;
}

/** A general name and its kind ("the maple", "our Japanese maple") are one plant. */
function sameAs(ear: Ear, plant: PlantId, known: readonly PlantId[]): PlantId | undefined {
  return known.find((one) => ear.lineage(one).includes(plant) || ear.lineage(plant).includes(one));
}

/**
 * Takes a message about several plants apart, sentence by sentence: each belongs to the plant it names, or else to
 * the plant of the sentence before. A plant of which nothing is reported stays with the one before it. Every word of
 * the text is in one part; fewer than two parts mean that it is about one plant.
 */
export function partByPlant(ear: Ear, text: string): readonly PlantPart[] {
  if (text.length > LONGEST_TEXT) return [];
  const parts: { plant: PlantId; words: string }[] = [];
  let before = '';
  let current: { plant: PlantId; words: string } | undefined;
  for (const sentence of sentencesOf(ear, text)) {
    const subject = subjectOf(sentence);
    const known = parts.map(({ plant }) => plant);
    const same = subject === null ? current?.plant : sameAs(ear, subject, known);
    const tells = (): boolean =>
      subject !== null && hear(ear, sentence.text, subject).findings.length > 0;
    const found = parts.find(({ plant }) => plant === same);
    if (found) current = found;
    else if (subject !== null && (parts.length === 0 || tells())) {
      current = { plant: subject, words: before };
      before = '';
      parts.push(current);
    }
    if (current) current.words += sentence.text;
    else before += sentence.text;
  }
  return parts.length < 2 ? [] : parts.map(({ plant, words }) => ({ plant, words: words.trim() }));
}
