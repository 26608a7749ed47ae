/** What was tested. */
export const REPORT_SORTS = ['soil', 'water', 'leaf'] as const;
export type ReportSort = (typeof REPORT_SORTS)[number];

/** How phosphorus and the other nutrients were drawn out of the soil. */
export const SOIL_METHODS = ['mehlich-3', 'bray', 'olsen'] as const;
export type SoilMethod = (typeof SOIL_METHODS)[number];

/** How a value stands: each word the class from its edge on. */
export const LEVELS = ['very-low', 'low', 'enough', 'high', 'too-high'] as const;
export type Level = (typeof LEVELS)[number];

/** In what a value is counted: milligrams to the kilogram or litre, percent, decisiemens to the metre, none for pH and ratios. */
export type ReportUnit = 'ppm' | '%' | 'dS/m' | 'pH' | 'meq' | 'ratio';

/**
 * Values from which an element is low, enough, high and too high, in its unit; `null` where a class does not exist.
 * Below the first it is very low.
 */
export type Edges = readonly [
  low: number | null,
  enough: number | null,
  high: number | null,
  tooHigh: number | null,
];

/** One thing that a report gives. */
export interface Element {
  readonly id: string;
  readonly unit: ReportUnit;
  /** What it is called in reports. */
  readonly is: RegExp;
  /** By method where the method decides. */
  readonly edges: Edges | Readonly<Record<SoilMethod, Edges>>;
  /** Values outside are slips of the pen. */
  readonly range: readonly [least: number, most: number];
}

const element = (
  id: string,
  unit: ReportUnit,
  is: RegExp,
  range: Element['range'],
  edges: Element['edges'],
): Element => ({ id, unit, is, range, edges });

/** Common practice of extension laboratories for gardens; each laboratory's own classes go first. */
const SOIL: readonly Element[] = [
  element(
    'buffer-ph',
    'pH',
    /buffer(?: ?ph| index)?|bph|lime index/,
    [4, 8],
    [null, null, null, null],
  ),
  element('ph', 'pH', /(?:water |soil )?ph/, [3, 10.5], [5.5, 6, 7.2, 7.8]),
  element('organic-matter', '%', /organic matter|o\.?m\.?|humus/, [0, 90], [1, 3, 8, 20]),
  element('phosphorus', 'ppm', /phosph(?:orus|orous|ate)|p/, [0, 3000], {
    'mehlich-3': [15, 30, 60, 120],
    bray: [10, 20, 40, 80],
    olsen: [6, 12, 25, 50],
  }),
  element('potassium', 'ppm', /potassium|potash|k/, [0, 5000], [50, 110, 220, 450]),
  element('calcium', 'ppm', /calcium|ca/, [0, 30000], [200, 500, 4000, null]),
  element('magnesium', 'ppm', /magnesium|mg/, [0, 6000], [25, 60, 400, null]),
  element('sulfur', 'ppm', /sul(?:f|ph)ur|sul(?:f|ph)ate|s/, [0, 3000], [5, 10, 60, null]),
  element('iron', 'ppm', /iron|fe/, [0, 3000], [null, 4.5, 400, null]),
  element('manganese', 'ppm', /manganese|mn/, [0, 3000], [1, 5, 200, null]),
  element('zinc', 'ppm', /zinc|zn/, [0, 3000], [0.5, 1, 20, 60]),
  element('copper', 'ppm', /copper|cu/, [0, 3000], [0.2, 0.6, 20, 60]),
  element('boron', 'ppm', /boron|b/, [0, 100], [0.2, 0.5, 2, 5]),
  element('sodium', 'ppm', /sodium|na/, [0, 10000], [null, null, 150, 400]),
  element(
    'nitrate',
    'ppm',
    /nitrate(?:[- ]n(?:itrogen)?)?|no3(?:-n)?/,
    [0, 1000],
    [5, 15, 50, 100],
  ),
  element(
    'salts',
    'dS/m',
    /soluble salts?|salinity|salts?|e\.?c\.?(?:e)?|conductivity/,
    [0, 60],
    [null, null, 2, 4],
  ),
  element(
    'exchange',
    'meq',
    /cec|c\.e\.c\.?|(?:cation )?exchange(?: capacity)?/,
    [0, 100],
    [null, 5, 25, null],
  ),
  element('lead', 'ppm', /lead|pb/, [0, 50000], [null, null, 100, 400]),
];

/**
 * Water for irrigation. Source: Ayers and Westcot, Water quality for agriculture, FAO Irrigation and Drainage Paper 29
 * (1985), table 1, recalled: none, slight to moderate and severe restriction. Chloride, sodium and bicarbonate are turned
 * from milliequivalents into milligrams.
 */
const WATER: readonly Element[] = [
  element('ph', 'pH', /(?:water )?ph/, [3, 10.5], [null, 6.5, 8.4, null]),
  element(
    'salts',
    'dS/m',
    /soluble salts?|salinity|salts?|e\.?c\.?(?:w)?|conductivity/,
    [0, 60],
    [null, null, 0.7, 3],
  ),
  element('adsorption', 'ratio', /sar|sodium adsorption ratio/, [0, 100], [null, null, 3, 9]),
  element('sodium', 'ppm', /sodium|na/, [0, 10000], [null, null, 69, 207]),
  element('chloride', 'ppm', /chloride|cl/, [0, 20000], [null, null, 142, 355]),
  element('boron', 'ppm', /boron|b/, [0, 100], [null, null, 0.7, 3]),
  element('bicarbonate', 'ppm', /bicarbonates?|hco3|alkalinity/, [0, 5000], [null, null, 92, 519]),
  element(
    'nitrate',
    'ppm',
    /nitrate(?:[- ]n(?:itrogen)?)?|no3(?:-n)?/,
    [0, 1000],
    [null, null, 5, 30],
  ),
  element('iron', 'ppm', /iron|fe/, [0, 500], [null, null, 1, 5]),
];

/** Leaves of most garden plants, in the middle of summer; a plant's own table goes first. Common practice. */
const LEAF: readonly Element[] = [
  element('nitrogen', '%', /nitrogen|n/, [0, 10], [1.5, 2.2, 4.5, 6]),
  element('phosphorus', '%', /phosph(?:orus|orous)|p/, [0, 5], [0.12, 0.2, 0.6, 1]),
  element('potassium', '%', /potassium|potash|k/, [0, 12], [0.7, 1.2, 4.5, null]),
  element('calcium', '%', /calcium|ca/, [0, 12], [0.2, 0.5, 3, null]),
  element('magnesium', '%', /magnesium|mg/, [0, 5], [0.12, 0.2, 1, null]),
  element('sulfur', '%', /sul(?:f|ph)ur|s/, [0, 5], [0.1, 0.15, 0.6, null]),
  element('iron', 'ppm', /iron|fe/, [0, 5000], [30, 50, 300, null]),
  element('manganese', 'ppm', /manganese|mn/, [0, 5000], [12, 25, 300, 600]),
  element('zinc', 'ppm', /zinc|zn/, [0, 5000], [12, 20, 100, 300]),
  element('copper', 'ppm', /copper|cu/, [0, 5000], [2, 5, 25, 50]),
  element('boron', 'ppm', /boron|b/, [0, 2000], [12, 20, 80, 150]),
];

/** What a report of each sort gives, in the order in which it is shown. */
export const ELEMENTS: Readonly<Record<ReportSort, readonly Element[]>> = {
  soil: SOIL,
  water: WATER,
  leaf: LEAF,
};

const isByMethod = (edges: Element['edges']): edges is Readonly<Record<SoilMethod, Edges>> =>
  !Array.isArray(edges);

/** The class of a value in the unit of its element. Returns null where the element has no classes. */
export function levelOf({ edges }: Element, value: number, method: SoilMethod): Level | null {
  const own = isByMethod(edges) ? edges[method] : edges;
  if (own.every((edge) => edge === null)) return null;
  const passed = own.findLastIndex((edge) => edge !== null && value >= edge);
  if (passed >= 0) return LEVELS[passed + 1] ?? null;
  const first = own.findIndex((edge) => edge !== null);
  // What has only upper edges is in order below them.
  return first >= 2 ? 'enough' : (LEVELS[first] ?? null);
}

/** Whether the method of extraction decides the class. */
export const needsMethod = ({ edges }: Element): boolean => isByMethod(edges);
