import { contactsSchema, dangerSchema } from '../schema/danger.ts';
import { REFERENCE_PLACE } from '../../test/miniLibrary.ts';
import { placeSchema } from '../schema/place.ts';
import { pestLibrary, advise, treatmentEntry } from '../../test/advised.ts';
import { regionAt, regionHere, urgentOf, withheld } from './urgent.ts';

const found = (id: string, call: string[]) => ({
  danger: dangerSchema.parse({
    id,
    order: 1,
    name: 'A danger',
    signs: [['x']],
    say: 'Get away from it and call for help.',
    call,
    source: 'judgement',
  }),
  span: { start: 0, end: 5 },
});
const CONTACTS = [
  { id: 'any', name: 'Anywhere', calls: { vet: { who: 'a vet' }, poison: { who: 'a doctor' } } },
  { id: 'nz', name: 'There', calls: { poison: { who: 'the poison line', number: '5' } } },
].map((one) => contactsSchema.parse({ ...one, source: 'judgement' }));
const place = (id: string, country: string, latitude: number) =>
  placeSchema.parse({ ...REFERENCE_PLACE, id, country, latitude });

it('calls whom the country names, and else whom one calls anywhere', () => {
  const urgent = urgentOf([found('eaten', ['poison', 'vet', 'gas'])], new Set(), CONTACTS, 'nz');
  expect(urgent?.calls).toEqual([
    { call: 'poison', who: 'the poison line', number: '5' },
    { call: 'vet', who: 'a vet', number: null },
  ]);
});

it.each([null, 'xx'])('goes by what holds anywhere in a country that is %s', (country) => {
  const urgent = urgentOf([found('eaten', ['poison'])], new Set(), CONTACTS, country);
  expect(urgent?.calls).toEqual([{ call: 'poison', who: 'a doctor', number: null }]);
});

it('goes on to the next danger when one is dealt with, until none is left', () => {
  const both = [found('eaten', ['vet']), found('fire', ['vet'])];
  const left = (...handled: string[]) =>
    urgentOf(both, new Set(handled), CONTACTS, null)?.danger.id ?? null;
  expect([left(), left('eaten'), left('eaten', 'fire')]).toEqual(['eaten', 'fire', null]);
});

describe('the region of a place', () => {
  const places = [place('a', 'nz', -40), { ...place('b', 'gb', 52), state: 'eng' }];
  const { longitude: lon } = REFERENCE_PLACE;
  // A degree of latitude is 111 km.
  it.each([
    [52.3, 'gb-eng'],
    [51.6, 'gb'],
    [45, 'gb'],
    [43.1, 'gb'],
    [42.9, null],
    [-35, 'nz'],
  ])('at latitude %d is %s', (lat, region) => {
    expect(regionAt(places, { lat, lon })).toBe(region);
    expect(regionHere(null, places, { lat, lon })).toBe(region);
  });
  it('is not known without places', () => {
    expect(regionAt([], { lat: 0, lon: 0 })).toBeNull();
  });
  it.each([
    ['gb-sct', 52, 'gb-sct'],
    ['gb', 52, 'gb-eng'],
    ['gb', 45, 'gb'],
    ['ie', 52, 'ie'],
  ])('is the one that was said, %s, with the state of its place', (said, lat, region) => {
    expect(regionHere(said, places, { lat, lon })).toBe(region);
  });
});

it('leaves nothing of the advice beside a danger but the day to look again', () => {
  const plan = advise(
    pestLibrary({ treatments: [{ use: 'pick', effect: 'strong' }] }, [treatmentEntry('pick')]),
  );
  expect(plan.steps).not.toEqual([]);
  const urgent = urgentOf([found('eaten', ['vet'])], new Set(), CONTACTS, null);
  if (!urgent) throw new Error('a danger was found');
  expect(withheld(plan, urgent)).toEqual({
    verdict: 'professional',
    headline: { code: 'urgent', say: urgent.danger.say },
    steps: [],
    cautions: [],
    refer: [],
    notDoing: [],
    differ: [],
    lookAgain: plan.lookAgain,
  });
});
