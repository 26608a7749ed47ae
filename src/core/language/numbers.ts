const NUMBERS: Readonly<Record<string, number>> = {
  one: 1,
  two: 2,
  three: 3,
  four: 4,
  five: 5,
  six: 6,
  seven: 7,
  eight: 8,
  nine: 9,
  ten: 10,
  twelve: 12,
  fifteen: 15,
  twenty: 20,
  thirty: 30,
};

/** Numbers that are said, as part of a pattern: digits or words. */
export const NUMBER_PATTERN =
  '\\d{1,5}(?:\\.\\d{1,3})?|a couple(?: of)?|a few|several|an?|one|two|three|four|five|six|seven|eight|nine|ten|twelve|fifteen|twenty|thirty';

const VAGUE: Readonly<Record<string, number>> = {
  a: 1,
  an: 1,
  'a couple': 2,
  'a couple of': 2,
  'a few': 3,
  several: 4,
};

/**
 * Value of a number in digits or English words, fractions included ("two and a half"). Returns NaN when the text is
 * no number.
 */
export function numberOf(said: string): number {
  const word = said.toLowerCase();
  return NUMBERS[word] ?? VAGUE[word] ?? Number(word);
}
