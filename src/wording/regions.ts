import { countryOf, stateOf } from '../core/schema/region.ts';

const COUNTRIES = new Intl.DisplayNames(['en-US'], { type: 'region' });

/** Names of states, provinces and nations by their country and their code of ISO 3166-2. */
const STATES: Readonly<Record<string, Readonly<Record<string, string>>>> = {
  us: {
    ...{ al: 'Alabama', ak: 'Alaska', az: 'Arizona', ar: 'Arkansas', ca: 'California' },
    ...{ co: 'Colorado', ct: 'Connecticut', de: 'Delaware', dc: 'District of Columbia' },
    ...{ fl: 'Florida', ga: 'Georgia', hi: 'Hawaii', id: 'Idaho', il: 'Illinois', in: 'Indiana' },
    ...{ ia: 'Iowa', ks: 'Kansas', ky: 'Kentucky', la: 'Louisiana', me: 'Maine', md: 'Maryland' },
    ...{ ma: 'Massachusetts', mi: 'Michigan', mn: 'Minnesota', ms: 'Mississippi', mo: 'Missouri' },
    ...{ mt: 'Montana', ne: 'Nebraska', nv: 'Nevada', nh: 'New Hampshire', nj: 'New Jersey' },
    ...{ nm: 'New Mexico', ny: 'New York', nc: 'North Carolina', nd: 'North Dakota', oh: 'Ohio' },
    ...{ ok: 'Oklahoma', or: 'Oregon', pa: 'Pennsylvania', ri: 'Rhode Island' },
    ...{ sc: 'South Carolina', sd: 'South Dakota', tn: 'Tennessee', tx: 'Texas', ut: 'Utah' },
    ...{ vt: 'Vermont', va: 'Virginia', wa: 'Washington', wv: 'West Virginia', wi: 'Wisconsin' },
    wy: 'Wyoming',
  },
  ca: {
    ...{ ab: 'Alberta', bc: 'British Columbia', mb: 'Manitoba', nb: 'New Brunswick' },
    ...{ nl: 'Newfoundland and Labrador', nt: 'Northwest Territories', ns: 'Nova Scotia' },
    ...{ nu: 'Nunavut', on: 'Ontario', pe: 'Prince Edward Island', qc: 'Quebec' },
    ...{ sk: 'Saskatchewan', yt: 'Yukon' },
  },
  au: {
    ...{ act: 'Australian Capital Territory', nsw: 'New South Wales', nt: 'Northern Territory' },
    ...{ qld: 'Queensland', sa: 'South Australia', tas: 'Tasmania', vic: 'Victoria' },
    wa: 'Western Australia',
  },
  gb: { eng: 'England', nir: 'Northern Ireland', sct: 'Scotland', wls: 'Wales' },
};

/** The states of a country with their codes, by name; empty where none are listed, and then its rules hold for all of it. */
export const statesOf = (country: string): readonly (readonly [code: string, name: string])[] =>
  Object.entries(STATES[country] ?? {}).sort(([, a], [, b]) => a.localeCompare(b));

/** Codes that the names of regions hold besides countries: unions, and the unknown. */
const NO_COUNTRIES = new Set(['EU', 'EZ', 'QO', 'UN', 'XA', 'XB', 'ZZ']);
const LETTERS = 'A B C D E F G H I J K L M N O P Q R S T U V W X Y Z'.split(' ');

/** All countries with their codes, by name. */
export const allCountries = (): readonly (readonly [code: string, name: string])[] =>
  LETTERS.flatMap((first) => LETTERS.map((second) => `${first}${second}`))
    .filter((code) => !NO_COUNTRIES.has(code))
    .flatMap((code) => {
      const name = COUNTRIES.of(code);
      return name === undefined || name === code ? [] : [[code.toLowerCase(), name] as const];
    })
    .sort(([, a], [, b]) => a.localeCompare(b));

/** Whether a country has a part of that code that is listed. */
export const isState = (country: string, state: string): boolean =>
  STATES[country]?.[state] !== undefined;

/** The name of a country or its state, as "Maine"; its code where no name is known. */
export function regionName(region: string): string {
  const state = stateOf(region);
  const named = state === null ? undefined : STATES[countryOf(region)]?.[state];
  return named ?? COUNTRIES.of(countryOf(region).toUpperCase()) ?? region;
}
