import { samePlace } from './samePlace.ts';

/** Texts with `|` for the caret. */
const moved = (before: string, after: string): string => {
  const at = samePlace(before.replace('|', ''), after, before.indexOf('|'));
  return `${after.slice(0, at)}|${after.slice(at)}`;
};

it.each([
  ['Gum on|', 'Gum on Planted', 'Gum on| Planted'],
  ['Gum on|', 'Plums. Gum on', 'Plums. Gum on|'],
  [
    'Plums. Gum on| last fall',
    'Red plums. Gum on bark last fall.',
    'Red plums. Gum on| bark last fall.',
  ],
  ['|Gum', 'Red gum', '|Red gum'],
  ['a leaf| fell', 'a twig fell', 'a twig| fell'],
  ['red rust, red| rot', 'red rust, or red rot', 'red rust, or red| rot'],
])('keeps the caret of %s in %s', (before, after, expected) => {
  expect(moved(before, after)).toBe(expected);
});
