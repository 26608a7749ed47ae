import fc from 'fast-check';
import { ELEMENTS, levelOf, LEVELS, REPORT_SORTS, type Level } from './elements.ts';
import { interpret, type Interpreted } from './interpret.ts';
import { readReport, reportIn } from './readReport.ts';

const values = (text: string): Record<string, number> =>
  Object.fromEntries(readReport(text).readings.map(({ element, value }) => [element.id, value]));

describe('reading', () => {
  it.each([
    ['pH 5.2, phosphorus 8, potassium 60', { ph: 5.2, phosphorus: 8, potassium: 60 }],
    ['The P level is 12 ppm and K came back at 145', { phosphorus: 12, potassium: 145 }],
    [
      'pH: 6.1\nOrganic matter: 2.1 %\nCEC = 9.5 meq/100g',
      { ph: 6.1, 'organic-matter': 2.1, exchange: 9.5 },
    ],
    [
      'Nutrient,Result,Unit\nP (Mehlich 3),16,lb/acre\nK,150,lb/acre',
      { phosphorus: 8, potassium: 75 },
    ],
    ['Phosphorus is low at 12 and magnesium 45 ppm', { phosphorus: 12, magnesium: 45 }],
    ['buffer pH 6.3, pH 5.1', { 'buffer-ph': 6.3, ph: 5.1 }],
    ['phosphorus 22.4 kg/ha, zinc 0.8', { phosphorus: 10, zinc: 0.8 }],
  ])('%j', (text, wanted) => {
    const read = values(text);
    expect(Object.keys(read).sort()).toEqual(Object.keys(wanted).sort());
    for (const [id, value] of Object.entries(wanted)) expect(read[id]).toBeCloseTo(value, 6);
  });

  // A soil's exchangeable cations: 1 meq to 100 g, or 1 cmol to the kilogram, is 10 meq to the kilogram.
  it.each([
    'Soil test: K 0.3 meq/100 g, Ca 6 cmol/kg, Mg 1.2 meq',
    'K .3 meq/100g; Ca 6 meq/100g; Mg 1.2 cmol/kg',
  ])('turns milliequivalents of a soil into parts per million: %s', (text) => {
    const read = values(text);
    expect(read['potassium']).toBeCloseTo(117.3, 6);
    expect(read['calcium']).toBeCloseTo(1202.4, 6);
    expect(read['magnesium']).toBeCloseTo(145.8, 6);
  });

  it('turns milliequivalents and microsiemens of water into its own units (atomic weights, IUPAC 2021)', () => {
    const read = values('Irrigation water: EC 1500 uS/cm, sodium 4 meq/L, chloride 2 meq/L');
    expect(read['salts']).toBeCloseTo(1.5, 9);
    expect(read['sodium']).toBeCloseTo(91.96, 2);
    expect(read['chloride']).toBeCloseTo(70.9, 1);
  });

  it('knows a leaf test and a water test by their words, and a method by its name', () => {
    expect(readReport('leaf analysis N 1.8 %, K 0.9 %').sort).toBe('leaf');
    expect(readReport('our well water has EC 2').sort).toBe('water');
    expect(readReport('Bray P 22, K 180').method).toBe('bray');
    expect(readReport('pH 6, P 20').method).toBeNull();
  });

  it('names what is out of all range or in a unit that says nothing, and takes neither', () => {
    const { readings, odd } = readReport('pH 52, phosphorus 8 dS/m, potassium 60');
    expect(readings.map(({ element }) => element.id)).toEqual(['potassium']);
    expect(odd.map(({ element, why }) => [element.id, why])).toEqual([
      ['ph', 'out-of-range'],
      ['phosphorus', 'unknown-unit'],
    ]);
  });

  it.each([
    'I have 8 tomato plants and a pot of 12 in',
    'the soil is pH 5.5 and I put 10-10-10 on',
    'water it at 9 and again at 5',
    'the pH is 6.8 now, it was 6 last year',
    'we use well water; there are 4 s-shaped marks and 3 p',
    'the lead shoot is 12 inches long',
  ])('hears no report in %j', (words) => {
    expect(reportIn(words)).toBeNull();
  });

  it('hears one value besides pH where a test is spoken of', () => {
    expect(reportIn('the soil test came back with potassium 40')).not.toBeNull();
    expect(reportIn('potassium 40')).toBeNull();
  });
});

const read = (text: string, area: number | null = null): Interpreted =>
  interpret(readReport(text), { area, acidLoving: false, method: null });
const levels = ({ classed }: Interpreted): Record<string, Level | null> =>
  Object.fromEntries(classed.map(({ element, level }) => [element.id, level]));
const matters = ({ needs }: Interpreted): string[] => needs.map(({ matter }) => matter);

describe('what it says', () => {
  it('classes each value, and names what the acidity locks away and what is missing', () => {
    const said = read('pH 5.2, phosphorus 8, potassium 60', 18.58);
    expect(levels(said)).toEqual({ ph: 'very-low', phosphorus: 'very-low', potassium: 'low' });
    expect(said.locked).toEqual({
      by: 'acid',
      elements: ['phosphorus', 'calcium', 'magnesium'],
    });
    expect(said.missing).toEqual(['organic-matter', 'buffer-ph']);
    expect(matters(said)).toEqual(['lime', 'nitrogen', 'phosphate', 'potash']);
    expect(said.needs[0]).toMatchObject({ from: 350, goes: 2, total: { from: 6.5, to: 6.5 } });
  });

  it('gives dolomitic lime where magnesium is short too, and Epsom salts where no lime is due', () => {
    const acid = matters(read('pH 5.2, magnesium 20'));
    expect(acid).toContain('dolomitic-lime');
    expect(acid).not.toContain('lime');
    expect(acid).not.toContain('magnesium-sulfate');
    expect(matters(read('pH 6.5, magnesium 20'))).toContain('magnesium-sulfate');
  });

  // 1.2 meq to 100 cm3 by the buffer: 1.2 x (6.5 - 5.2) / (6.6 - 5.2) tons to the acre.
  it('limes by a Mehlich buffer pH, and by the texture where the buffer is not named', () => {
    const rate = 1.2 * (1.3 / 1.4) * 224.17;
    const [named] = read('Mehlich 3: pH 5.2, buffer pH 6.3, phosphorus 30').needs;
    expect(named).toMatchObject({ matter: 'lime', from: Number(rate.toPrecision(2)) });
    const [unnamed] = read('pH 5.2, buffer pH 6.3').needs;
    expect(unnamed).toMatchObject({ matter: 'lime', from: 350 });
  });

  it('gives no phosphate where there is far too much, and says so', () => {
    const said = read('soil pH 6.5, phosphorus 210 ppm, potassium 180, organic matter 4');
    expect(matters(said)).not.toContain('phosphate');
    expect(said.warns).toEqual([{ element: 'phosphorus', level: 'too-high' }]);
    expect(said.locked).toBeNull();
  });

  it('classes phosphorus by its method, which it takes as given where none is named', () => {
    expect(read('P 22, K 180').method).toEqual({ id: 'mehlich-3', assumed: true });
    expect(levels(read('P 22, K 180'))['phosphorus']).toBe('low');
    expect(levels(read('Bray P 22, K 180'))['phosphorus']).toBe('enough');
    expect(levels(read('Olsen P 22, K 180'))['phosphorus']).toBe('enough');
    expect(levels(read('Olsen P 30, K 180'))['phosphorus']).toBe('high');
    expect(read('Bray P 22, K 180').method).toEqual({ id: 'bray', assumed: false });
  });

  it('sours a soil only for what wants it sour, or where it locks nutrients away', () => {
    expect(matters(read('pH 7.1, K 200'))).not.toContain('sulfur');
    expect(matters(read('pH 7.6, K 200'))).toContain('sulfur');
    const acid = { area: null, acidLoving: true, method: null };
    expect(matters(interpret(readReport('pH 6.4, K 200'), acid))).toContain('sulfur');
  });

  it('gives nothing to the ground after a test of leaves or water', () => {
    expect(read('leaf analysis N 1.8 %, K 0.9 %').needs).toEqual([]);
    expect(read('well water: EC 4, sodium 300 ppm').needs).toEqual([]);
  });
});

it('classes never fall as the value grows, and stay the same in another unit', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...REPORT_SORTS).chain((sort) => fc.constantFrom(...ELEMENTS[sort])),
      fc.double({ min: 0, max: 1, noNaN: true }),
      fc.double({ min: 0, max: 1, noNaN: true }),
      (element, a, b) => {
        const [least, most] = element.range;
        const rank = (share: number): number => {
          const level = levelOf(element, least + share * (most - least), 'mehlich-3');
          return level === null ? 0 : LEVELS.indexOf(level);
        };
        return rank(Math.min(a, b)) <= rank(Math.max(a, b));
      },
    ),
    { seed: 5, numRuns: 500 },
  );
});
