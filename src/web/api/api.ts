import { z } from 'zod';
import {
  appendedSchema,
  changesSchema,
  type AppendEvents,
  type Appended,
  type Changes,
} from '../../contracts/caseEvents.ts';
import {
  casePageSchema,
  caseRecordSchema,
  clinicLabelsSchema,
  clinicSchema,
  experienceSchema,
  tiedPhrasesSchema,
  type CasePage,
  type CaseRecord,
  type Clinic,
  type ClinicExperience,
  type ClinicLabel,
  type ClinicLabels,
  type ClinicSettingsChange,
  type TiedPhrases,
  type OpenCase,
} from '../../contracts/cases.ts';
import {
  casebookPageSchema,
  queryParams,
  casebookPeopleSchema,
  type CasebookPage,
  type CasebookPeople,
  type CasebookQuery,
} from '../../contracts/casebook.ts';
import { learnedSchema, type Learned, type LearnedQuery } from '../../contracts/learned.ts';
import {
  clinicContactsSchema,
  type ClinicContact,
  type ClinicContacts,
} from '../../contracts/contacts.ts';
import {
  importedCasesSchema,
  savedSearchesSchema,
  type ImportedCases,
  type SavedSearch,
  type SavedSearches,
} from '../../contracts/importing.ts';
import type { Forgetting } from '../../contracts/forgetting.ts';
import {
  importedSchema,
  weatherSchema,
  type ClinicWeather,
  type ImportedWeather,
} from '../../contracts/weather.ts';
import { townsSchema, type TownQuery, type Towns } from '../../contracts/towns.ts';
import type { Problem } from '../../contracts/problem.ts';
import type { Result } from '../../core/util/result.ts';
import { call } from './request.ts';

const caseAnswer = z.object({ case: caseRecordSchema }).transform((answer) => answer.case);

/** A page of a list: the first one, or the one that `next` of an earlier one names. */
const withAfter = (path: string, after: string | null): string =>
  after === null
    ? path
    : `${path}${path.includes('?') ? '&' : '?'}after=${encodeURIComponent(after)}`;

/** The server's data, each call checked against its contract. A failed call gives a problem and never throws. */
export interface Api {
  readonly clinic: () => Promise<Result<Clinic, Problem>>;
  readonly experience: () => Promise<Result<ClinicExperience, Problem>>;
  readonly setLearning: (learning: boolean) => Promise<Result<ClinicExperience, Problem>>;
  readonly labels: () => Promise<Result<ClinicLabels, Problem>>;
  readonly keepLabel: (label: ClinicLabel) => Promise<Result<ClinicLabels, Problem>>;
  readonly removeLabel: (id: string) => Promise<Result<ClinicLabels, Problem>>;
  readonly contacts: () => Promise<Result<ClinicContacts, Problem>>;
  readonly keepContact: (contact: ClinicContact) => Promise<Result<ClinicContacts, Problem>>;
  readonly removeContact: (id: string) => Promise<Result<ClinicContacts, Problem>>;
  readonly tiedPhrases: () => Promise<Result<TiedPhrases, Problem>>;
  readonly towns: (query: TownQuery) => Promise<Result<Towns, Problem>>;
  readonly weather: () => Promise<Result<ClinicWeather, Problem>>;
  readonly importWeather: (csv: string) => Promise<Result<ImportedWeather, Problem>>;
  readonly cases: (closed: boolean, after: string | null) => Promise<Result<CasePage, Problem>>;
  readonly due: (after: string | null) => Promise<Result<CasePage, Problem>>;
  readonly lookAgain: (after: string | null) => Promise<Result<CasePage, Problem>>;
  readonly casebook: (
    query: CasebookQuery,
    after: string | null,
  ) => Promise<Result<CasebookPage, Problem>>;
  readonly learned: (query: LearnedQuery) => Promise<Result<Learned, Problem>>;
  readonly takeIn: (
    kind: 'cases' | 'rows',
    items: readonly unknown[],
  ) => Promise<Result<ImportedCases, Problem>>;
  readonly searches: () => Promise<Result<SavedSearches, Problem>>;
  readonly keepSearch: (search: SavedSearch) => Promise<Result<SavedSearches, Problem>>;
  readonly removeSearch: (id: string) => Promise<Result<SavedSearches, Problem>>;
  readonly casebookPeople: () => Promise<Result<CasebookPeople, Problem>>;
  /** Takes personal data out of a case. */
  readonly forget: (id: string, how: Forgetting) => Promise<Result<CaseRecord, Problem>>;
  readonly changeClinic: (change: ClinicSettingsChange) => Promise<Result<Clinic, Problem>>;
  readonly openCase: (opening: OpenCase) => Promise<Result<CaseRecord, Problem>>;
  readonly readCase: (id: string) => Promise<Result<CaseRecord, Problem>>;
  readonly append: (id: string, body: AppendEvents) => Promise<Result<Appended, Problem>>;
  /** Events behind a version. */
  readonly changes: (id: string, after: number) => Promise<Result<Changes, Problem>>;
}

/**
 * The calls to the server at an address; empty is the server that the page came from. `headers` are for programs, as
 * browsers send their cookies by themselves.
 */
export function createApi(server = '', headers: Readonly<Record<string, string>> = {}): Api {
  const ask = <T>(
    schema: z.ZodType<T>,
    path: string,
    body?: unknown,
  ): Promise<Result<T, Problem>> => call(`${server}/api${path}`, schema, body, headers);
  return {
    clinic: () => ask(clinicSchema, '/clinic'),
    experience: () => ask(experienceSchema, '/clinic/experience'),
    setLearning: (learning) => ask(experienceSchema, '/clinic/learning', { learning }),
    labels: () => ask(clinicLabelsSchema, '/clinic/labels'),
    keepLabel: (label) => ask(clinicLabelsSchema, '/clinic/labels', label),
    removeLabel: (id) => ask(clinicLabelsSchema, '/clinic/labels/remove', { id }),
    contacts: () => ask(clinicContactsSchema, '/clinic/contacts'),
    keepContact: (contact) => ask(clinicContactsSchema, '/clinic/contacts', contact),
    removeContact: (id) => ask(clinicContactsSchema, '/clinic/contacts/remove', { id }),
    tiedPhrases: () => ask(tiedPhrasesSchema, '/clinic/phrases'),
    towns: ({ words, lat, lon }) =>
      ask(
        townsSchema,
        `/towns?${new URLSearchParams({ words, lat: `${lat}`, lon: `${lon}` }).toString()}`,
      ),
    weather: () => ask(weatherSchema, '/weather'),
    importWeather: (csv) => ask(importedSchema, '/weather', { csv }),
    cases: (closed, after) =>
      ask(casePageSchema, withAfter(closed ? '/cases?status=closed' : '/cases', after)),
    due: (after) => ask(casePageSchema, withAfter('/cases/due', after)),
    lookAgain: (after) => ask(casePageSchema, withAfter('/cases/look-again', after)),
    casebook: (query, after) =>
      ask(casebookPageSchema, withAfter(`/casebook?${queryParams(query)}`, after)),
    learned: (query) => ask(learnedSchema, `/casebook/learned?${queryParams(query)}`),
    takeIn: (kind, items) => ask(importedCasesSchema, '/casebook/import', { kind, items }),
    searches: () => ask(savedSearchesSchema, '/casebook/searches'),
    keepSearch: (search) => ask(savedSearchesSchema, '/casebook/searches', search),
    removeSearch: (id) => ask(savedSearchesSchema, '/casebook/searches/remove', { id }),
    casebookPeople: () => ask(casebookPeopleSchema, '/casebook/people'),
    forget: (id, how) => ask(caseAnswer, `/cases/${id}/forget`, { how }),
    changeClinic: (change) => ask(clinicSchema, '/clinic/settings', change),
    openCase: (opening) => ask(caseAnswer, '/cases', opening),
    readCase: (id) => ask(caseAnswer, `/cases/${id}`),
    append: (id, body) => ask(appendedSchema, `/cases/${id}/events`, body),
    changes: (id, after) => ask(changesSchema, `/cases/${id}/events?after=${after}`),
  };
}

/** The server that the page came from. */
export const api = createApi();

/** A session that has ended comes back when its person signs in again. */
const PASSING: readonly Problem['code'][] = ['unavailable', 'overloaded', 'too-slow', 'signed-out'];

/** Whether a call may succeed when it is made again. */
export function isPassing({ code }: Problem): boolean {
  return PASSING.includes(code);
}
