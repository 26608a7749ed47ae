import { asc, type InferSelectModel } from 'drizzle-orm';
import type { Approach } from '../../core/advice/context.ts';
import type { Coordinates } from '../../core/timing/climate.ts';
import { isoDay, dayOf } from '../../core/timing/calendar.ts';
import type { Spelling } from '../../wording/spelling.ts';
import type { Database } from '../db/connect.ts';
import { clinics } from '../db/schema.ts';

/** A clinic that a server works for, and its clock. */
export interface ClinicContext {
  readonly id: number;
  readonly name: string;
  readonly region: string;
  readonly place: Coordinates;
  /** By ISO 3166; null where it goes by the nearest reference place. */
  readonly country: string | null;
  /** Part of that country; null where it is not known. */
  readonly state: string | null;
  readonly spelling: Spelling;
  /** Days after which names and numbers of enquirers are taken out. */
  readonly retentionDays: number;
  readonly address: string;
  readonly hours: string;
  readonly languages: string;
  /** A new case begins with it. */
  readonly approach: Approach;
  readonly now: () => Date;
  /** The clinic's day, as an ISO date. */
  readonly today: () => string;
}

/** The invented clinic of the demonstration. */
export const DEMO_CLINIC = {
  name: 'Larkspur Quay Plant Clinic',
  region: 'Tern County',
  latitude: 44.6,
  longitude: -67.9,
  height: 12,
  address: '3 Lantern Wharf, Larkspur Quay',
  hours: 'Tuesday to Saturday, 9 to 4; the telephone from 8',
  languages: 'English, French',
} as const;

const DAY_MS = 86_400_000;

/** Milliseconds by which solar time at a longitude, in degrees, is ahead of universal time. */
const aheadAt = (longitude: number): number => Math.round((longitude / 360) * DAY_MS);

/** A clock that runs; where a day is pinned, on that day at the longitude, with the time of day there. */
export function makeClock(pinnedDay: string | undefined, longitude: number): () => Date {
  if (pinnedDay === undefined) return () => new Date();
  const ahead = aheadAt(longitude);
  const midnight = Date.parse(`${pinnedDay}T00:00:00Z`);
  return () => {
    const local = Date.now() + ahead;
    return new Date(midnight + (local - Math.floor(local / DAY_MS) * DAY_MS) - ahead);
  };
}

/** Day of the clinic at a moment, by the longitude's solar time: good enough to tell the date. */
export function civilDay(moment: Date, longitude: number): string {
  const local = new Date(moment.getTime() + aheadAt(longitude));
  return isoDay(dayOf(local.getUTCFullYear(), local.getUTCMonth() + 1, local.getUTCDate()));
}

/** What the environment says of every clinic of a server. */
export interface ClinicSettings {
  /** Day on which the clock is pinned. */
  readonly pinnedDay?: string | undefined;
  readonly country?: string | undefined;
  readonly state?: string | undefined;
}

/** Whose law holds: what the clinic says of itself, or else the environment; a state goes with its country. */
function lawPlace(
  row: InferSelectModel<typeof clinics>,
  {
    country = null,
    state = null,
  }: { country?: string | undefined | null; state?: string | undefined | null },
): Pick<ClinicContext, 'country' | 'state'> {
  return row.country === null ? { country, state } : { country: row.country, state: row.state };
}

/** The clinic of a row, with its clock. */
export function clinicContext(
  row: InferSelectModel<typeof clinics>,
  { pinnedDay, ...environment }: ClinicSettings,
): ClinicContext {
  const now = makeClock(pinnedDay, row.longitude);
  return {
    id: row.id,
    name: row.name,
    region: row.region,
    place: { lat: row.latitude, lon: row.longitude, height: row.height ?? undefined },
    ...lawPlace(row, environment),
    spelling: row.spelling,
    retentionDays: row.retentionDays,
    address: row.address,
    hours: row.hours,
    languages: row.languages,
    approach: row.approach,
    now,
    today: () => pinnedDay ?? civilDay(now(), row.longitude),
  };
}

/** Opens the first clinic of this database, making the demonstration's when there is none. */
export async function openClinicContext(
  db: Database,
  settings: ClinicSettings,
): Promise<ClinicContext> {
  const [known] = await db.select().from(clinics).orderBy(asc(clinics.id)).limit(1);
  const row = known ?? (await db.insert(clinics).values(DEMO_CLINIC).returning())[0];
  if (!row) throw new Error('the clinic could not be written');
  return clinicContext(row, settings);
}
