import { goesFor, limeRate, limeRateByBuffer, sulfurRate, WANTED_PH } from '../ground.ts';
import { levelOf, needsMethod, type Element, type Level, type SoilMethod } from './elements.ts';
import type { ReadReport } from './readReport.ts';

/** What is given to the ground after a test. */
export type Matter =
  | 'lime'
  | 'dolomitic-lime'
  | 'sulfur'
  | 'nitrogen'
  | 'phosphate'
  | 'potash'
  | 'magnesium-sulfate'
  | 'compost';

/** How much of it, in grams to the square metre, millimetres deep for compost; the total in kilograms, litres for compost, where the area is known. */
export interface Need {
  readonly matter: Matter;
  readonly from: number;
  readonly to: number;
  readonly total: { readonly from: number; readonly to: number } | null;
  /** How many times, half a year apart, it is given in. */
  readonly goes: number;
}

/** What a report says. */
export interface Interpreted {
  readonly classed: readonly {
    readonly element: Element;
    readonly value: number;
    readonly level: Level | null;
  }[];
  /** Elements that the acidity keeps from the plant whatever the test reads. */
  readonly locked: {
    readonly by: 'acid' | 'alkaline';
    readonly elements: readonly string[];
  } | null;
  /** What a report of this sort should give and this one does not. */
  readonly missing: readonly string[];
  readonly needs: readonly Need[];
  /** Elements whose high value asks for care of its own. */
  readonly warns: readonly { readonly element: string; readonly level: Level }[];
  /** Square metres that totals are for; null where no area is known. */
  readonly area: number | null;
  /** The method that the classes rest on, and whether it was taken as given. Null where it does not matter. */
  readonly method: { readonly id: SoilMethod; readonly assumed: boolean } | null;
}

/** Locked by acidity. Common practice (charts of availability by pH). */
const LOCKS = {
  acid: { below: 5.5, elements: ['phosphorus', 'calcium', 'magnesium'] },
  alkaline: { above: 7.2, elements: ['iron', 'manganese', 'zinc', 'phosphorus'] },
} as const;

/** What may be too much for plants or people. */
const WARNED: readonly string[] = ['lead', 'salts', 'sodium', 'boron', 'phosphorus', 'chloride'];
const TOO_MUCH: readonly (Level | null)[] = ['high', 'too-high'];

const EXPECTED = {
  soil: ['ph', 'organic-matter', 'phosphorus', 'potassium'],
  water: ['ph', 'salts', 'sodium', 'chloride', 'boron'],
  leaf: ['nitrogen', 'phosphorus', 'potassium', 'magnesium', 'iron', 'manganese'],
} as const;

/** Grams to the square metre by how much a nutrient is short. Common practice: 4, 2 and 1 lb to 1,000 sq ft. */
const RATES: Readonly<
  Record<'phosphate' | 'potash', Partial<Record<Level, readonly [number, number]>>>
> = {
  phosphate: { 'very-low': [15, 20], low: [7, 10], enough: [0, 5] },
  potash: { 'very-low': [15, 20], low: [7, 10], enough: [0, 5] },
};
/** Nitrogen is not read from a soil test: 1 lb to 1,000 sq ft a season is common practice. */
const NITROGEN = [5, 10] as const;
/** Epsom salts at half a pound to a pound on 100 sq ft. Common practice. */
const MAGNESIUM_SULFATE = [25, 50] as const;
/** Millimetres of compost on a soil that is short of humus. Common practice. */
const COMPOST = [25, 50] as const;
const CLOSE = 0.5;

const rounded = (value: number): number => Number(value.toPrecision(2));

const need = (
  matter: Matter,
  [from, to]: readonly [number, number],
  area: number | null,
  goes = 1,
): Need => {
  // A millimetre on a square metre is a litre; grams add up to kilograms.
  const share = matter === 'compost' ? 1 : 1000;
  const total =
    area === null
      ? null
      : { from: rounded((from * area) / share), to: rounded((to * area) / share) };
  return { matter, from: rounded(from), to: rounded(to), total, goes };
};

/** What a soil shows of how it is to be limed. */
interface Acidity {
  readonly ph: number;
  /** Buffer pH by Mehlich; null where it is not known, or another buffer was used. */
  readonly buffer: number | null;
  readonly shortOfMagnesium: boolean;
}

const HIGHEST_BUFFER = 6.6;

function byAcidity(
  { ph, buffer, shortOfMagnesium }: Acidity,
  area: number | null,
  acidLoving: boolean,
): readonly Need[] {
  const wanted = acidLoving ? WANTED_PH.acidLoving : WANTED_PH.other;
  if (Math.abs(ph - wanted) < CLOSE) return [];
  if (ph < wanted) {
    const rate =
      buffer !== null && buffer < HIGHEST_BUFFER
        ? limeRateByBuffer(ph, buffer, wanted)
        : limeRate(ph, wanted, 'loam');
    const matter = shortOfMagnesium ? 'dolomitic-lime' : 'lime';
    return [need(matter, [rate, rate], area, goesFor(rate, 'lime'))];
  }
  // Only plants that want an acid soil are worth souring it for.
  if (!acidLoving && ph < LOCKS.alkaline.above) return [];
  const rate = sulfurRate(ph, wanted, 'loam');
  return [need('sulfur', [rate, rate], area, goesFor(rate, 'sulfur'))];
}

const isShort = (level: Level | null | undefined): boolean =>
  level === 'very-low' || level === 'low';

function soilNeeds(
  levels: ReadonlyMap<string, Level | null>,
  { ph, buffer }: { readonly ph: number | null; readonly buffer: number | null },
  area: number | null,
  acidLoving: boolean,
): readonly Need[] {
  const shortOfMagnesium = isShort(levels.get('magnesium'));
  const needs: Need[] =
    ph === null ? [] : [...byAcidity({ ph, buffer, shortOfMagnesium }, area, acidLoving)];
  needs.push(need('nitrogen', NITROGEN, area));
  for (const [element, matter] of [
    ['phosphorus', 'phosphate'],
    ['potassium', 'potash'],
  ] as const) {
    const level = levels.get(element);
    const rate = level ? RATES[matter][level] : undefined;
    if (rate && rate[0] > 0) needs.push(need(matter, rate, area));
  }
  // Dolomitic lime brings the magnesium along.
  if (shortOfMagnesium && !needs.some(({ matter }) => matter === 'dolomitic-lime'))
    needs.push(need('magnesium-sulfate', MAGNESIUM_SULFATE, area));
  if (isShort(levels.get('organic-matter'))) needs.push(need('compost', COMPOST, area));
  return needs;
}

function lockedBy(ph: number | null): Interpreted['locked'] {
  if (ph === null) return null;
  if (ph < LOCKS.acid.below) return { by: 'acid', elements: LOCKS.acid.elements };
  if (ph > LOCKS.alkaline.above) return { by: 'alkaline', elements: LOCKS.alkaline.elements };
  return null;
}

/** What is chosen beside the report. */
export interface ReportAbout {
  /** Square metres; null where it is not known. */
  readonly area: number | null;
  readonly acidLoving: boolean;
  /** Null takes what the report names, or else Mehlich 3. */
  readonly method: SoilMethod | null;
}

const USUAL_METHOD: SoilMethod = 'mehlich-3';

/**
 * The class of each value, what the acidity locks away, what the report lacks, and what a soil of this area is to be
 * given. Amounts are for most garden plants on loam; the laboratory's own figures go first.
 */
export function interpret(report: ReadReport, about: ReportAbout): Interpreted {
  const named = about.method ?? report.method;
  const method = named ?? USUAL_METHOD;
  const classed = report.readings.map(({ element, value }) => ({
    element,
    value,
    level: levelOf(element, value, method),
  }));
  const levels = new Map(classed.map(({ element, level }) => [element.id, level]));
  const valueOf = (id: string): number | null =>
    classed.find(({ element }) => element.id === id)?.value ?? null;
  const ph = valueOf('ph');
  const buffer = named === 'mehlich-3' ? valueOf('buffer-ph') : null;
  const isSoil = report.sort === 'soil';
  const missing = EXPECTED[report.sort].filter((id) => !levels.has(id));
  return {
    classed,
    locked: isSoil ? lockedBy(ph) : null,
    missing:
      ph !== null && isSoil && ph < LOCKS.acid.below && !levels.has('buffer-ph')
        ? [...missing, 'buffer-ph']
        : missing,
    area: about.area,
    warns: classed.flatMap(({ element: { id }, level }) =>
      level !== null && TOO_MUCH.includes(level) && WARNED.includes(id) && report.sort !== 'leaf'
        ? [{ element: id, level }]
        : [],
    ),
    needs:
      isSoil && levels.size > 0
        ? soilNeeds(levels, { ph, buffer }, about.area, about.acidLoving)
        : [],
    method:
      isSoil && classed.some(({ element }) => needsMethod(element))
        ? { id: method, assumed: named === null }
        : null,
  };
}
