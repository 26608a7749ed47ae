import type { Job } from '../core/advice/forSize.ts';
import type { MeasureId } from '../core/schema/amount.ts';

/** The calculator that each measure of the library is worked out by. */
const CALCULATOR: Readonly<Record<Exclude<MeasureId, 'pot-wider'>, string>> = {
  'tree-water': 'new-tree',
  rain: 'bed-water',
  layer: 'layer',
  succulent: 'succulent',
  lime: 'lime',
  sulfur: 'sulfur',
};

const twoDigits = (value: number): string => String(Number(value.toPrecision(2)));
const centimetres = (metres: number): string => `${twoDigits(100 * metres)} cm`;

/** What the words say for the blanks of a calculator, as it would be typed there. */
function blanksOf(measure: MeasureId, { sizes, weeksPlanted, winter }: Job): [string, string][] {
  const blanks = sizes.flatMap((size): [string, string][] => {
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
  if (measure === 'tree-water' && weeksPlanted !== null)
    blanks.push(['since', `${twoDigits(weeksPlanted)} weeks`]);
  if (measure === 'succulent') blanks.push(['season', winter ? 'winter' : 'summer']);
  return blanks;
}

/** The Bench with what is known filled in; null where the amount comes from no calculator. */
export function benchLink(measure: MeasureId | null, job: Job): string | null {
  if (measure === null || measure === 'pot-wider') return null;
  if (measure === 'tree-water' && job.weeksPlanted === null) return null;
  const blanks = new URLSearchParams(blanksOf(measure, job)).toString();
  return `/bench/${CALCULATOR[measure]}${blanks === '' ? '' : `?${blanks}`}`;
}
