import type { FoundDanger } from '../language/dangers.ts';
import type { Call, Contacts, Danger } from '../schema/danger.ts';
import type { Place } from '../schema/place.ts';
import { countryOf, regionOf } from '../schema/region.ts';
import { distanceKm, type Coordinates } from '../timing/climate.ts';
import type { Advice } from './plan.ts';

/** One to call; `number` is null where the library knows none. */
export interface CallFor {
  readonly call: Call;
  readonly who: string;
  readonly number: string | null;
}

/** What comes before any diagnosis, and whom to call for it. */
export interface Urgent {
  readonly danger: Danger;
  readonly span: FoundDanger['span'];
  readonly calls: readonly CallFor[];
}

/** Contacts where no country is known, or for what a country does not name. */
const ANYWHERE = 'any';

/** Farther away than this a reference place says nothing of the country, or of the state. */
const SAME_COUNTRY_KM = 1000;
const SAME_STATE_KM = 40;

/**
 * The region of the nearest reference place: its country within 1,000 km, with its state within 40; near a border it can be the
 * neighbor's. Returns null where none lies so near. Coordinates are in degrees.
 */
export function regionAt(places: readonly Place[], at: Coordinates): string | null {
  const kmTo = ({ latitude, longitude }: Place): number =>
    distanceKm({ lat: latitude, lon: longitude }, at);
  const [first, ...others] = places;
  if (!first) return null;
  const nearest = others.reduce((a, b) => (kmTo(b) < kmTo(a) ? b : a), first);
  const { country, state = null } = nearest;
  if (kmTo(nearest) > SAME_COUNTRY_KM) return null;
  return regionOf(country, kmTo(nearest) <= SAME_STATE_KM ? state : null);
}

/** The region of an enquiry: the one that was said, with a state from its place where only the country was. */
export function regionHere(
  said: string | null,
  places: readonly Place[],
  at: Coordinates,
): string | null {
  if (said !== null && said !== countryOf(said)) return said;
  const near = regionAt(places, at);
  return said === null || (near !== null && countryOf(near) === said) ? near : said;
}

/** Whom to call for a danger in a region. What no contact is known for is left out. */
function callsFor(
  { call }: Danger,
  contacts: readonly Contacts[],
  region: string | null,
): readonly CallFor[] {
  const lists = [region && countryOf(region), ANYWHERE].flatMap(
    (id) => contacts.find((one) => one.id === id) ?? [],
  );
  return call.flatMap((one) => {
    const contact = lists.map(({ calls }) => calls[one]).find((found) => found !== undefined);
    return contact ? { call: one, who: contact.who, number: contact.number ?? null } : [];
  });
}

/** The most urgent of the dangers that were found, without those that were dealt with. Returns null when none is left. */
export function urgentOf(
  found: readonly FoundDanger[],
  handled: ReadonlySet<string>,
  contacts: readonly Contacts[],
  region: string | null,
): Urgent | null {
  const first = found.find(({ danger }) => !handled.has(danger.id));
  if (!first) return null;
  return { ...first, calls: callsFor(first.danger, contacts, region) };
}

/** Advice that waits: no treatment stands beside a danger. The date to look again, in days, stays. */
export const withheld = (advice: Advice, { danger }: Urgent): Advice => ({
  ...advice,
  verdict: 'professional',
  headline: { code: 'urgent', say: danger.say },
  steps: [],
  cautions: [],
  refer: [],
  notDoing: [],
  differ: [],
});
