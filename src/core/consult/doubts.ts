import { oddAmounts, type OddAmount, type SaidAmount } from '../language/amounts.ts';
import { mixedUpLengths, oddLengths, type SaidLength } from '../language/measures.ts';

/** Measures that are out of proportion or do not agree, in the words that were said. */
export type MeasureDoubt =
  | { readonly code: 'mixed-units'; readonly said: readonly [string, string] }
  | { readonly code: 'odd-length'; readonly said: string; readonly thing: string }
  | OddAmount;

/** Measures in the words that are asked back; `amounts` are those that were read from them. */
export function doubtfulMeasures(
  words: string,
  amounts: readonly SaidAmount[],
): readonly MeasureDoubt[] {
  const said = ({ span }: SaidLength): string => words.slice(span.start, span.end);
  return [
    ...mixedUpLengths(words).map(([a, b]): MeasureDoubt => ({
      code: 'mixed-units',
      said: [said(a), said(b)],
    })),
    ...oddLengths(words).map(({ length, thing }): MeasureDoubt => ({
      code: 'odd-length',
      said: said(length),
      thing,
    })),
    ...oddAmounts(amounts, words),
  ];
}
