import type { Trade } from '../../contracts/contacts.ts';
import type { Database } from '../db/connect.ts';
import { clinicContacts } from '../db/schema.ts';

const id = (n: number): string => `c0a7ac70-0000-4000-8000-${String(n).padStart(12, '0')}`;

/** Whom the Larkspur Quay Plant Clinic sends people to; all of them are invented. */
const DEMO_CONTACTS: readonly {
  readonly trade: Trade;
  readonly name: string;
  readonly reach: string;
  readonly area: string;
}[] = [
  { trade: 'arborist', name: 'Rowan Head Tree Work', reach: '555-0136', area: 'the west shore' },
  { trade: 'arborist', name: 'Isolde Marchbank', reach: '555-0171', area: 'the islands' },
  { trade: 'laboratory', name: 'Plant laboratory of Tern County', reach: '12 Mill Lane', area: '' },
  { trade: 'licensed-applicator', name: 'Saltmarsh Grounds', reach: '555-0119', area: '' },
  { trade: 'plant-health', name: 'Plant health desk, Tern County', reach: '555-0102', area: '' },
  { trade: 'wildlife-office', name: 'Warden of the estuary', reach: '555-0188', area: '' },
];

/** Adds the contacts of the demonstration that are not there yet. */
export async function seedContacts(db: Database, clinicId: number): Promise<void> {
  await db
    .insert(clinicContacts)
    .values(DEMO_CONTACTS.map((contact, i) => ({ id: id(i + 1), clinicId, ...contact })))
    .onConflictDoNothing();
}
