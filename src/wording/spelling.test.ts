import { allInSpelling, inSpelling } from './spelling.ts';

it.each([
  ['Gray mold at the center.', 'Grey mould at the centre.'],
  ['the NEIGHBOR', 'the NEIGHBOUR'],
  ['fertilizer, 5 g to the square meter', 'fertiliser, 5 g to the square metre'],
  ['lime-sulfur', 'lime-sulphur'],
  ['parameters and moldings', 'parameters and moldings'],
  ['dry spots', 'dry spots'],
])('"%s" is "%s" in Britain', (us, gb) => {
  expect(inSpelling(us, 'gb')).toBe(gb);
  expect(inSpelling(us, 'us')).toBe(us);
});

it("spells the texts of an answer, but no ids and nobody's words", () => {
  const answer = {
    id: 'gray-mold',
    name: 'Gray mold',
    steps: [{ text: 'Cut the gray parts.', amount: null, value: 2 }],
    asked: 'is it Gray mold',
    scientificName: 'Botrytis',
  };
  expect(allInSpelling(answer, 'gb')).toEqual({
    ...answer,
    name: 'Grey mould',
    steps: [{ text: 'Cut the grey parts.', amount: null, value: 2 }],
  });
  expect(allInSpelling(answer, 'us')).toBe(answer);
});
