import { NO_CONSENT } from '../contracts/followUps.ts';
import { NO_PLAN, type CaseRecord } from '../contracts/cases.ts';

/** A case as it is just after opening, for tests. */
export const OPENED_CASE: CaseRecord = {
  id: '5e0a7d1c-0000-4000-8000-000000000001',
  number: 1,
  version: 0,
  status: 'open',
  channel: 'phone',
  openedAt: '2026-06-13T12:00:00.000Z',
  enquirer: { name: '', contact: '' },
  callBackOn: null,
  plants: [
    {
      id: 'plant-1',
      name: '',
      words: '',
      plant: null,
      date: '2026-06-13',
      place: { lat: 44.6, lon: -67.9 },
      approach: 'integrated',
      answers: [],
      knowledgeVersion: null,
      leading: null,
      closingAnswer: null,
      outcome: null,
      followUp: null,
      samples: [],
      plan: NO_PLAN,
    },
  ],
  conflicts: [],
  release: null,
  consent: NO_CONSENT,
  assignee: null,
  notes: [],
};
