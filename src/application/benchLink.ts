import type { Job } from '../core/advice/forSize.ts';
import type { Step } from '../core/advice/plan.ts';
import { CALCULATORS } from '../core/measures/all.ts';
import { WANTED_PH } from '../core/measures/ground.ts';
import type { AmountUnit, MeasureId } from '../core/schema/amount.ts';

/** The calculator that each measure of the library is worked out by. */
const CALCULATOR: Readonly<Record<Exclude<MeasureId, 'pot-wider'>, string>> = {
  'tree-water': 'new-tree',
  rain: 'bed-water',
  layer: 'layer',
  succulent: 'succulent',
  lime: 'lime',
  sulfur: 'sulfur',
};

const ALL = Object.values(CALCULATORS).flat();

type Blanks = readonly (readonly [name: string, typed: string])[];

const twoDigits = (value: number): string => String(Number(value.toPrecision(2)));
const centimetres = (metres: number): string => `${twoDigits(100 * metres)} cm`;

/** Sizes in the words, as they would be typed. */
function sizesTyped({ sizes }: Job): Blanks {
  return sizes.flatMap((size): Blanks => {
    switch (size.kind) {
      case 'trunk':
        return [['trunk', centimetres(size.metres)]];
      case 'pot':
        return [['width', centimetres(size.metres)]];
      case 'area':
        return [['area', `${twoDigits(size.squareMetres)} m2`]];
      case 'ph':
        return [['present', String(size.value)]];
      default:
        return [];
    }
  });
}

/** The least of an amount in a unit, as it would be typed for a blank. */
function leastTyped({ amount }: Pick<Step, 'amount'>, name: string, unit: AmountUnit): Blanks {
  const least = amount?.parts.flatMap((part) =>
    typeof part !== 'string' && part.unit === unit ? [part.from] : [],
  )[0];
  return least === undefined ? [] : [[name, `${least} ${unit}`]];
}

/** What the plan asks for, where the calculator would begin with something else. */
function askedFor(step: Pick<Step, 'amount' | 'measure'>, job: Job): Blanks {
  switch (step.measure) {
    case 'tree-water':
      return [['since', `${twoDigits(job.weeksPlanted ?? 0)} weeks`]];
    case 'rain':
      return [...leastTyped(step, 'need', 'mm'), ['rain', '0 mm']];
    case 'layer':
      return leastTyped(step, 'depth', 'cm');
    case 'succulent':
      return [['season', job.winter ? 'winter' : 'summer']];
    case 'lime':
    case 'sulfur':
      return [
        ['wanted', String(job.acidLoving ? WANTED_PH.acidLoving : WANTED_PH.other)],
        ['texture', 'loam'],
      ];
    default:
      return [];
  }
}

/** The Bench with what is known filled in, so that it comes to what the plan says; null where the amount comes from no calculator. */
export function benchLink(step: Pick<Step, 'amount' | 'measure'>, job: Job): string | null {
  const { measure } = step;
  if (measure === null || measure === 'pot-wider') return null;
  if (measure === 'tree-water' && job.weeksPlanted === null) return null;
  const id = CALCULATOR[measure];
  const inputs = ALL.find((calculator) => calculator.id === id)?.inputs ?? {};
  const blanks = [...sizesTyped(job), ...askedFor(step, job)].filter(([name]) => name in inputs);
  const typed = new URLSearchParams(blanks.map(([name, text]) => [name, text])).toString();
  return `/bench/${id}${typed === '' ? '' : `?${typed}`}`;
}
