import { indexAt } from '../util/entryAt.ts';
import type { Token } from './tokens.ts';

/** A term stands nowhere in the sentence, or more than once. */
export const NOWHERE = -1;
export const SEVERAL = -2;

/**
 * Which terms of many thousands stand in the sentence that was read last. The words of the sentence are marked, which are few, and
 * not the terms that they belong to, which are many; a term looks whether one of its words is marked.
 */
export class Presence {
  readonly #numberOf = new Map<string, number>();
  /** Words of term t: from `starts[t]` up to `starts[t + 1]`. */
  readonly #words: Int32Array;
  readonly #starts: Int32Array;
  readonly #stamps: Int32Array;
  readonly #firsts: Int32Array;
  readonly #lasts: Int32Array;
  /** Of the sentence; what goes without saying bears the one below it. */
  #stamp = 0;

  /** Terms are sets of stems, and have the numbers of their places. */
  constructor(terms: readonly ReadonlySet<string>[]) {
    const words: number[] = [];
    this.#starts = new Int32Array(terms.length + 1);
    terms.forEach((term, t) => {
      for (const word of term) {
        const number = this.#numberOf.get(word) ?? this.#numberOf.size;
        this.#numberOf.set(word, number);
        words.push(number);
      }
      this.#starts[t + 1] = words.length;
    });
    this.#words = Int32Array.from(words);
    const count = this.#numberOf.size;
    this.#stamps = new Int32Array(count);
    this.#firsts = new Int32Array(count);
    this.#lasts = new Int32Array(count);
  }

  /** Reads the words from one position up to another; `understood` go without saying. */
  read(tokens: readonly Token[], from: number, to: number, understood: ReadonlySet<string>): void {
    this.#stamp += 2;
    for (const word of understood) {
      const number = this.#numberOf.get(word);
      if (number !== undefined) this.#stamps[number] = this.#stamp - 1;
    }
    for (let i = from; i < to; i++) {
      const number = this.#numberOf.get(tokens[i]?.stem ?? '');
      if (number === undefined) continue;
      if (this.#stamps[number] !== this.#stamp) this.#firsts[number] = i;
      this.#lasts[number] = i;
      this.#stamps[number] = this.#stamp;
    }
  }

  /** Whether a term stands in the sentence or goes without saying. */
  isMeant(term: number): boolean {
    const end = indexAt(this.#starts, term + 1);
    for (let k = indexAt(this.#starts, term); k < end; k++)
      if (indexAt(this.#stamps, indexAt(this.#words, k)) >= this.#stamp - 1) return true;
    return false;
  }

  /** Where a term stands if it stands once, or else {@link NOWHERE} or {@link SEVERAL}. */
  placeOf(term: number): number {
    const end = indexAt(this.#starts, term + 1);
    let place = NOWHERE;
    for (let k = indexAt(this.#starts, term); k < end; k++) {
      const word = indexAt(this.#words, k);
      if (this.#stamps[word] !== this.#stamp) continue;
      if (place !== NOWHERE || this.#firsts[word] !== this.#lasts[word]) return SEVERAL;
      place = this.#firsts[word] ?? NOWHERE;
    }
    return place;
  }
}
