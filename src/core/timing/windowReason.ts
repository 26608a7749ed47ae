import type { SeasonName, WindowRule } from '../schema/window.ts';
import { monthDayInWords, type Day } from './calendar.ts';
import { heatSoFar } from './heatSoFar.ts';
import type { SeasonYear } from './seasonYear.ts';

const SEASON_WORDS: Readonly<Record<SeasonName, string>> = {
  dormant: 'while the plant rests, by the temperatures here',
  'late-winter': 'the last weeks before growth starts here',
  'bud-break': 'as buds open here, about 100 degree-days above 5 C',
  spring: 'from the start of growth towards summer here',
  'early-summer': 'the weeks before the warmest days here',
  summer: 'the warmest weeks here',
  'late-summer': 'the weeks after the warmest days here',
  autumn: 'from the cooling of late summer to the end of growth here',
  growing: 'from the start to the end of growth here',
  'frost-free': 'while mean nights here stay above 6 C',
};

/** Why a window has its dates: what they hang on, and how far it has got. `placeName` names a reference place. */
export function windowReason(
  rule: WindowRule,
  year: SeasonYear,
  today: Day,
  south: boolean,
  placeName: (placeId: string | null) => string,
): string {
  switch (rule.kind) {
    case 'any':
      return 'at any time';
    case 'season':
      return SEASON_WORDS[rule.season];
    case 'degree-days': {
      const sum = Math.round(heatSoFar(year, rule.baseCelsius, today, south));
      const [from, to] = [Math.round(rule.from), Math.round(rule.to)];
      return `between ${from} and ${to} degree-days above ${rule.baseCelsius} C; ${sum} so far`;
    }
    case 'calendar': {
      const said = [rule.from, rule.to].map(monthDayInWords);
      return `${said.join(' to ')} in ${placeName(rule.at)}, carried here by the heat of the season`;
    }
    case 'plant':
      return 'counted from the turns of the plant itself';
  }
}
