import { syllable } from 'syllable';
import { asRead, type KnowledgeIssue } from '../core/knowledge/faults.ts';
import type { ReadLibrary } from '../core/knowledge/read.ts';

/** Highest school grade at which texts for enquirers may read. */
const HIGHEST_GRADE = 9;
/** What stands on a label or is asked for by its name; it cannot be said in a shorter word. */
const NAMES =
  /\([^)]*\)|\b(bacillus|thuringiensis|subspecies|tenebrionis|galleriae|israelensis|subtilis|amyloliquefaciens|steinernema|carpocapsae|heterorhabditis|nematodes|chlorothalonil|myclobutanil|fungicide|insecticide|phosphate|ferric|fertilizer|magnesium|calcium|micronutrients|horticultural|caterpillars?|butterfly|butterflies|arborist)\b/gi;
/** Shorter texts are not judged: one long word decides their grade. */
const MIN_WORDS = 8;

/**
 * School grade of a text by the formula of J. P. Kincaid and others, "Derivation of New Readability Formulas",
 * Naval Technical Training Command, 1975 (recalled): 0.39 words a sentence + 11.8 syllables a word - 15.59.
 */
export function gradeOf(text: string): number {
  const sentences = Math.max(1, text.split(/[.!?;:]+(?:\s|$)/).filter((one) => one.trim()).length);
  const words = text.replace(NAMES, 'name').match(/[A-Za-z][A-Za-z'’-]*/g) ?? [];
  const count = Math.max(1, words.length);
  return (0.39 * count) / sentences + (11.8 * syllable(words.join(' '))) / count - 15.59;
}

/** Texts of a library that are read to enquirers: id, field, text. */
function textsOf({ library }: ReadLibrary): readonly (readonly [string, string, string])[] {
  return [
    ...library.findings.flatMap(({ id, question, how }) => [
      [id, 'question', question] as const,
      [id, 'how', how ?? ''] as const,
    ]),
    ...library.causes.flatMap(({ id, say, expect, leave }) => [
      [id, 'say', say] as const,
      [id, 'expect', expect ?? ''] as const,
      [id, 'leave', leave ?? ''] as const,
    ]),
    ...library.treatments.map(({ id, text }) => [id, 'text', text] as const),
    ...library.careTopics.flatMap(({ id, say, steps }) => [
      [id, 'say', say] as const,
      ...steps.map(({ text }) => [id, 'steps', text] as const),
    ]),
  ];
}

/** Texts that read harder than the ninth grade. */
export function checkReadability(read: ReadLibrary): readonly KnowledgeIssue[] {
  return textsOf(read).flatMap(([id, field, text]) => {
    const grade = gradeOf(text);
    if (text.split(/\s+/).length < MIN_WORDS || grade <= HIGHEST_GRADE) return [];
    const message = `reads at grade ${grade.toFixed(1)}; ${HIGHEST_GRADE} at most, with shorter words or sentences: "${text}"`;
    return [{ file: read.fileOf.get(id) ?? '(unknown file)', id, field, fault: asRead(message) }];
  });
}
