import type { AdviceContext } from '../core/advice/context.ts';
import type { Compiled } from '../core/library/compile.ts';
import { almanacAt, day } from './setting.ts';

/** What advice depends on, on a mild day at a latitude, with anything changed. */
export function adviceContext(
  library: Pick<Compiled, 'places'>,
  lat: number,
  today: string,
  change: Partial<AdviceContext> = {},
): AdviceContext {
  return {
    today: day(today),
    almanac: almanacAt(library, lat),
    traits: {},
    kinds: [],
    approach: 'integrated',
    channel: 'phone',
    region: null,
    laws: [],
    job: { sizes: [], weeksPlanted: null, winter: false, acidLoving: false },
    reported: new Set(),
    ruledOut: new Set(),
    confirmed: new Set(),
    ...change,
  };
}
