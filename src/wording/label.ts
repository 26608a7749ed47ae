import {
  labelJob,
  standOf,
  type JudgedLabel,
  type LabelPoint,
  type Stand,
} from '../core/advice/labelFit.ts';
import { readLabel, type Label, type Signal } from '../core/measures/label/readLabel.ts';
import { notDoingText } from './advice.ts';
import { areaText } from './amounts.ts';
import { workedText } from './measures.ts';
import { midSentence } from './midSentence.ts';
import { quantityText } from './quantities.ts';

const GEAR: Readonly<Record<Signal, string>> = {
  caution:
    'Caution is the mildest signal word: gloves, long sleeves and closed shoes, and what the label adds.',
  warning:
    'Warning: gloves that bear the product, goggles, long sleeves and trousers, and what the label adds. Is a milder product enough?',
  danger:
    'Danger is the gravest signal word: it burns or poisons. Leave it to those who are trained and equipped, and look for a milder product.',
};

const FIXED = {
  'ingredient-unknown':
    'What it holds is not known here: read out the active ingredient in small print.',
  'no-cause-yet': 'No product before it is clear what the trouble is.',
  'licence-holders-only': 'Only a license holder may buy and apply this.',
  'signal-not-read': 'Which signal word stands on the front: caution, warning or danger?',
  'rate-by-acre': 'The rate is by the acre or hectare: a label for farms, not for a garden.',
  'rate-odd': 'That is a very strong mix: read the rate and its unit once more.',
  'rate-not-read': 'How much goes into how much water, or onto what area?',
  'harvest-not-read': 'How many days to harvest does it give for this crop?',
} as const;

function ingredientText({
  treatment,
  planned,
  helps,
}: Extract<LabelPoint, { code: 'ingredient' }>): string {
  const name = midSentence(treatment);
  if (planned) return `It is ${name}, as the plan says.`;
  return helps
    ? `It is ${name}, which works on this too; the plan does without it.`
    : `It is ${name}, which nothing here is known to work on.`;
}

const degrees = (value: number): string =>
  quantityText({ from: value, to: value, unit: 'C' }, Math.round);

/** One point of a label, in a sentence. */
export function labelPointText(point: LabelPoint): string {
  switch (point.code) {
    case 'ingredient':
      return ingredientText(point);
    case 'ruled-out':
      return `Not here: ${midSentence(notDoingText(point.why))}`;
    case 'pest-listed':
      return `The label names ${midSentence(point.cause)}.`;
    case 'pest-not-listed':
      return `Not on the label: it names other culprits and not ${midSentence(point.cause)}.`;
    case 'pest-not-read':
      return `Does it name ${midSentence(point.cause)} among what it works on?`;
    case 'plant-listed':
      return `The label names ${midSentence(point.plant)} or its kind.`;
    case 'plant-not-listed':
      return `Not on the label: it names other plants and not ${midSentence(point.plant)}.`;
    case 'plant-not-read':
      return `Does it name ${midSentence(point.plant)}, or its kind, among the plants it is for?`;
    case 'plant-excluded':
      return `The label says not to use it on ${midSentence(point.plant)}.`;
    case 'signal':
      return GEAR[point.signal];
    case 'too-hot':
      return `Not above ${degrees(point.limit)}: such a day here reaches about ${degrees(point.usual)}. Use it on a cooler day, early or late.`;
    case 'too-cold':
      return `Not below ${degrees(point.limit)}: such a day here reaches about ${degrees(point.usual)}. Wait for a warmer one.`;
    default:
      return FIXED[point.code];
  }
}

/** What a judgement comes to. */
export const STAND_WORDS: Readonly<Record<Stand, string>> = {
  fits: 'It fits, as far as it was read.',
  look: 'Read on: something is open.',
  refused: 'Do not use it for this.',
};

/** A mark and a word beside each point, so that none hangs on colour. */
export const STAND_MARKS: Readonly<Record<Stand, string>> = {
  fits: 'yes',
  look: 'look',
  refused: 'no',
};

const days = (count: number): string => (count === 1 ? '1 day' : `${count} days`);
const hours = (count: number): string => (count === 1 ? '1 hour' : `${count} hours`);

/** What a label asks for, in short sentences. */
export function labelFactTexts(label: Label): readonly string[] {
  const { everyDays, mostPerYear, daysToHarvest, reentryHours, rainFreeHours } = label;
  const { maxCelsius, minCelsius } = label;
  return [
    everyDays !== null && `again after ${days(everyDays)} at the soonest`,
    mostPerYear !== null &&
      (mostPerYear === 1 ? 'once a year' : `at most ${mostPerYear} times a year`),
    daysToHarvest !== null && `${days(daysToHarvest)} to harvest`,
    reentryHours !== null && `nobody back to it for ${hours(reentryHours)}`,
    rainFreeHours !== null && `dry for ${hours(rainFreeHours)}`,
    maxCelsius !== null && `not above ${degrees(maxCelsius)}`,
    minCelsius !== null && `not below ${degrees(minCelsius)}`,
  ].filter((one) => one !== false);
}

const worked = (value: number, dimension: 'volume' | 'mass'): string =>
  workedText({ id: '', from: value, to: value, dimension });

/** What the job takes by the label. Empty where the rate was not read. */
export function labelJobTexts({ job }: Pick<JudgedLabel, 'job'>): readonly string[] {
  const { tank, eachFilling, area, mix, product, fillings, granules } = job;
  const filling =
    eachFilling === null
      ? null
      : `${worked(eachFilling, 'volume')} of product in ${worked(tank ?? 1, 'volume')} of water.`;
  const all =
    mix === null || area === null
      ? null
      : `For ${areaText(area)}: ${worked(mix, 'volume')} of spray${product === null ? '' : ` with ${worked(product, 'volume')} of product`}${fillings === null ? '' : `, in ${fillings === 1 ? 'one filling' : `${fillings} fillings`}`}.`;
  const spread =
    granules === null || area === null
      ? null
      : `For ${areaText(area)}: ${worked(granules / 1000, 'mass')} of granules, half each way.`;
  return [filling, all, spread].filter((one) => one !== null);
}

/** What a kept label asks for and its rate, in short. Empty where nothing was read out. */
export function labelLines(text: string): readonly string[] {
  if (text === '') return [];
  const label = readLabel(text);
  return [...labelJobTexts({ job: labelJob(label, null) }), ...labelFactTexts(label)].map((one) =>
    one.replace(/\.$/, ''),
  );
}

/** Every point with its mark, what is refused first. */
export function labelPointTexts({ points }: Pick<JudgedLabel, 'points'>): readonly {
  readonly stand: Stand;
  readonly text: string;
}[] {
  const order: readonly Stand[] = ['refused', 'look', 'fits'];
  return points
    .map((point) => ({ stand: standOf(point), text: labelPointText(point) }))
    .sort((a, b) => order.indexOf(a.stand) - order.indexOf(b.stand));
}
