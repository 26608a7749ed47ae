import type { PlantId } from '../knowledge/schema/common.ts';
import { hear, type Ear } from './hear.ts';
import { findPlants, type PlantMention } from './plantNames.ts';
import { LONGEST_TEXT, tokenize, type Token } from './tokens.ts';

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

function sentencesOf(text: string, tokens: readonly Token[], mentions: readonly PlantMention[]) {
  const starts = tokens
    .filter((token, i) => token.sentence !== tokens[i - 1]?.sentence)
    .map(({ start }) => start);
  return starts.map((start, i): Sentence => {
    const from = i === 0 ? 0 : start;
    const to = starts[i + 1] ?? text.length;
    return {
      text: text.slice(from, to),
      mentions: mentions.filter((one) => one.start >= from && one.end <= to),
    };
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
  const tokens = tokenize(text);
  // Each sentence is weighed by itself: which plant came first in the message does not matter.
  const mentions = tokens
    .filter((token, i) => token.sentence !== tokens[i - 1]?.sentence)
    .flatMap(({ sentence }) =>
      findPlants(
        ear.plantNames,
        tokens.filter((token) => token.sentence === sentence),
        (one) => ear.phraseUses.has(one),
      ),
    );
  const parts: { plant: PlantId; words: string }[] = [];
  let before = '';
  let current: { plant: PlantId; words: string } | undefined;
  for (const sentence of sentencesOf(text, tokens, mentions)) {
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
