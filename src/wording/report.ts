import type {
  Level,
  ReportSort,
  ReportUnit,
  SoilMethod,
} from '../core/measures/report/elements.ts';
import type { Interpreted, Matter, Need } from '../core/measures/report/interpret.ts';
import type { OddReading } from '../core/measures/report/readReport.ts';
import { areaText } from './amounts.ts';
import { looseText, quantityText } from './quantities.ts';
import { list } from './list.ts';
import { capital } from './midSentence.ts';

/** What is tested, by the id of the element. */
export const ELEMENT_NAMES: Readonly<Record<string, string>> = {
  ph: 'pH',
  'buffer-ph': 'buffer pH',
  'organic-matter': 'organic matter',
  nitrogen: 'nitrogen',
  phosphorus: 'phosphorus',
  potassium: 'potassium',
  calcium: 'calcium',
  magnesium: 'magnesium',
  sulfur: 'sulfur',
  iron: 'iron',
  manganese: 'manganese',
  zinc: 'zinc',
  copper: 'copper',
  boron: 'boron',
  sodium: 'sodium',
  chloride: 'chloride',
  bicarbonate: 'bicarbonate',
  nitrate: 'nitrate',
  salts: 'salts',
  adsorption: 'sodium adsorption ratio',
  exchange: 'exchange capacity',
  lead: 'lead',
};

export const METHOD_NAMES: Readonly<Record<SoilMethod, string>> = {
  'mehlich-3': 'Mehlich 3',
  bray: 'Bray P1',
  olsen: 'Olsen',
};

export const SORT_NAMES: Readonly<Record<ReportSort, string>> = {
  soil: 'soil test',
  water: 'water test',
  leaf: 'leaf test',
};

const LEVEL_WORDS: Readonly<Record<Level, string>> = {
  'very-low': 'very low',
  low: 'low',
  enough: 'enough',
  high: 'high',
  'too-high': 'far too high',
};
const PH_WORDS: Readonly<Record<Level, string>> = {
  'very-low': 'very acid',
  low: 'acid',
  enough: 'right for most plants',
  high: 'alkaline',
  'too-high': 'very alkaline',
};
const WATER_WORDS: Readonly<Record<Level, string>> = {
  'very-low': 'very low',
  low: 'low',
  enough: 'no trouble',
  high: 'a trouble for tender plants',
  'too-high': 'too much for most plants',
};

/** The class of a value in words. */
export function levelText(sort: ReportSort, element: string, level: Level | null): string {
  if (level === null) return 'not classed';
  if (element === 'ph') return PH_WORDS[level];
  return (sort === 'water' ? WATER_WORDS : LEVEL_WORDS)[level];
}

const UNIT_WORDS: Readonly<Record<ReportUnit, string>> = {
  ppm: ' ppm',
  '%': ' %',
  'dS/m': ' dS/m',
  pH: '',
  meq: ' meq',
  ratio: '',
};

/** A value with its unit: "8 ppm". */
export const valueText = (value: number, unit: ReportUnit): string =>
  `${Number(value.toPrecision(3)).toLocaleString('en-US')}${UNIT_WORDS[unit]}`;

const MATTER_NAMES: Readonly<Record<Matter, string>> = {
  lime: 'ground limestone',
  'dolomitic-lime': 'dolomitic limestone, which brings magnesium too',
  sulfur: 'sulfur',
  nitrogen: 'nitrogen (the first number on the bag)',
  phosphate: 'phosphate (the second number)',
  potash: 'potash (the third number)',
  'magnesium-sulfate': 'Epsom salts',
  compost: 'compost',
};

const HALF_A_KILO = 0.5;

function totalText(matter: Matter, { from, to }: { readonly from: number; readonly to: number }) {
  if (matter === 'compost') return looseText({ from, to, unit: 'L' });
  return to < HALF_A_KILO
    ? quantityText({ from: 1000 * from, to: 1000 * to, unit: 'g' })
    : quantityText({ from, to, unit: 'kg' });
}

/** What is to be given, as a line of its own. */
export const needLine = (need: Need): string => opening(needText(need));

/** What is to be given: "ground limestone: 6.5 kg (14 lb), in 2 goes half a year apart". */
function needText({ matter, from, to, total, goes }: Need): string {
  const rate =
    matter === 'compost'
      ? `${quantityText({ from: from / 10, to: to / 10, unit: 'cm' })} deep`
      : quantityText({ from, to, unit: 'g/m2' });
  const much = total === null ? rate : totalText(matter, total);
  const often = goes > 1 ? `, in ${goes} goes half a year apart` : '';
  return `${MATTER_NAMES[matter]}: ${much}${often}`;
}

const WARNINGS: Readonly<Record<string, string>> = {
  lead: 'Lead: grow no leaves or roots to eat there; use a raised bed of clean soil, keep bare soil covered, wash hands and crops, and ask the health office.',
  salts:
    'Salts: water deeply so that they wash down, where it drains; feed less; ask what the plant bears.',
  sodium:
    'Sodium: gypsum and deep watering help where the ground drains; keep the water off leaves.',
  boron: 'Boron: nothing binds it; wash it down with better water and grow what bears it.',
  chloride: 'Chloride: keep the water off leaves and water seldom but deeply.',
  phosphorus:
    'Phosphorus: no manure, compost, bone meal or bloom feed for some years; the second number on the bag is 0.',
};

/** What a high value asks for. Empty where there is nothing to say. */
export const warningTexts = ({ warns }: Interpreted): readonly string[] =>
  warns.flatMap(({ element }) => WARNINGS[element] ?? []);

const names = (ids: readonly string[]): string =>
  list(
    ids.map((id) => ELEMENT_NAMES[id] ?? id),
    'and',
  );

/** What the acidity locks away. Null where it locks nothing. */
export function lockedText({ locked }: Interpreted): string | null {
  if (locked === null) return null;
  const by = locked.by === 'acid' ? 'so acid a soil' : 'so alkaline a soil';
  return `In ${by} ${names(locked.elements)} are locked away, whatever the test reads.`;
}

/** What the report lacks. Null where it lacks nothing. */
export const missingText = ({ missing }: Interpreted): string | null =>
  missing.length === 0 ? null : `Not in the report: ${names(missing)}.`;

/** By which method the classes are. Null where none decides. */
export function methodText({ method }: Interpreted): string | null {
  if (method === null) return null;
  const name = METHOD_NAMES[method.id];
  return method.assumed
    ? `${name} is taken as the method: look for its name on the report.`
    : `Classes by ${name}.`;
}

export const LABORATORY_FIRST = 'The laboratory’s own classes and figures go first.';

/** "pH" keeps its small letter. */
const opening = (text: string): string => (text.startsWith('pH') ? text : capital(text));

/** What a report says, to say aloud: classes, what is locked, what to give, what is missing. */
export function reportText(sort: ReportSort, said: Interpreted): string {
  const classes = said.classed.map(
    ({ element, value, level }) =>
      `${ELEMENT_NAMES[element.id] ?? element.id} ${valueText(value, element.unit)} is ${levelText(sort, element.id, level)}`,
  );
  const where = said.area === null ? 'To give' : `To give for ${areaText(said.area)}`;
  const given =
    said.needs.length === 0 ? null : `${where}: ${said.needs.map(needText).join('; ')}.`;
  const parts = [
    `${opening(classes.join('; '))}.`,
    lockedText(said),
    given,
    ...warningTexts(said),
    methodText(said),
    missingText(said),
    LABORATORY_FIRST,
  ];
  return parts.filter((one) => one !== null).join(' ');
}

/** A value that was not taken, and why. */
export const oddText = ({ element, said, why }: OddReading): string =>
  why === 'unknown-unit'
    ? `${opening(ELEMENT_NAMES[element.id] ?? element.id)} "${said}": that unit says nothing here. Write ${element.unit}.`
    : `${opening(ELEMENT_NAMES[element.id] ?? element.id)} "${said}" is not likely: look at the report again.`;
