import { drawFacts, factsOf } from './facts.ts';

const FILES = [
  {
    file: 'causes/fungus.yaml',
    text: '',
    content: [
      {
        id: 'leaf-blister',
        name: 'Leaf blister',
        hosts: { willow: 'very', poplar: 'less' },
        say: 'Blisters on leaves.',
        treatments: [{ use: 'rake', effect: 'useful' }],
        harm: { looks: 'slight' },
      },
    ],
  },
  { file: 'places/europe.yaml', text: '', content: [{ id: 'somewhere', when: 'spring' }] },
];

describe('facts', () => {
  it('are the items and pairs of each field, by what is seen and what is done', () => {
    const { seen, done } = factsOf(FILES);
    expect(seen).toEqual([
      { of: 'causes/leaf-blister hosts', states: 'willow: "very"' },
      { of: 'causes/leaf-blister hosts', states: 'poplar: "less"' },
    ]);
    expect(done.map(({ of }) => of)).toEqual([
      'causes/leaf-blister treatments',
      'causes/leaf-blister harm',
    ]);
  });

  it('are drawn once each, the same for the same seed', () => {
    const facts = Array.from({ length: 50 }, (_, i) => ({ of: `x/${i} hosts`, states: '' }));
    const drawn = drawFacts(facts, 20, 7);
    expect(new Set(drawn).size).toBe(20);
    expect(drawFacts(facts, 20, 7)).toEqual(drawn);
    expect(drawFacts(facts, 20, 8)).not.toEqual(drawn);
    expect(drawFacts(facts, 80, 7)).toHaveLength(50);
  });
});
