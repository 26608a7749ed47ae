import { z } from 'zod';
import { REGION_FORM } from './fieldFault.ts';

/** A country by ISO 3166-1 or a part of one by ISO 3166-2, in small letters: "us", "us-me". */
export const regionSchema = z.string().regex(REGION_FORM);

/** The country of a region. */
export const countryOf = (region: string): string => region.slice(0, 2);

/** The part of a region without its country, "me"; null for a whole country. */
export const stateOf = (region: string): string | null => region.slice(3) || null;

/** A region of its country and its part; null where the country is not known. */
export const regionOf = (country: string | null, state: string | null): string | null =>
  country === null || state === null ? country : `${country}-${state}`;

/** How much of a region a list covers; `part` where it names some states and the state of the region is not known. */
export type Cover = 'whole' | 'part' | 'none';

/** Names for several regions, each with those that it holds. */
export type RegionsByArea = ReadonlyMap<string, { readonly regions: readonly string[] }>;

/** How much of `region` the regions and areas of `where` cover. */
export function coverOf(where: readonly string[], region: string, areas: RegionsByArea): Cover {
  const named = where.flatMap((one) => areas.get(one)?.regions ?? [one]);
  if (named.some((one) => one === region || one === countryOf(region))) return 'whole';
  return named.some((one) => one.startsWith(`${region}-`)) ? 'part' : 'none';
}
