import { tabTitle, tabTitles } from './tabTitle.ts';

it.each([
  ['the plant that was heard', 'my roses have spots', null, 'Rose', 'Rose'],
  ['the plant that was chosen', 'my maple has spots', 'red-maple', null, 'red maple'],
  ['the first words', 'My maple has spots all over', null, null, 'My maple has spots'],
  ['no joining word', 'and my red maple has spots', null, null, 'my red maple has'],
  ['no greeting', 'Hello,\nmy name is Olive Marsh. Spots here.', null, null, 'Spots here'],
  ['its number when nothing was said', ' ', null, null, 'Plant 3'],
])('takes %s', (_, words, plant, name, title) => {
  expect(tabTitle({ words, plant, name, position: 2 })).toBe(title);
});

it('tells plants of one name apart', () => {
  const rose = { words: '', plant: null, name: 'Rose' };
  expect(tabTitles([rose, { ...rose, name: 'Lilac' }, rose, rose])).toEqual([
    'Rose',
    'Lilac',
    'Rose 2',
    'Rose 3',
  ]);
});
