import { emptyPlant } from '../../contracts/applyCaseEvent.ts';
import { leadingOf } from '../../contracts/cases.ts';
import type { CaseEvent } from '../../contracts/caseEvents.ts';
import type { ConsultResponse } from '../../contracts/consult.ts';
import { enterCase } from '../cases/enterCase.ts';
import { readCase } from '../cases/queries.ts';
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

/** The answer that a closed enquiry was left with, or what leads in an open one, and who has it. */
function eventsOfAnswer({ status, by }: DemoEnquiry, answer: ConsultResponse | null): CaseEvent[] {
  const assignee = by === undefined || status === 'closed' ? undefined : DEMO_PEOPLE[by];
  const taken: CaseEvent[] = assignee
    ? [{ kind: 'assignee-set', assignee: { id: assignee.id, name: assignee.name } }]
    : [];
  if (!answer) return taken;
  if (status === 'closed') return [{ kind: 'closing-answer-stored', plantId, answer }, ...taken];
  const knowledgeVersion = answer.knowledge.version;
  return [{ kind: 'consulted', plantId, knowledgeVersion, leading: leadingOf(answer) }, ...taken];
}

/** What was heard later. */
function eventsAfter({ outcome, followUp }: DemoEnquiry): CaseEvent[] {
  return [
    ...(outcome ? [{ kind: 'outcome-set' as const, plantId, outcome }] : []),
    ...(followUp ? [{ kind: 'follow-up-set' as const, plantId, followUp }] : []),
  ];
}

/** What was answered; null where the words were not understood. */
async function answerTo(
  { words, openedAt, channel, answers = [] }: DemoEnquiry,
  { place }: ClinicContext,
  consult: ConsultPool['consult'],
): Promise<ConsultResponse | null> {
  const date = openedAt.slice(0, 10);
  const answer = await consult({ words, date, place, channel, answers });
  return answer.ok ? answer.value : null;
}

async function seedOne(
  db: Database,
  office: ClinicContext,
  enquiry: DemoEnquiry,
  consult: ConsultPool['consult'],
): Promise<boolean> {
  const { id, channel, openedAt } = enquiry;
  if (await readCase(db, office.id, id, false)) return false;
  const answer = await answerTo(enquiry, office, consult);
  const plant = emptyPlant(PLANT_ID, openedAt.slice(0, 10), office.place);
  const person = enquiry.by === undefined ? undefined : DEMO_PEOPLE[enquiry.by];
  const events: CaseEvent[] = [
    ...eventsOfCall(enquiry),
    ...eventsOfAnswer(enquiry, answer),
    ...eventsAfter(enquiry),
  ];
  const by = {
    author: person?.name ?? 'Demonstration',
    personId: person?.id ?? null,
    device: 'seed',
  };
  return db.transaction(async (tx) => {
    const entered = await enterCase(tx, office.id, { id, channel, openedAt, plant, events }, by);
    return entered !== null;
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
