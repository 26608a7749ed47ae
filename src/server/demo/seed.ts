import { createHash } from 'node:crypto';
import { appendEvents } from '../../contracts/appendEvents.ts';
import { emptyPlant } from '../../contracts/applyCaseEvent.ts';
import type { CaseEvent, SentEvent } from '../../contracts/caseEvents.ts';
import type { ConsultResponse } from '../../contracts/consult.ts';
import { insertCase, insertEvents, readCase, saveCase } from '../cases/queries.ts';
import type { ConsultPool } from '../consult/consultPool.ts';
import type { ClinicContext } from '../office/clinicContext.ts';
import type { Database } from '../db/connect.ts';
import { DEMO_ENQUIRIES, type DemoEnquiry } from './enquiries.ts';
import { DEMO_PEOPLE } from './people.ts';
import { SEASON_ENQUIRIES } from './season.ts';

const PLANT_ID = 'plant-1';
const plantId = PLANT_ID;

/** What happens while the enquirer is there, up to the end of the call. */
function eventsOfCall(enquiry: DemoEnquiry): CaseEvent[] {
  const { enquirer, callBackOn, words, answers = [], status, consent, samples = [] } = enquiry;
  return [
    { kind: 'enquirer-set', name: enquirer.name, contact: enquirer.contact },
    { kind: 'words-edited', plantId, edits: [{ at: 0, remove: '', insert: words }] },
    ...answers.map((answer): CaseEvent => ({
      kind: 'answer-given',
      plantId,
      answer: { ...answer, id: answer.finding },
    })),
    ...(consent ? [{ kind: 'consent-set' as const, consent }] : []),
    ...samples.map((sample): CaseEvent => ({ kind: 'sample-asked', plantId, sample })),
    { kind: 'call-back-set', on: callBackOn },
    { kind: 'status-set', status },
  ];
}

/** What was heard later. */
function eventsAfter({ outcome, followUp }: DemoEnquiry): CaseEvent[] {
  return [
    ...(outcome ? [{ kind: 'outcome-set' as const, plantId, outcome }] : []),
    ...(followUp ? [{ kind: 'follow-up-set' as const, plantId, followUp }] : []),
  ];
}

/** The answer that a closed enquiry was left with; null where it is still open. */
async function closingAnswer(
  { status, words, openedAt, channel, answers = [] }: DemoEnquiry,
  { place }: ClinicContext,
  consult: ConsultPool['consult'],
): Promise<ConsultResponse | null> {
  if (status !== 'closed') return null;
  const date = openedAt.slice(0, 10);
  const answer = await consult({ words, date, place, channel, answers });
  return answer.ok ? answer.value : null;
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
  consult: ConsultPool['consult'],
): Promise<boolean> {
  if (await readCase(db, office.id, enquiry.id, false)) return false;
  const answer = await closingAnswer(enquiry, office, consult);
  const plant = emptyPlant(PLANT_ID, enquiry.openedAt.slice(0, 10), office.place);
  const person = enquiry.by === undefined ? undefined : DEMO_PEOPLE[enquiry.by];
  const personId = person?.id ?? null;
  return db.transaction(async (tx) => {
    if (!(await insertCase(tx, office.id, { ...enquiry, plant }, null))) return false;
    const opened = await readCase(tx, office.id, enquiry.id, true);
    if (!opened) return false;
    const happened: CaseEvent[] = [
      ...eventsOfCall(enquiry),
      ...(answer ? [{ kind: 'closing-answer-stored' as const, plantId, answer }] : []),
      ...eventsAfter(enquiry),
    ];
    const events = happened.map((event, i): SentEvent => ({
      id: idOf(enquiry.id, i),
      author: person?.name ?? 'Demonstration',
      device: 'seed',
      event,
      conflicts: [],
    }));
    const { record, applied, refused } = appendEvents(opened, [], events);
    if (refused) throw new Error(`demonstration: ${refused.problem.message}`);
    await saveCase(tx, opened, record, { clinicId: office.id, personId });
    await insertEvents(tx, enquiry.id, { baseVersion: 0, personId }, applied);
    return true;
  });
}

/** Adds the enquiries of the demonstration that are not there yet; returns how many were added. */
export async function seedDemo(
  db: Database,
  office: ClinicContext,
  consult: ConsultPool['consult'],
): Promise<number> {
  let added = 0;
  // In the order in which they came, as cases are numbered so.
  const all = [...SEASON_ENQUIRIES, ...DEMO_ENQUIRIES].sort((a, b) =>
    a.openedAt < b.openedAt ? -1 : 1,
  );
  for (const enquiry of all) if (await seedOne(db, office, enquiry, consult)) added++;
  return added;
}
