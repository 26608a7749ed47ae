import { midSentence } from './midSentence.ts';

it.each([
  ['Rose sawfly larvae', 'rose sawfly larvae'],
  ['Japanese beetle', 'Japanese beetle'],
  ['Black leaf streak and Panama wilt', 'black leaf streak and Panama wilt'],
  ['St. Augustine grass', 'St. Augustine grass'],
  ['Rhizosphaera needle cast', 'Rhizosphaera needle cast'],
  ['', ''],
])('"%s" reads "%s"', (name, read) => {
  expect(midSentence(name)).toBe(read);
});
