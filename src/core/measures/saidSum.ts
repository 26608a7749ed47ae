import { EXACT_NUMBER_PATTERN as NUMBER, numberOf } from '../language/numbers.ts';
import { LITRES_IN_GALLON, METRES_IN_FOOT } from '../util/units.ts';
import type { Calculator, Worked } from './calculator.ts';
import { layer, plants } from './ground.ts';
import { readMeasure } from './readMeasure.ts';
import { roof } from './water.ts';
import { granules } from './work.ts';

/** A sum of the Bench that an enquiry's words give all numbers of. */
export interface SaidSum {
  /** Id of its calculator. */
  readonly calculator: string;
  readonly results: readonly Worked[];
}

const AREA_UNIT = String.raw`(?:sq(?:uare)?\.? ?(?:feet|foot|ft|yards?|yds?|met(?:er|re)s?|m)|ft2|m2|m²|acres?)`;
const SIDE = String.raw`(?:feet|foot|ft|yards?|met(?:er|re)s?|m)?`;
const AREA = new RegExp(
  String.raw`\b(${NUMBER}) ?(?:${SIDE} ?(?:by|x|×) ?(?:${NUMBER}) ?${SIDE}|${AREA_UNIT})(?![a-z])`,
  'gi',
);
const LENGTH = String.raw`(${NUMBER})[ -]?(inch(?:es)?|in|cm|mm|feet|foot|ft|m)\b`;
const RAIN = new RegExp(
  String.raw`${LENGTH} (?:of )?(?:rain|rainfall)|rain\w* (?:of )?${LENGTH}`,
  'i',
);
const APART = new RegExp(
  String.raw`${LENGTH} (?:apart|spacing|between|on center)|spac\w+ (?:of |at )?${LENGTH}`,
  'i',
);
const DEEP = new RegExp(
  String.raw`${LENGTH} (?:deep|thick|layer|of (?:mulch|compost|gravel|soil))`,
  'i',
);
const WEIGHT = new RegExp(
  String.raw`(${NUMBER}) ?(pounds?|lbs?|kg|kilos?)\b[^.?!]{0,30}?\b(?:covers?|treats?|does|for|per|over)\b`,
  'i',
);
const OWN = new RegExp(
  String.raw`\b(?:i have|i've got|we have|mine is|my (?:lawn|yard|bed) is|got|only)\b[^.?!\d]{0,12}(${NUMBER})`,
  'gi',
);

/** Litres of the bag and the barrel that are taken where none is said: two cubic feet, 55 gallons. */
const USUAL_BAG = 2 * 1000 * METRES_IN_FOOT ** 3;
const USUAL_BARREL = 55 * LITRES_IN_GALLON;

const squareMetres = (said: string, isUs: boolean): number | null => {
  const plain = said.replace(/\bsq\.? ?(?=feet|foot)/i, 'square ').replace(/\bsq\. /i, 'sq ');
  const read = readMeasure(plain, 'area', isUs);
  return read.ok ? read.value : null;
};

function areasIn(text: string, isUs: boolean): readonly number[] {
  return [...text.matchAll(AREA)].flatMap(([said]) => squareMetres(said, isUs) ?? []);
}

function lengthIn(text: string, is: RegExp, dimension: 'length' | 'water'): number | null {
  const groups = (is.exec(text) ?? []).slice(1).filter(Boolean);
  const [amount = '', unit = ''] = groups;
  const number = numberOf(amount);
  if (!Number.isFinite(number)) return null;
  const read = readMeasure(`${number} ${unit}`, dimension, true);
  return read.ok ? read.value : null;
}

/** The area that is the enquirer's own, where another one is that of a bag. */
function ownArea(text: string, isUs: boolean): number | null {
  const [, amount] = [...text.matchAll(OWN)].at(-1) ?? [];
  const bare = amount === undefined ? NaN : numberOf(amount);
  const areas = areasIn(text, isUs);
  if (areas.length > 1) return areas.at(-1) ?? null;
  return Number.isFinite(bare) ? squareMetres(`${bare} ${isUs ? 'sq ft' : 'm2'}`, isUs) : null;
}

type Values = Readonly<Record<string, number | string | null>>;

/** The sum, where every number of it is there and makes sense. */
function summed(calculator: Calculator, values: Values): SaidSum | null {
  const known = Object.entries(values).filter(
    (one): one is [string, number | string] => one[1] !== null,
  );
  const run = calculator.run(Object.fromEntries(known));
  return run.ok ? { calculator: calculator.id, results: run.value } : null;
}

/**
 * The sum that is asked for with all its numbers: a roof under rain, plants on an area, mulch on an area, granules by the
 * bag. `isUs` says that bare numbers are feet. Returns null where no sum, or not all of it, was said.
 */
export function saidSum(text: string, isUs: boolean): SaidSum | null {
  const area = areasIn(text, isUs)[0] ?? null;
  if (/\broof\b/i.test(text))
    return summed(roof, { area, rain: lengthIn(text, RAIN, 'water'), barrel: USUAL_BARREL });
  const bag = WEIGHT.exec(text);
  if (bag && area !== null) {
    const weight = readMeasure(`${numberOf(bag[1] ?? '')} ${bag[2] ?? ''}`, 'mass', isUs);
    return summed(granules, {
      bag: weight.ok ? weight.value : null,
      covers: area,
      area: ownArea(text, isUs),
    });
  }
  if (/\b(?:mulch|compost|gravel|bark|chips|topsoil)\b/i.test(text))
    return summed(layer, { area, depth: lengthIn(text, DEEP, 'length'), bag: USUAL_BAG });
  if (/\b(?:plugs?|plants?|bulbs|seedlings)\b/i.test(text))
    return summed(plants, { area, spacing: lengthIn(text, APART, 'length'), pattern: 'square' });
  return null;
}
