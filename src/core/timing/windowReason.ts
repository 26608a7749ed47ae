import type { SeasonName, WindowRule } from '../schema/window.ts';
import type { Day } from './calendar.ts';
import { heatSoFar } from './heatSoFar.ts';
import type { SeasonYear } from './seasonYear.ts';

interface MonthDay {
  readonly month: number;
  readonly day: number;
}

/** Why a window has its dates: what they hang on, and how far it has got. */
export type WindowReason =
  | { readonly code: 'any-time' | 'plant-stage' }
  | { readonly code: 'season'; readonly season: SeasonName }
  /** Sums of degree-days above `baseCelsius`, rounded. */
  | {
      readonly code: 'degree-days';
      readonly from: number;
      readonly to: number;
      readonly baseCelsius: number;
      readonly soFar: number;
    }
  /** `place`: name of the reference place; null where the library does not have it. */
  | {
      readonly code: 'calendar';
      readonly from: MonthDay;
      readonly to: MonthDay;
      readonly place: string | null;
    };

/** Why a window has its dates. `placeName` names a reference place; null for the standard one. */
export function windowReason(
  rule: WindowRule,
  year: SeasonYear,
  today: Day,
  south: boolean,
  placeName: (placeId: string | null) => string | null,
): WindowReason {
  switch (rule.kind) {
    case 'any':
      return { code: 'any-time' };
    case 'season':
      return { code: 'season', season: rule.season };
    case 'degree-days': {
      const sum = Math.round(heatSoFar(year, rule.baseCelsius, today, south));
      const [from, to] = [Math.round(rule.from), Math.round(rule.to)];
      return { code: 'degree-days', from, to, baseCelsius: rule.baseCelsius, soFar: sum };
    }
    case 'calendar':
      return { code: 'calendar', from: rule.from, to: rule.to, place: placeName(rule.at) };
    case 'plant':
      return { code: 'plant-stage' };
  }
}
