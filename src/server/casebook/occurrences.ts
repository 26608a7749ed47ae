import { zipSync, strToU8 } from 'fflate';
import type { ExportedCase } from '../../contracts/casebook.ts';
import type { CasePlant, CaseRecord, StoredOutcome } from '../../contracts/cases.ts';
import type { Cause } from '../../core/schema/cause.ts';
import type { Library } from '../../core/schema/library.ts';
import type { Plant } from '../../core/schema/plant.ts';

/** Places are given to a tenth of a degree, some ten kilometers: enough for a map, too little for a garden gate. */
export const coarse = (degrees: number): number => Math.round(degrees * 10) / 10;
/** How far the garden may lie from such a place: half the diagonal of the square, in meters. */
const UNCERTAINTY_METRES = 8000;

/** Something that was confirmed on a plant: what it was, on what, where and when. Nobody is named. */
export interface Occurrence {
  readonly id: string;
  readonly on: string;
  readonly latitude: number;
  readonly longitude: number;
  readonly confirmed: StoredOutcome['confirmed'];
  /** Id of the cause, also where the library no longer has it. */
  readonly cause: string;
  readonly name: string;
  readonly scientific: string;
  readonly host: string;
  readonly hostScientific: string;
}

/** Names of the library, by id. */
export interface Names {
  readonly causes: ReadonlyMap<string, Cause>;
  readonly plants: ReadonlyMap<string, Plant>;
}
export const namesOf = ({ causes, plants }: Library): Names => ({
  causes: new Map<string, Cause>(causes.map((cause) => [cause.id, cause])),
  plants: new Map<string, Plant>(plants.map((plant) => [plant.id, plant])),
});

function occurrenceOf({ id }: CaseRecord, plant: CasePlant, names: Names): Occurrence | null {
  const { outcome, closingAnswer, place } = plant;
  if (!outcome) return null;
  const cause = names.causes.get(outcome.cause);
  const host = names.plants.get(plant.plant ?? closingAnswer?.plant?.id ?? '');
  return {
    id: `${id}:${plant.id}`,
    on: plant.date,
    latitude: coarse(place.lat),
    longitude: coarse(place.lon),
    confirmed: outcome.confirmed,
    cause: outcome.cause,
    name: cause?.name ?? outcome.cause.replaceAll('-', ' '),
    scientific: cause?.scientific ?? '',
    host: host?.name ?? '',
    hostScientific: host?.scientific ?? '',
  };
}

/** What was confirmed in a case, a line for each plant that something was confirmed on. */
export function occurrencesIn({ case: record }: ExportedCase, names: Names): Occurrence[] {
  return record.plants.flatMap((plant) => occurrenceOf(record, plant, names) ?? []);
}

/** Pieces of a GeoJSON collection of points (RFC 7946), with the names of what was found. */
export async function* geoJson(
  cases: AsyncIterable<ExportedCase>,
  names: Names,
): AsyncGenerator<string> {
  let isFirst = true;
  yield '{"type":"FeatureCollection","features":[';
  for await (const one of cases)
    for (const { latitude, longitude, ...properties } of occurrencesIn(one, names)) {
      const geometry = { type: 'Point', coordinates: [longitude, latitude] };
      yield `${isFirst ? '' : ','}\n${JSON.stringify({ type: 'Feature', id: properties.id, geometry, properties })}`;
      isFirst = false;
    }
  yield '\n]}\n';
}

/** Fields of the archive: terms of Darwin Core (TDWG, 2009; names recalled). */
const FIELDS = [
  'occurrenceID',
  'basisOfRecord',
  'eventDate',
  'decimalLatitude',
  'decimalLongitude',
  'geodeticDatum',
  'coordinateUncertaintyInMeters',
  'countryCode',
  'scientificName',
  'vernacularName',
  'associatedTaxa',
  'identificationVerificationStatus',
  'occurrenceStatus',
] as const;
const BASES: Readonly<Record<Occurrence['confirmed'], string>> = {
  laboratory: 'MaterialSample',
  'in-hand': 'HumanObservation',
  photograph: 'HumanObservation',
  enquirer: 'HumanObservation',
};
/** A cell of a file whose cells are separated by tabs. */
const cell = (text: string | number): string => String(text).replaceAll(/[\t\r\n]+/g, ' ');

function rowOf(one: Occurrence, country: string | null): string {
  const host = one.hostScientific || one.host;
  const values: Readonly<Record<(typeof FIELDS)[number], string | number>> = {
    occurrenceID: one.id,
    basisOfRecord: BASES[one.confirmed],
    eventDate: one.on,
    decimalLatitude: one.latitude,
    decimalLongitude: one.longitude,
    geodeticDatum: 'WGS84',
    coordinateUncertaintyInMeters: UNCERTAINTY_METRES,
    countryCode: (country ?? '').toUpperCase(),
    scientificName: one.scientific,
    vernacularName: one.name,
    associatedTaxa: host === '' ? '' : `host: ${host}`,
    identificationVerificationStatus: one.confirmed,
    occurrenceStatus: 'present',
  };
  return FIELDS.map((field) => cell(values[field])).join('\t');
}

const META = `<?xml version="1.0" encoding="UTF-8"?>
<archive xmlns="http://rs.tdwg.org/dwc/text/" metadata="eml.xml">
  <core encoding="UTF-8" fieldsTerminatedBy="\\t" linesTerminatedBy="\\n" fieldsEnclosedBy="" ignoreHeaderLines="1" rowType="http://rs.tdwg.org/dwc/terms/Occurrence">
    <files><location>occurrence.txt</location></files>
    <id index="0"/>
${FIELDS.map((field, i) => `    <field index="${i}" term="http://rs.tdwg.org/dwc/terms/${field}"/>`).join('\n')}
  </core>
</archive>
`;

const escaped = (text: string): string =>
  text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;');

const eml = (clinic: string, day: string): string => `<?xml version="1.0" encoding="UTF-8"?>
<eml:eml xmlns:eml="eml://ecoinformatics.org/eml-2.1.1" packageId="casebook-${day}" system="clinic">
  <dataset>
    <title>Confirmed plant troubles of ${escaped(clinic)}</title>
    <creator><organizationName>${escaped(clinic)}</organizationName></creator>
    <pubDate>${day}</pubDate>
    <abstract><para>Troubles of plants that were confirmed, by place to a tenth of a degree. Nobody is named.</para></abstract>
    <contact><organizationName>${escaped(clinic)}</organizationName></contact>
  </dataset>
</eml:eml>
`;

/** Most occurrences of one archive, as it is made in memory. */
export const MAX_OCCURRENCES = 100_000;

/** A fixed time inside the archive, so that the same cases give the same bytes. */
const MADE = new Date('2000-01-01T00:00:00Z');

/**
 * What was confirmed and has a scientific name, as a Darwin Core archive; null where that is more than
 * {@link MAX_OCCURRENCES}.
 */
export async function darwinCore(
  cases: AsyncIterable<ExportedCase>,
  names: Names,
  about: { readonly clinic: string; readonly country: string | null; readonly day: string },
): Promise<Buffer | null> {
  const rows: string[] = [FIELDS.join('\t')];
  for await (const one of cases) {
    const named = occurrencesIn(one, names).filter(({ scientific }) => scientific !== '');
    rows.push(...named.map((occurrence) => rowOf(occurrence, about.country)));
    if (rows.length > MAX_OCCURRENCES) return null;
  }
  const files = {
    'occurrence.txt': `${rows.join('\n')}\n`,
    'meta.xml': META,
    'eml.xml': eml(about.clinic, about.day),
  };
  const packed = Object.entries(files).map(([name, text]): [string, Uint8Array] => [
    name,
    strToU8(text),
  ]);
  return Buffer.from(zipSync(Object.fromEntries(packed), { mtime: MADE }));
}
