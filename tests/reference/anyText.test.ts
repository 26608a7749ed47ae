import fc from 'fast-check';
import { library } from '../support/wholeLibrary.ts';
import { makeLanguageContext } from '../../src/core/library/languageContext.ts';
import { saidAmounts } from '../../src/core/language/amounts.ts';
import { extract } from '../../src/core/language/extract.ts';
import { mixedUpLengths, oddLengths } from '../../src/core/language/measures.ts';
import { partByPlant } from '../../src/core/language/severalPlants.ts';
import { saidSizes } from '../../src/core/language/sizes.ts';
import { readLabel } from '../../src/core/measures/label/readLabel.ts';
import { reportIn } from '../../src/core/measures/report/readReport.ts';
import { saidSum } from '../../src/core/measures/saidSum.ts';
import { MAX_TEXT } from '../../src/core/language/tokens.ts';
import { withoutBoilerplate } from '../../src/core/language/boilerplate.ts';
import { dayOf } from '../../src/core/timing/calendar.ts';

const languageContext = makeLanguageContext(library);

const said = fc.constantFrom(
  ...'my rose leaves have no yellow spots but . , - the tomato wilts 🌹 שלום three 5 feet > @ \n'.split(
    ' ',
  ),
);
const anyText = fc.oneof(
  fc.string({ unit: 'binary', maxLength: 300 }),
  fc.array(said, { maxLength: 80 }).map((words) => words.join(' ')),
);

it('marks places inside the text, whatever it is, and always the same ones', () => {
  fc.assert(
    fc.property(anyText, (text) => {
      const heard = extract(languageContext, text);
      const inside = heard.findings.every(
        ({ span: { start, end }, sure }) =>
          0 <= start && start < end && end <= text.length && sure > 0 && sure <= 1,
      );
      const once = new Set(heard.findings.map(({ finding }) => finding));
      return (
        inside &&
        once.size === heard.findings.length &&
        JSON.stringify(extract(languageContext, text)) === JSON.stringify(heard)
      );
    }),
    { numRuns: 150 },
  );
});

it('loses no word when a message is taken apart by plant', () => {
  const letters = (text: string): string => text.replace(/\s/g, '').split('').sort().join('');
  fc.assert(
    fc.property(anyText, (text) => {
      const parts = partByPlant(languageContext, text);
      return (
        parts.length === 0 || letters(parts.map(({ words }) => words).join('')) === letters(text)
      );
    }),
    { numRuns: 150 },
  );
});

it.each([
  ['one letter', 'a'.repeat(MAX_TEXT)],
  ['digits', '1 '.repeat(MAX_TEXT / 2)],
  ['denials', 'no not never '.repeat(MAX_TEXT / 13)],
  ['spots', 'brown spots on the leaves '.repeat(MAX_TEXT / 26)],
  ['quotes', '> on it wrote:\n'.repeat(MAX_TEXT / 15)],
  ['points', '.'.repeat(MAX_TEXT)],
])('comes to an end with 100 kB of %s', (_, text) => {
  expect(extract(languageContext, text).findings.length).toBeLessThan(40);
  expect(oddLengths(text).length).toBeLessThan(MAX_TEXT);
});

describe('reading takes no longer a character in a long text', () => {
  const SHORT = 5000;
  const TIMES_LONGER = 4;
  /** Far from linear (4) and from quadratic growth (16), for a machine that is shared. */
  const MAX_GROWTH = 12;
  const SLACK_MS = 150;
  const asked = { today: dayOf(2026, 6, 13), south: false, fahrenheit: true };

  /** Of this process alone: what else the machine does takes none of it. */
  const cpuMs = (since: NodeJS.CpuUsage): number => {
    const { user, system } = process.cpuUsage(since);
    return (user + system) / 1000;
  };

  function bestOfThree(text: string): number {
    const times = [1, 2, 3].map(() => {
      const begun = process.cpuUsage();
      extract(languageContext, text);
      withoutBoilerplate(text);
      oddLengths(text);
      mixedUpLengths(text);
      saidAmounts(text, asked);
      saidSizes(text, true);
      reportIn(`soil test: phosphorus ${text}`);
      saidSum(`mulch, 20 lb ${text}`, true);
      readLabel(`20 ml of ${text}`);
      return cpuMs(begun);
    });
    return Math.min(...times);
  }

  it.each([
    ['newlines', '\n'],
    ['Windows line ends', '\r\n'],
    ['spaces', ' '],
    ['tabs', '\t'],
    ['colons', ': '],
    ['nutrients without a number', 'phosphorus is '],
    ['rates without an end', '5 oz of '],
    ['quotes', '"'],
    ['quoted lines', '> \n'],
    ['one long word', 'a'],
    ['short lines', '1\n'],
    ['closings of letters', 'thanks\n'],
    ['lengths', '5 inch '],
    ['two units', '5 inch 5 feet '],
    ['telephone numbers', '555 01 '],
    ['addresses of mail', 'a@b.'],
    ['mixed scripts', 'aж木🌹 '],
    ['names', 'Ab Cd '],
    ['one word said again and again', 'spots '],
  ])('%s', (_what, piece) => {
    const text = (characters: number): string => piece.repeat(characters / piece.length);
    const [short, long] = [text(SHORT), text(SHORT * TIMES_LONGER)].map(bestOfThree);
    expect(long).toBeLessThan((short ?? 0) * MAX_GROWTH + SLACK_MS);
  });
});
