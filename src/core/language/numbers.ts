const UNITS: Readonly<Record<string, number>> = {
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
  eleven: 11,
  twelve: 12,
  fifteen: 15,
  eighteen: 18,
};
const TENS: Readonly<Record<string, number>> = {
  twenty: 20,
  thirty: 30,
  forty: 40,
  fifty: 50,
  sixty: 60,
  seventy: 70,
  eighty: 80,
  ninety: 90,
};
const VAGUE: Readonly<Record<string, number>> = {
  a: 1,
  an: 1,
  'a couple': 2,
  'a couple of': 2,
  'a few': 3,
  several: 4,
  'a hundred': 100,
  'one hundred': 100,
};

const DIGITS = String.raw`\d{1,3}(?:,\d{3})+|\d{1,2} \d\/\d{1,2}|\d\/\d{1,2}|\d{1,5}(?:\.\d{1,3})?`;
const SMALL = Object.keys(UNITS).join('|');
const WORDS = `(?:${Object.keys(TENS).join('|')})(?:[- ](?:one|two|three|four|five|six|seven|eight|nine))?|(?:a|one) hundred|${SMALL}`;

/** Numbers that are said to the unit, as part of a pattern: digits, fractions, words, an article. */
export const EXACT_NUMBER_PATTERN = String.raw`(?:${DIGITS}|${WORDS}|an?\b)(?: and a half)?`;

/** The same with what is said roughly: "a few", "several". */
export const NUMBER_PATTERN = String.raw`a couple(?: of)?|a few|several|${EXACT_NUMBER_PATTERN}`;

const HALF = ' and a half';

/** "1 1/2", "3/4", "1,000". */
function ofDigits(said: string): number {
  const [whole = '', fraction] = said.includes('/')
    ? [said.replace(/\s*\d\/\d+$/, ''), /(\d)\/(\d+)$/.exec(said)]
    : [said];
  const part = fraction ? Number(fraction[1]) / Number(fraction[2]) : 0;
  return Number(whole.replaceAll(',', '')) + part;
}

/**
 * Value of a number in digits or English words, fractions included ("1 1/2", "two and a half"). Returns NaN when the
 * text is no number.
 */
export function numberOf(said: string): number {
  const word = said.toLowerCase();
  if (word.endsWith(HALF)) return numberOf(word.slice(0, -HALF.length)) + 0.5;
  const known = UNITS[word] ?? TENS[word] ?? VAGUE[word];
  if (known !== undefined) return known;
  const [tens = '', units = ''] = word.split(/[- ]/);
  const [ten, unit] = [TENS[tens], UNITS[units]];
  return ten !== undefined && unit !== undefined ? ten + unit : ofDigits(word);
}
