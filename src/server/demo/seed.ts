import { applyCaseEvent, freshPlant } from '../../contracts/applyCaseEvent.ts';
import type { CaseEvent, CaseRecord } from '../../contracts/cases.ts';
import { insertCase, insertEvents, readCase, saveCase } from '../cases/queries.ts';
import type { ClinicOffice } from '../clinic/office.ts';
import type { Database } from '../db/connect.ts';
import { DEMO_ENQUIRIES, type DemoEnquiry } from './enquiries.ts';

const PLANT_ID = 'plant-1';
const PURGE_ON = '2027-06-13';

function eventsOf(enquiry: DemoEnquiry): CaseEvent[] {
  const { enquirer, callBackOn, words, answers = [], status } = enquiry;
  return [
    { kind: 'enquirer-set', name: enquirer.name, contact: enquirer.contact },
    { kind: 'words-set', plantId: PLANT_ID, words },
    ...answers.map((answer): CaseEvent => ({ kind: 'answer-given', plantId: PLANT_ID, answer })),
    { kind: 'call-back-set', on: callBackOn },
    { kind: 'status-set', status },
  ];
}

async function seedOne(db: Database, office: ClinicOffice, enquiry: DemoEnquiry): Promise<boolean> {
  const plant = freshPlant(PLANT_ID, enquiry.openedAt.slice(0, 10), office.place);
  return db.transaction(async (tx) => {
    if (await readCase(tx, enquiry.id, false)) return false;
    if (!(await insertCase(tx, office.id, { ...enquiry, plant }))) return false;
    const opened = await readCase(tx, enquiry.id, true);
    if (!opened) return false;
    const events = eventsOf(enquiry);
    const after = events.reduce<CaseRecord>(applyCaseEvent, opened);
    await saveCase(tx, { ...after, version: events.length }, office.id, PURGE_ON);
    await insertEvents(tx, enquiry.id, 1, events);
    return true;
  });
}

/** Adds the enquiries of the demonstration that are not there yet; returns how many were added. */
export async function seedDemo(db: Database, office: ClinicOffice): Promise<number> {
  let added = 0;
  for (const enquiry of DEMO_ENQUIRIES) if (await seedOne(db, office, enquiry)) added++;
  return added;
}
