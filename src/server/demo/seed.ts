import { createHash } from 'node:crypto';
import { appendEvents } from '../../contracts/appendEvents.ts';
import { emptyPlant } from '../../contracts/applyCaseEvent.ts';
import type { CaseEvent, SentEvent } from '../../contracts/caseEvents.ts';
import { insertCase, insertEvents, readCase, saveCase } from '../cases/queries.ts';
import type { ClinicContext } from '../office/clinicContext.ts';
import type { Database } from '../db/connect.ts';
import { DEMO_ENQUIRIES, type DemoEnquiry } from './enquiries.ts';

const PLANT_ID = 'plant-1';

function eventsOf(enquiry: DemoEnquiry): CaseEvent[] {
  const { enquirer, callBackOn, words, answers = [], status } = enquiry;
  return [
    { kind: 'enquirer-set', name: enquirer.name, contact: enquirer.contact },
    {
      kind: 'words-edited',
      plantId: PLANT_ID,
      edits: [{ at: 0, remove: '', insert: words }],
    },
    ...answers.map((answer): CaseEvent => ({
      kind: 'answer-given',
      plantId: PLANT_ID,
      answer: { ...answer, id: answer.finding },
    })),
    { kind: 'call-back-set', on: callBackOn },
    { kind: 'status-set', status },
  ];
}

/** Ids that are the same at every start, so that a repeated start adds nothing. */
function idOf(caseId: string, index: number): string {
  const hex = createHash('sha256').update(`${caseId} ${index}`).digest('hex');
  return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-4${hex.slice(13, 16)}-8${hex.slice(17, 20)}-${hex.slice(20, 32)}`;
}

async function seedOne(
  db: Database,
  office: ClinicContext,
  enquiry: DemoEnquiry,
): Promise<boolean> {
  const plant = emptyPlant(PLANT_ID, enquiry.openedAt.slice(0, 10), office.place);
  return db.transaction(async (tx) => {
    if (await readCase(tx, office.id, enquiry.id, false)) return false;
    if (!(await insertCase(tx, office.id, { ...enquiry, plant }, null))) return false;
    const opened = await readCase(tx, office.id, enquiry.id, true);
    if (!opened) return false;
    const events = eventsOf(enquiry).map((event, i): SentEvent => ({
      id: idOf(enquiry.id, i),
      author: 'Demonstration',
      device: 'seed',
      event,
      conflicts: [],
    }));
    const { record, applied, refused } = appendEvents(opened, [], events);
    if (refused) throw new Error(`demonstration: ${refused.problem.message}`);
    await saveCase(tx, opened, record, { clinicId: office.id, personId: null });
    await insertEvents(tx, enquiry.id, { baseVersion: 0, personId: null }, applied);
    return true;
  });
}

/** Adds the enquiries of the demonstration that are not there yet; returns how many were added. */
export async function seedDemo(db: Database, office: ClinicContext): Promise<number> {
  let added = 0;
  for (const enquiry of DEMO_ENQUIRIES) if (await seedOne(db, office, enquiry)) added++;
  return added;
}
