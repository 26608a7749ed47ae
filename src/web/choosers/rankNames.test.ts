import { library } from '../../../tests/support/wholeLibrary.ts';
import { makeNameSearch } from './rankNames.ts';

const search = makeNameSearch(
  [...library.plants.values()].map(({ id, name, scientific, names, ambiguous }) => ({
    ...{ id, name, scientific: scientific ?? null, names: [...names, ...ambiguous] },
  })),
);

// As an advisor types them; what Enter takes is the first.
it.each([
  ['rose', 'Rose'],
  ['roses', 'Rose'],
  ['apple', 'Apple'],
  ['pear', 'Pear'],
  ['pea', 'Pea'],
  ['oak', 'Oak'],
  ['ash', 'Ash'],
  ['elm', 'Elm'],
  ['fir', 'Fir'],
  ['yew', 'Yew'],
  ['fig', 'Fig'],
  ['lily', 'Lily'],
  ['plum', 'Plum'],
  ['cherry', 'Cherry'],
  ['peach', 'Peach'],
  ['grape', 'Grape'],
  ['onion', 'Onion'],
  ['corn', 'Sweet corn'],
  ['bean', 'Bean'],
  ['beet', 'Beet'],
  ['maple', 'Maple'],
  ['pine', 'Pine'],
  ['iris', 'Iris'],
  ['mint', 'Mint'],
  ['fern', 'Fern'],
  ['palm', 'Palm'],
  ['lime', 'Lime'],
  ['olive', 'Olive'],
  ['quince', 'Quince'],
  ['melon', 'Melon'],
  ['tomatoes', 'Tomato'],
  ['hydrangea', 'Hydrangea'],
  ['acer palmatum', 'Japanese maple'],
  ['japanese m', 'Japanese maple'],
  ['lawn', 'Lawn'],
  ['hydranga', 'Hydrangea'],
  ['rhodedendron', 'Rhododendron'],
])('"%s" takes %s', (typed, wanted) => {
  expect(search(typed)[0]?.name).toBe(wanted);
});

it('takes a plant that is typed by its own name, whatever the plant', () => {
  const own = [...library.plants.values()].filter(({ name }) => search(name)[0]?.name !== name);
  expect(own.map(({ name }) => name)).toEqual([]);
});

it('lists a plant once, says by which name it was found, and all by name where nothing is typed', () => {
  const found = search('rose').map(({ id }) => id);
  expect(new Set(found).size).toBe(found.length);
  expect(search('monstera')[0]).toMatchObject({ name: 'Swiss cheese plant', by: 'monstera' });
  expect(search(' ').map(({ id }) => id)).toHaveLength(library.plants.size);
  expect(search('qqqq')).toEqual([]);
});
