import { answerConsult } from '../../src/application/answerConsult.ts';
import { createConsultant } from '../../src/core/consult/consult.ts';
import { library } from '../support/wholeLibrary.ts';

const consultant = createConsultant(library);

/** Causes of a plant that shows these findings, answered without a word said, the likeliest first. */
function causesOf(plant: string, date: string, ...findings: string[]): readonly string[] {
  const answers = findings.map((finding) => ({ finding, value: true, sure: 0.9 }));
  const body = { words: '', date, place: { lat: 42, lon: -83 }, plant, answers };
  const answer = answerConsult(library, consultant, body);
  if (!answer.ok) throw new Error(answer.error.message);
  return answer.value.causes.map(({ id }) => id);
}

/**
 * A key to nutrient shortages: mobile elements show on old leaves, immobile ones on new leaves and tips.
 * P. Marschner (editor), "Marschner's Mineral Nutrition of Higher Plants", 3rd edition, 2012, chapter on diagnosis;
 * E. Epstein and A. J. Bloom, "Mineral Nutrition of Plants", 2nd edition, 2005. Recalled, not re-read.
 */
const KEY: readonly (readonly [
  element: string,
  cause: string,
  plant: string,
  findings: string[],
])[] = [
  [
    'N: old leaves, evenly pale',
    'nitrogen-shortage',
    'cabbage',
    ['leaf-old-affected', 'leaf-pale-even'],
  ],
  [
    'P: old leaves, dull dark and purple',
    'phosphorus-shortage',
    'cabbage',
    ['leaf-old-affected', 'leaf-dull-dark', 'leaf-purple'],
  ],
  [
    'K: old leaves, scorched edges',
    'potassium-shortage',
    'bean',
    ['leaf-old-affected', 'leaf-edge-brown', 'leaf-yellow', 'light-sandy-soil'],
  ],
  [
    'Mg: old leaves, yellow with a green wedge',
    'magnesium-shortage',
    'lemon',
    ['leaf-old-affected', 'leaf-wedge-green'],
  ],
  [
    'Ca: growing point dies, young leaves hooked',
    'calcium-shortage',
    'lettuce',
    ['leaf-new-affected', 'leaf-hooked-tips', 'growing-point-dies'],
  ],
  [
    'S: young leaves evenly pale',
    'sulfur-shortage',
    'cabbage',
    ['leaf-new-affected', 'leaf-pale-new-even'],
  ],
  [
    'Fe: young leaves, veins green',
    'iron-chlorosis',
    'hydrangea',
    ['leaf-new-affected', 'leaf-veins-green'],
  ],
  [
    'Mn: young leaves, fine green net and specks',
    'manganese-shortage',
    'maple',
    ['leaf-new-affected', 'leaf-netted-specks'],
  ],
  [
    'Zn: tiny leaves in tufts',
    'zinc-shortage',
    'pecan',
    ['leaf-new-affected', 'leaf-small-rosette'],
  ],
  [
    'Cu: young tips white and twisted',
    'copper-shortage',
    'onion',
    ['leaf-new-affected', 'leaf-tips-white-twist'],
  ],
  [
    'B: growing point dies, stem hollow and corky',
    'boron-shortage',
    'beet',
    ['growing-point-dies', 'stem-hollow-corky'],
  ],
  [
    'Mo: blade a strap, acid soil',
    'molybdenum-shortage',
    'cauliflower',
    ['leaf-whiptail', 'acid-soil'],
  ],
];

describe('key to nutrient shortages', () => {
  it.each(KEY)('%s', (_element, cause, plant, findings) => {
    expect(causesOf(plant, '2026-06-20', ...findings)[0]).toBe(cause);
  });

  it.each([
    ['nitrogen-shortage', 'sulfur-shortage', 'cabbage', 'leaf-pale-even'],
    ['magnesium-shortage', 'iron-chlorosis', 'lemon', 'leaf-veins-green'],
  ])('tells mobile %s from immobile %s by the age of the leaf', (mobile, immobile, plant, sign) => {
    const first = (age: string): string | undefined =>
      causesOf(plant, '2026-06-20', sign, age).find((id) => id === mobile || id === immobile);
    expect(first('leaf-old-affected')).toBe(mobile);
    expect(first('leaf-new-affected')).toBe(immobile);
  });
});

/**
 * Signs that define a cause. G. N. Agrios, "Plant Pathology", 5th edition, 2005 (fungi); W. T. Johnson and
 * H. H. Lyon, "Insects That Feed on Trees and Shrubs", 2nd edition, 1991 (insects). Recalled, not re-read.
 */
describe('signs that define a cause by textbook', () => {
  it.each([
    [
      'white powder that wipes off',
      'powdery-mildew',
      'rose',
      ['leaf-powder-white', 'leaf-wipes-off'],
    ],
    [
      'down only below the leaf',
      'basil-downy-mildew',
      'basil',
      ['leaf-underside-gray-down', 'leaf-yellow-vein-bound'],
    ],
    ['honeydew and bumps on the stem', 'soft-scale', 'lemon', ['leaf-sticky', 'insect-bumps-stem']],
    [
      'D-shaped holes in ash bark',
      'emerald-ash-borer',
      'ash',
      ['hole-d-shaped', 'stem-tip-dieback'],
    ],
  ])('%s', (_sign, cause, plant, findings) => {
    expect(causesOf(plant, '2026-07-01', ...findings)[0]).toBe(cause);
  });

  it('orange pustules are a rust', () => {
    expect(causesOf('rose', '2026-07-01', 'leaf-pustules-orange')[0]).toMatch(/rust/);
  });
});
