import type { Calculator, MeasureFault, Worked } from '../../../core/measures/calculator.ts';
import { readMeasure, type ReadFault } from '../../../core/measures/readMeasure.ts';
import { MEASURE_WORDS } from '../../../wording/measureWords.ts';

/** What stands in each blank, as it was typed. */
export type Typed = Readonly<Record<string, string>>;

/** What the blanks come to. */
export interface Reckoned {
  readonly results: readonly Worked[] | null;
  /** Faults of single blanks, by the name of the blank. */
  readonly faults: Readonly<Record<string, ReadFault | MeasureFault>>;
}

/** What is in the blanks at first, in the units of the place. */
export function usualOf({ id }: Pick<Calculator, 'id'>, isUs: boolean): Typed {
  const usual = MEASURE_WORDS[id]?.usual ?? {};
  return Object.fromEntries(
    Object.entries(usual).map(([name, [us, metric]]) => [name, isUs ? us : metric]),
  );
}

/** Reads the blanks and works out what they come to; faults where a blank is not understood or makes no sense. */
export function reckon(calculator: Calculator, typed: Typed, isUs: boolean): Reckoned {
  const values: Record<string, number | string> = {};
  const faults: Record<string, ReadFault | MeasureFault> = {};
  for (const [name, input] of Object.entries(calculator.inputs)) {
    const text = typed[name] ?? '';
    if (text.trim() === '') continue;
    if (input.kind === 'choice') {
      values[name] = text;
      continue;
    }
    const read = readMeasure(text, input.dimension, isUs);
    if (read.ok) values[name] = read.value;
    else faults[name] = read.error;
  }
  if (Object.keys(faults).length > 0) return { results: null, faults };
  const run = calculator.run(values);
  return run.ok
    ? { results: run.value, faults }
    : { results: null, faults: { [run.error.input]: run.error } };
}

/** A piece of a sentence: words, or the name of what stands in a blank. */
export type Piece = { readonly text: string } | { readonly blank: string };

/** A sentence cut at its blanks: "The pot is {width} wide." */
export function piecesOf(sentence: string): readonly Piece[] {
  return sentence
    .split(/(\{[^}]+\})/)
    .filter((piece) => piece !== '')
    .map((piece) => (piece.startsWith('{') ? { blank: piece.slice(1, -1) } : { text: piece }));
}
