import { adviceContext } from '../../test/adviceContext.ts';
import { causeWith, treatmentWith } from '../../test/candidate.ts';
import { miniLibrary } from '../../test/miniLibrary.ts';
import { readLabel } from '../measures/label/readLabel.ts';
import {
  judgeLabel,
  labelJob,
  productNamed,
  standOf,
  type JudgedLabel,
  type LabelFor,
} from './labelFit.ts';

const treatment = (id: string, change: Record<string, unknown>) =>
  treatmentWith({
    id,
    name: id,
    rung: 'low-toxicity',
    classes: ['insecticide'],
    text: 'Spray as the label says.',
    ...change,
  });
const base = miniLibrary([{ id: 'sign' }], [{ id: 'pest', findings: { sign: 'often' } }]);
const TREATMENTS = [
  treatment('soap', {
    ingredients: ['potassium salts of fatty acids', 'soap'],
    hazards: ['oil-or-soap'],
  }),
  treatment('drench', {
    ingredients: ['imidacloprid'],
    hazards: ['systemic'],
    rung: 'conventional',
  }),
  treatment('copper', { ingredients: ['copper'], classes: ['fungicide'], hazards: ['aloft'] }),
  treatment('injection', { ingredients: ['emamectin'], who: 'licensed', rung: 'professional' }),
];
const library = {
  ...base,
  treatments: new Map(TREATMENTS.map((one) => [one.id, one])),
};
const APHIDS = causeWith({
  name: 'Aphids',
  aliases: ['greenfly'],
  category: 'insect',
  treatments: [{ use: 'soap', effect: 'good' }],
});
const lead = { cause: APHIDS, probability: 0.9, next: 0.05 };

function judged(text: string, change: Partial<LabelFor> = {}): JudgedLabel {
  return judgeLabel(readLabel(text), {
    library,
    context: adviceContext(library, 40, '2026-06-13'),
    lead,
    plant: null,
    planned: ['soap'],
    ...change,
  });
}
const codes = ({ points }: JudgedLabel): string[] => points.map(({ code }) => code);

it('knows the planned product by its ingredient, and says what was not read', () => {
  const made = judged('insecticidal soap, kills aphids, CAUTION, 5 tablespoons per gallon');
  expect(made.points[0]).toEqual({
    code: 'ingredient',
    treatment: 'soap',
    planned: true,
    helps: true,
  });
  expect(codes(made)).toEqual(expect.arrayContaining(['pest-listed', 'signal']));
  expect(made.treatment).toBe('soap');
});

it('never says that a product marked danger simply fits', () => {
  const signalOf = (word: string) =>
    judged(`insecticidal soap, kills aphids, ${word}`).points.find(({ code }) => code === 'signal');
  const stands = ['CAUTION', 'WARNING', 'DANGER'].map((word) => {
    const point = signalOf(word);
    return point && standOf(point);
  });
  expect(stands).toEqual(['fits', 'fits', 'look']);
});

it('refuses a product whose label lists other culprits, and asks where none was read', () => {
  const other = judged('soap. Kills beetles. Caution. 5 tablespoons per gallon');
  expect(codes(other)).toContain('pest-not-listed');
  expect(other.stand).toBe('refused');
  expect(codes(judged('soap, CAUTION'))).toContain('pest-not-read');
  expect(codes(judged('soap for greenfly'))).toContain('pest-listed');
});

it('lets the rules of safety speak: a systemic on what may be eaten, a fungicide on an insect, licences', () => {
  const ruledOut = (text: string) =>
    judged(text).points.flatMap((one) => (one.code === 'ruled-out' ? [one.why.code] : []));
  expect(ruledOut('imidacloprid, kills aphids')).toEqual(['systemic-on-food']);
  expect(ruledOut('copper, for aphids')).toEqual(['wrong-kind-of-product']);
  expect(codes(judged('emamectin, for aphids'))).toContain('licence-holders-only');
  expect(judged('soap for aphids, restricted use pesticide').stand).toBe('refused');
});

it('asks for no licence where only the height of the tree needs an arborist', () => {
  const onTree = { traits: { tall: true, edible: 'none' as const } };
  const made = judged('copper, for leaf spot', {
    context: adviceContext(library, 40, '2026-06-13', onTree),
    lead: null,
  });
  expect(codes(made)).not.toContain('licence-holders-only');
});

it('says of no cause that nothing is known to be treated', () => {
  const made = judged('soap, kills aphids', { lead: null });
  expect(codes(made)).toContain('no-cause-yet');
  expect(codes(made)).not.toContain('ruled-out');
});

it('refuses a rate by the acre and one that is far too strong', () => {
  expect(codes(judged('soap, aphids, 2 pints per acre'))).toContain('rate-by-acre');
  expect(codes(judged('soap, aphids, 3 cups per gallon'))).toContain('rate-odd');
  expect(codes(judged('soap, aphids'))).toContain('rate-not-read');
});

it('minds the heat of the day', () => {
  const hot = judged('soap for aphids, not above 50 F, CAUTION');
  expect(hot.points.find(({ code }) => code === 'too-hot')).toMatchObject({ limit: 10 });
  expect(codes(judged('soap for aphids, not above 120 F'))).not.toContain('too-hot');
});

it('what does not work on the cause is looked at again, though it is known', () => {
  const made = judged('copper, CAUTION', {
    lead: { ...lead, cause: { ...APHIDS, category: 'fungus' } },
  });
  expect(made.points[0] && standOf(made.points[0])).toBe('look');
});

it('the job: 200 sq ft at a gallon to 200 sq ft with 4 tablespoons, in a tank of half a gallon (arithmetic)', () => {
  const label = readLabel(
    '4 tablespoons per gallon, 1 gallon covers 200 sq ft, my sprayer holds 0.5 gallons',
  );
  const job = labelJob(label, 18.5806);
  expect(job.mix).toBeCloseTo(3.785412, 3);
  expect(job.product).toBeCloseTo(3.785412 / 64, 4);
  expect(job.fillings).toBe(2);
  expect(job.eachFilling).toBeCloseTo(3.785412 / 128, 4);
  expect(labelJob(label, null)).toMatchObject({ mix: null, product: null, fillings: null });
});

it('granules: 10 lb on 5,000 sq ft are 0.91 kg for 1,000 sq ft (arithmetic)', () => {
  expect(labelJob(readLabel('10 lb covers 5,000 sq ft'), 92.90304).granules).toBeCloseTo(907.2, 1);
});

describe('a product that words of the advisor name', () => {
  const named = (text: string) =>
    productNamed(text, {
      library,
      context: adviceContext(library, 40, '2026-06-13'),
      lead,
      plant: null,
      planned: [],
    });
  it('is held against the rules of safety', () => {
    expect(named('Pour imidacloprid round it.')?.forbidden).toEqual({ code: 'systemic-on-food' });
    expect(named('Spray copper once more.')?.forbidden).toEqual({ code: 'wrong-kind-of-product' });
    expect(named('Have emamectin put in.')?.referTo).toEqual(['licensed-applicator']);
    expect(named('Wash it with soap.')?.cautions).toContainEqual({ code: 'never-on-open-blossom' });
  });
  it('is none where they name none', () => {
    expect(named('Stake it, and look again.')).toBeNull();
  });
});
