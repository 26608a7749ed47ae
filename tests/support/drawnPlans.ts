import type { ConsultRequest } from '../../src/contracts/consult.ts';
import { APPROACHES, CHANNELS } from '../../src/core/advice/context.ts';
import type { Cause } from '../../src/core/schema/cause.ts';
import { dayOf, isoDay } from '../../src/core/timing/calendar.ts';
import { seeded } from '../../src/core/util/random.ts';
import { library } from './wholeLibrary.ts';

/** What is true around a plant, and what the rules of safety go by. */
const AROUND = [
  'plant-in-bloom',
  'near-open-water',
  'hot-spell',
  'soil-dry',
  'tall-plant',
  'pets-or-children',
] as const;

/** Half of the plans are about these: where no product comes into question no rule can be broken. */
const isTreatedWithProducts = ({ treatments }: Cause): boolean =>
  treatments.some(({ use }) => (library.treatments.get(use)?.classes.length ?? 0) > 0);

/** Findings below this strength are not seen by every enquirer. */
const OFTEN = 0.4;

export type DrawnBody = Pick<ConsultRequest, 'date' | 'approach' | 'answers'> & {
  readonly words: string;
  readonly plant: string;
  readonly place: { readonly lat: number; readonly lon: number };
  readonly channel: string;
};

/**
 * An enquiry about a cause drawn at random, on one of its hosts, at a place and on a day of 2026, with most of what the
 * cause shows answered as seen and some of what is around the plant. The same seed gives the same enquiry.
 */
export function drawnBody(seed: number): DrawnBody {
  const random = seeded(seed);
  const pick = <T>(from: readonly T[]): T => {
    const one = from[Math.floor(random() * from.length)];
    if (one === undefined) throw new Error('nothing to draw from');
    return one;
  };
  const causes = [...library.causes.values()];
  const cause = pick(random() < 0.5 ? causes : causes.filter(isTreatedWithProducts));
  const place = pick(library.places);
  const seen = [...(library.strengths.get(cause.id) ?? [])]
    .filter(([id, strength]) => strength >= OFTEN && library.findings.get(id)?.group === undefined)
    .map(([id]): string => id)
    .filter(() => random() < 0.8);
  const around = AROUND.filter(() => random() < 0.15);
  return {
    words: '',
    plant: pick(Object.keys(cause.hosts)),
    date: isoDay(dayOf(2026, 1 + Math.floor(random() * 12), 1 + Math.floor(random() * 28))),
    place: { lat: place.latitude, lon: place.longitude },
    channel: pick(CHANNELS),
    approach: random() < 0.6 ? 'integrated' : pick(APPROACHES),
    answers: [...new Set([...seen, ...around])].map((finding) => ({
      finding,
      value: true,
      sure: 0.95,
    })),
  };
}
