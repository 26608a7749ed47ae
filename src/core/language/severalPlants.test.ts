import { miniLibrary } from '../../test/miniLibrary.ts';
import { makeLanguageContext } from '../library/languageContext.ts';
import { partByPlant } from './severalPlants.ts';

const languageContext = makeLanguageContext(
  miniLibrary(
    [
      { id: 'spots', extra: { phrases: ['spot|spots'] } },
      { id: 'wilt', extra: { phrases: ['wilt|wilts'] } },
    ],
    [
      {
        id: 'blight',
        findings: { spots: 'usual', wilt: 'often' },
        extra: { hosts: { rose: 'usual', tomato: 'usual', maple: 'usual' } },
      },
    ],
    {
      'plants/b.yaml': [
        { id: 'rose', name: 'Rose', source: 'judgement' },
        { id: 'tomato', name: 'Tomato', source: 'judgement' },
        { id: 'maple', name: 'Maple', rank: 'genus', source: 'judgement' },
        { id: 'red-maple', name: 'Red maple', parents: ['maple'], source: 'judgement' },
      ],
    },
  ),
);
const parts = (text: string): [string, string][] =>
  partByPlant(languageContext, text).map(({ plant, words }) => [plant, words]);

it('gives each plant its sentences, also those that only go on', () => {
  expect(
    parts('Hello there. My roses have spots. They are old. The tomatoes wilt. It is hot here.'),
  ).toEqual([
    ['rose', 'Hello there. My roses have spots. They are old.'],
    ['tomato', 'The tomatoes wilt. It is hot here.'],
  ]);
});

it('takes a sentence apart that reports of two plants', () => {
  expect(parts('Well, my roses have spots and our red maple wilts. It is hot here.')).toEqual([
    ['rose', 'Well, my roses have spots'],
    ['red-maple', 'and our red maple wilts. It is hot here.'],
  ]);
  expect(parts('Roses have spots, tomatoes wilt and the maple has spots')).toEqual([
    ['rose', 'Roses have spots,'],
    ['tomato', 'tomatoes wilt'],
    ['maple', 'and the maple has spots'],
  ]);
  expect(parts('My roses and my tomatoes have spots.')).toEqual([]);
});

it('comes back to a plant', () => {
  expect(parts('My roses have spots. The tomatoes wilt. The roses wilt too.')).toEqual([
    ['rose', 'My roses have spots. The roses wilt too.'],
    ['tomato', 'The tomatoes wilt.'],
  ]);
});

it.each([
  ['one plant', 'My roses have spots. They wilt.'],
  ['a plant that is scenery', 'My roses have spots. They stand under a maple.'],
  ['a plant of which nothing is said', 'My roses have spots. I also grow tomatoes.'],
  ['a kind and its general name', 'My red maple has spots. The maple wilts.'],
  ['a plant in a greeting', 'Dear Rose,\nmy tomatoes have spots.'],
  ['no plant', 'Spots everywhere. It wilts.'],
  ['nothing', ''],
])('takes %s for one', (_, text) => {
  expect(parts(text)).toEqual([]);
});
