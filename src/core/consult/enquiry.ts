import type { Approach, Channel } from '../advice/context.ts';
import type { LaboratoryResult } from '../diagnosis/laboratory.ts';
import type { Experience } from '../diagnosis/learning.ts';
import type { FindingId, PlantId } from '../schema/common.ts';
import type { Day } from '../timing/calendar.ts';
import type { Coordinates } from '../timing/climate.ts';
import type { WeatherDay } from '../timing/weather.ts';

/** One answer given by the enquirer, or one correction by the advisor; it outweighs what was heard. */
export type Answer =
  | {
      readonly kind: 'answered';
      readonly finding: FindingId;
      readonly value: boolean;
      readonly sure: number;
    }
  /** The enquirer cannot tell; `asked` is the id of the finding or group, which is not asked again. */
  | { readonly kind: 'unknown'; readonly asked: string };

/** An enquiry about one plant. */
export interface Enquiry {
  readonly words: string;
  readonly today: Day;
  readonly place: Coordinates;
  /** Country or its part by ISO 3166; null takes that of the nearest reference place. */
  readonly region: string | null;
  /** Set by the advisor; otherwise the plant is taken from the words. */
  readonly plant: PlantId | null;
  readonly channel: Channel;
  readonly approach: Approach;
  readonly answers: readonly Answer[];
  /** Ids of dangers that were dealt with; the others come before all advice. */
  readonly handled: ReadonlySet<string>;
  /** The clinic's confirmed cases; empty leaves the library's own idea of what is common. */
  readonly experience: Experience;
  /** What laboratories found of this plant. */
  readonly results: readonly LaboratoryResult[];
  /** Days observed at the place, in order; empty takes normal years. */
  readonly weather: readonly WeatherDay[];
}
