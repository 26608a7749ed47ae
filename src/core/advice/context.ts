import type { CauseId, FindingId, PlantId } from '../schema/common.ts';
import type { LawHere } from '../schema/law.ts';
import type { Traits } from '../schema/plant.ts';
import type { Job } from './forSize.ts';
import type { Almanac } from '../timing/almanac.ts';
import type { Day } from '../timing/calendar.ts';

/** How the enquirer wants to garden. */
export const APPROACHES = ['leave', 'organic', 'integrated'] as const;
export type Approach = (typeof APPROACHES)[number];

/** How the enquiry came in. */
export const CHANNELS = ['phone', 'email', 'walk-in', 'text'] as const;
export type Channel = (typeof CHANNELS)[number];

/** What advice depends on besides the causes. */
export interface AdviceContext {
  readonly today: Day;
  readonly almanac: Almanac;
  readonly traits: Traits;
  /** The plant and all groups above it; none while it is unknown. */
  readonly kinds: readonly PlantId[];
  readonly approach: Approach;
  readonly channel: Channel;
  /** Country or its part by ISO 3166; null where it is not known. */
  readonly region: string | null;
  /** Those of the region, see {@link lawsOf}. */
  readonly laws: readonly LawHere[];
  /** What is known of the size of the work. */
  readonly job: Job;
  /** Findings reported as true. */
  readonly reported: ReadonlySet<FindingId>;
  /** Findings answered as not so; what was only overheard as denied lifts no caution. */
  readonly ruledOut: ReadonlySet<FindingId>;
  /** Causes that a laboratory found. */
  readonly confirmed: ReadonlySet<CauseId>;
}
