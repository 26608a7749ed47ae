import fc from 'fast-check';
import { withoutBoilerplate, boilerplateSpans } from './boilerplate.ts';

it('leaves out greeting, quotation, closing and signature of a letter', () => {
  const letter = `Dear Heather,

The hosta leaves have holes.
They get worse each night.

Kind regards,
Olive Marsh
12 Cherry Lane, Larkspur Quay
555 0142 778

On Tue, 9 June 2026 the clinic wrote:
> Are there slugs on the lettuce?`;
  expect(withoutBoilerplate(letter)).toBe(
    'The hosta leaves have holes. They get worse each night.',
  );
});

it.each([
  ['My name is Rose Miller and my tomatoes wilt', 'and my tomatoes wilt'],
  ['This is Ivy calling about a fern', 'calling about a fern'],
  ['This is a fern', 'This is a fern'],
  ['Call me at 207-555-0142, the elm is yellow', 'Call me at , the elm is yellow'],
  ['We live at 12 Cherry Lane and the lawn is brown', 'We live at and the lawn is brown'],
  ['write to olive.marsh@example.org about the pear', 'write to about the pear'],
  ['spots of 2 3 or 4 inches', 'spots of 2 3 or 4 inches'],
  ['Thanks for the help with the rose, it still has spots', undefined],
  ['The lawn dies.\n-- \nElm Street Garden Club', 'The lawn dies.'],
  ['The lawn dies.\n--- Original message ---\nRoses too', 'The lawn dies.'],
  ['The lawn dies.\nSent from my telephone', 'The lawn dies.'],
])('of "%s" hears "%s"', (text, heard = text) => {
  expect(withoutBoilerplate(text)).toBe(heard);
});

it('gives spans inside the text, in order and apart, for any text', () => {
  const piece = fc.oneof(
    fc.string({ unit: 'binary' }),
    fc.constantFrom('\n', '> ', '-- \n', 'Thanks,\n', ' 555 0142 778 ', 'my name is Rose '),
  );
  fc.assert(
    fc.property(fc.array(piece), (pieces) => {
      const text = pieces.join('');
      let at = 0;
      for (const { start, end } of boilerplateSpans(text)) {
        if (start < at || end < start || end > text.length) return false;
        at = end;
      }
      return true;
    }),
  );
});
