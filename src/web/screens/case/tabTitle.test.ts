import { tabTitle } from './tabTitle.ts';

it.each([
  ['the plant that was chosen', 'my maple has spots', 'red-maple', 'red maple'],
  ['the first words', 'My maple has spots all over', null, 'My maple has spots'],
  ['no joining word', 'and my red maple has spots', null, 'my red maple has'],
  ['no greeting and no name', 'Hello,\nmy name is Olive Marsh. Spots here.', null, 'Spots here'],
  ['its number when nothing was said', ' ', null, 'Plant 3'],
])('takes %s', (_, words, plant, title) => {
  expect(tabTitle(words, plant, 2)).toBe(title);
});
