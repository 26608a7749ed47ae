import type { Job } from '../advice/forSize.ts';
import type { SaidAmount } from '../language/amounts.ts';
import type { SaidSize } from '../language/sizes.ts';
import { weeksBetween } from '../measures/water.ts';
import type { Almanac } from '../timing/almanac.ts';
import type { Day } from '../timing/calendar.ts';

/** Longer ago than this a plant is established, in weeks (common practice: two to three years). */
const ESTABLISHED_WEEKS = 156;

/** What the words say of the size of the work and of how long ago it was planted, in weeks. */
export function jobOf(
  sizes: readonly SaidSize[],
  amounts: readonly SaidAmount[],
  almanac: Almanac,
  today: Day,
  acidLoving: boolean,
): Job {
  const planted = amounts.flatMap((amount) =>
    amount.kind === 'planted' && amount.from !== null && amount.to !== null
      ? [weeksBetween((amount.from + amount.to) / 2, today)]
      : [],
  )[0];
  const growing = almanac.state({ kind: 'season', season: 'growing' }, today);
  return {
    sizes,
    weeksPlanted: planted !== undefined && planted < ESTABLISHED_WEEKS ? planted : null,
    winter: growing.kind === 'opens',
    acidLoving,
  };
}
