import { clinicContactSchema, clinicContactsSchema, removeContactSchema } from './contacts.ts';
import {
  importedCasesSchema,
  importSchema,
  removeSearchSchema,
  savedSearchesSchema,
  savedSearchSchema,
} from './importing.ts';
import { learnedSchema } from './learned.ts';
import { z } from 'zod';
import { appendedSchema, appendEventsSchema, changesSchema } from './caseEvents.ts';
import {
  casePageSchema,
  caseRecordSchema,
  clinicLabelSchema,
  clinicLabelsSchema,
  clinicSchema,
  clinicSettingsSchema,
  experienceSchema,
  learningSchema,
  removeLabelSchema,
  openCaseSchema,
  tiedPhrasesSchema,
} from './cases.ts';
import { casebookPageSchema, casebookPeopleSchema, exportedCaseSchema } from './casebook.ts';
import { forgetSchema } from './forgetting.ts';
import { auditPageSchema } from './people.ts';
import { importedSchema, importWeatherSchema, weatherSchema } from './weather.ts';
import { caseChangedSchema } from './live.ts';
import { townsSchema } from './towns.ts';
import type { ApiRoute } from './apiRoute.ts';

const caseAnswer = z.object({ case: caseRecordSchema });
const PAGE = { after: 'The key that `next` of an earlier page gave; left out for the first page.' };
const SEARCH = {
  words: 'Words of the case, a name, or the number of a case.',
  plant: 'Id of a plant.',
  cause: 'Id of what it proved to be, or what stood first at closing.',
  person: 'Id of somebody who worked on it.',
  status: '`open`, `waiting` or `closed`.',
  outcome: '`known` or `unknown`.',
  from: 'First day on which it was opened.',
  to: 'Last day on which it was opened.',
};

/** Routes to what a clinic holds: its cases, its casebook, itself, its weather and its log. */
export const CLINIC_ROUTES: readonly ApiRoute[] = [
  {
    method: 'get',
    path: '/changes',
    summary:
      'A stream of changes: `case` when one was opened or changed, `gap` when some may have been missed.',
    answer: caseChangedSchema,
    isStream: true,
  },
  {
    method: 'get',
    path: '/audit',
    summary: 'A page of what was done that somebody may have to answer for, the newest first.',
    query: { before: 'The `next` of an earlier page; left out for the first one.' },
    answer: auditPageSchema,
  },
  {
    method: 'get',
    path: '/casebook',
    summary: 'A page of the cases that a search finds, the newest first.',
    query: { ...PAGE, ...SEARCH },
    answer: casebookPageSchema,
  },
  {
    method: 'get',
    path: '/casebook/export',
    summary: 'What a search finds as a file.',
    query: {
      ...SEARCH,
      format:
        '`csv`, `xlsx` (a row for each plant, without the enquirer), `jsonl` (all of it), `geojson` or `dwca` (what was confirmed).',
    },
    answer: exportedCaseSchema,
    isFile: true,
  },
  {
    method: 'get',
    path: '/casebook/learned',
    summary: 'What was said when cases were closed, beside what proved true.',
    query: {
      from: 'First day on which it was confirmed.',
      to: 'Last day on which it was confirmed.',
      confirmed: 'The least of `laboratory`, `in-hand`, `photograph`, `enquirer` that counts.',
    },
    answer: learnedSchema,
  },
  {
    method: 'post',
    path: '/casebook/import',
    summary: 'Takes cases in, each by itself; what is here already is known.',
    body: importSchema,
    answer: importedCasesSchema,
  },
  {
    method: 'get',
    path: '/casebook/searches',
    summary: 'Searches that are kept under a name.',
    answer: savedSearchesSchema,
  },
  {
    method: 'post',
    path: '/casebook/searches',
    summary: 'Keeps a search; the same id again writes it anew.',
    body: savedSearchSchema,
    answer: savedSearchesSchema,
  },
  {
    method: 'post',
    path: '/casebook/searches/remove',
    summary: 'Removes a search.',
    body: removeSearchSchema,
    answer: savedSearchesSchema,
  },
  {
    method: 'get',
    path: '/casebook/people',
    summary: 'Those who worked on a case.',
    answer: casebookPeopleSchema,
  },
  {
    method: 'get',
    path: '/cases',
    summary: 'A page of the queue, or of closed cases.',
    query: { ...PAGE, status: '`closed` for closed cases.' },
    answer: casePageSchema,
  },
  {
    method: 'post',
    path: '/cases',
    summary: 'Opens a case; the same id opens it once.',
    body: openCaseSchema,
    status: 201,
    answer: caseAnswer,
  },
  {
    method: 'get',
    path: '/cases/due',
    summary: 'A page of call-backs and of samples that are out, the earliest first.',
    query: PAGE,
    answer: casePageSchema,
  },
  {
    method: 'get',
    path: '/cases/look-again',
    summary: 'A page of closed cases whose advice said to look again within the last month.',
    query: PAGE,
    answer: casePageSchema,
  },
  { method: 'get', path: '/cases/{id}', summary: 'A case.', answer: caseAnswer },
  {
    method: 'get',
    path: '/cases/{id}/events',
    summary: 'What happened to a case behind a version.',
    query: { after: 'The last version that is known; 0 for all.' },
    answer: changesSchema,
  },
  {
    method: 'post',
    path: '/cases/{id}/events',
    summary: 'Appends changes on top of what happened meanwhile, each once.',
    body: appendEventsSchema,
    answer: appendedSchema,
  },
  {
    method: 'post',
    path: '/cases/{id}/forget',
    summary: 'Takes personal data out of a case and its log; what is counted stays.',
    body: forgetSchema,
    answer: caseAnswer,
  },
  {
    method: 'post',
    path: '/clinic/settings',
    summary: 'Changes name and region of the clinic, and how long it keeps names.',
    body: clinicSettingsSchema,
    answer: clinicSchema,
  },
  {
    method: 'get',
    path: '/clinic',
    summary: 'Name, place and day of the clinic.',
    answer: clinicSchema,
  },
  {
    method: 'get',
    path: '/clinic/experience',
    summary: 'Confirmed cases that change what is common here.',
    answer: experienceSchema,
  },
  {
    method: 'post',
    path: '/clinic/learning',
    summary: 'Switches learning from confirmed cases.',
    body: learningSchema,
    answer: experienceSchema,
  },
  {
    method: 'get',
    path: '/clinic/labels',
    summary: 'Labels that the clinic keeps at hand.',
    answer: clinicLabelsSchema,
  },
  {
    method: 'post',
    path: '/clinic/labels',
    summary: 'Keeps a label, or writes it anew under its id.',
    body: clinicLabelSchema,
    answer: clinicLabelsSchema,
  },
  {
    method: 'post',
    path: '/clinic/labels/remove',
    summary: 'Removes a label from the list.',
    body: removeLabelSchema,
    answer: clinicLabelsSchema,
  },
  {
    method: 'get',
    path: '/clinic/contacts',
    summary: 'Whom the clinic sends people to.',
    answer: clinicContactsSchema,
  },
  {
    method: 'post',
    path: '/clinic/contacts',
    summary: 'Keeps a contact; the same id again writes it anew.',
    body: clinicContactSchema,
    answer: clinicContactsSchema,
  },
  {
    method: 'post',
    path: '/clinic/contacts/remove',
    summary: 'Removes a contact.',
    body: removeContactSchema,
    answer: clinicContactsSchema,
  },
  {
    method: 'get',
    path: '/clinic/phrases',
    summary: 'Words that advisors tied to findings.',
    answer: tiedPhrasesSchema,
  },
  {
    method: 'get',
    path: '/towns',
    summary: 'Towns of a name, or the place of a postcode.',
    query: {
      words:
        'A name, a name with its state or country, or a postcode of the United States or Canada.',
      lat: 'Latitude near which towns come first.',
      lon: 'Longitude near which towns come first.',
    },
    answer: townsSchema,
  },
  { method: 'get', path: '/weather', summary: 'Days of the station.', answer: weatherSchema },
  {
    method: 'post',
    path: '/weather',
    summary: 'Takes a station file in place of the days that are there.',
    body: importWeatherSchema,
    answer: importedSchema,
  },
];
