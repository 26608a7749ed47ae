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
import { consultRequestSchema, consultResponseSchema } from './consult.ts';
import { forgetSchema } from './forgetting.ts';
import {
  accountsSchema,
  askLinkSchema,
  auditPageSchema,
  changePersonSchema,
  demoSignInSchema,
  linkPurposeSchema,
  linkSchema,
  newPasskeySchema,
  newPasswordSchema,
  newPersonSchema,
  passkeyOptionsSchema,
  passkeySignInSchema,
  passkeysSchema,
  readLinkSchema,
  removePasskeySchema,
  sessionSchema,
  signInSchema,
  signOutSchema,
  takeLinkSchema,
} from './people.ts';
import { problemSchema } from './problem.ts';
import { importedSchema, importWeatherSchema, weatherSchema } from './weather.ts';

/** One route of the server's interface. */
export interface ApiRoute {
  readonly method: 'get' | 'post';
  /** Path below `/api`, parameters in braces. */
  readonly path: string;
  readonly summary: string;
  readonly query?: Readonly<Record<string, string>>;
  readonly body?: z.ZodType;
  readonly status?: 201;
  readonly answer: z.ZodType;
  /** It answers with a file: `answer` is one line of it. */
  readonly isFile?: true;
}

const caseAnswer = z.object({ case: caseRecordSchema });
const live = z.object({ ok: z.boolean() });
const ready = live.extend({ database: z.enum(['up', 'away']), knowledge: z.string() });
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

/** Every route of the interface, in the order of its paths. */
export const API_ROUTES: readonly ApiRoute[] = [
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
      format: '`csv`, `xlsx` (a row for each plant, without the enquirer) or `jsonl` (all of it).',
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
    method: 'post',
    path: '/consult',
    summary: 'From words to causes, questions and advice; stores nothing.',
    body: consultRequestSchema,
    answer: consultResponseSchema,
  },
  {
    method: 'get',
    path: '/health',
    summary: 'Whether the server and its database answer.',
    answer: ready,
  },
  {
    method: 'get',
    path: '/knowledge',
    summary: 'The checked library, with its version as ETag.',
    answer: z.looseObject({ version: z.string() }),
  },
  {
    method: 'post',
    path: '/links/read',
    summary: 'What a link is for that is used once.',
    body: readLinkSchema,
    answer: linkPurposeSchema,
  },
  {
    method: 'post',
    path: '/links/use',
    summary: 'Sets a password by such a link, and signs in.',
    body: takeLinkSchema,
    answer: sessionSchema,
  },
  { method: 'get', path: '/live', summary: 'Whether the server runs.', answer: live },
  {
    method: 'get',
    path: '/people',
    summary: 'The people of the clinic.',
    answer: accountsSchema,
  },
  {
    method: 'post',
    path: '/people',
    summary: 'Adds somebody; the same id adds them once.',
    body: newPersonSchema,
    answer: accountsSchema,
  },
  {
    method: 'post',
    path: '/people/change',
    summary: 'Changes name or role of somebody, or closes and opens their account.',
    body: changePersonSchema,
    answer: accountsSchema,
  },
  {
    method: 'post',
    path: '/people/link',
    summary: 'Makes the link by which somebody sets a password.',
    body: askLinkSchema,
    answer: linkSchema,
  },
  {
    method: 'get',
    path: '/people/me/passkeys',
    summary: 'Passkeys of whoever asks.',
    answer: passkeysSchema,
  },
  {
    method: 'post',
    path: '/people/me/passkeys',
    summary: 'Keeps a passkey that the browser made.',
    body: newPasskeySchema,
    answer: passkeysSchema,
  },
  {
    method: 'post',
    path: '/people/me/passkeys/options',
    summary: 'What the browser makes a passkey by.',
    answer: passkeyOptionsSchema,
  },
  {
    method: 'post',
    path: '/people/me/passkeys/remove',
    summary: 'Removes a passkey of whoever asks.',
    body: removePasskeySchema,
    answer: passkeysSchema,
  },
  {
    method: 'post',
    path: '/people/me/password',
    summary: 'Sets another password; ends the sessions on other devices.',
    body: newPasswordSchema,
    answer: live,
  },
  { method: 'get', path: '/ready', summary: 'As health.', answer: ready },
  {
    method: 'get',
    path: '/session',
    summary: 'Who is signed in.',
    answer: sessionSchema,
  },
  {
    method: 'post',
    path: '/session',
    summary: 'Signs in by e-mail address and password.',
    body: signInSchema,
    answer: sessionSchema,
  },
  {
    method: 'post',
    path: '/session/demo',
    summary: 'Signs in as one of the people of the demonstration.',
    body: demoSignInSchema,
    answer: sessionSchema,
  },
  {
    method: 'post',
    path: '/session/end',
    summary: 'Signs out, here or on every device.',
    body: signOutSchema,
    answer: sessionSchema,
  },
  {
    method: 'post',
    path: '/session/passkey',
    summary: 'Signs in by a passkey.',
    body: passkeySignInSchema,
    answer: sessionSchema,
  },
  {
    method: 'post',
    path: '/session/passkey/options',
    summary: 'What a passkey must answer.',
    answer: passkeyOptionsSchema,
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

const json = (schema: unknown) => ({ content: { 'application/json': { schema } } });

function schemaOf(schema: z.ZodType, io: 'input' | 'output'): unknown {
  const { $schema: _dialect, ...rest } = z.toJSONSchema(schema, { io, unrepresentable: 'any' });
  return rest;
}

function parametersOf({ path, query = {} }: ApiRoute) {
  const inPath = [...path.matchAll(/\{(\w+)\}/g)].map(([, name = '']) => ({
    name,
    in: 'path',
    required: true,
    schema: { type: 'string', format: 'uuid' },
  }));
  const inQuery = Object.entries(query).map(([name, description]) => ({
    name,
    in: 'query',
    required: false,
    description,
    schema: { type: 'string' },
  }));
  return [...inPath, ...inQuery];
}

function operationOf(route: ApiRoute) {
  const { summary, body, status = 200, answer } = route;
  return {
    summary,
    parameters: parametersOf(route),
    ...(body ? { requestBody: { required: true, ...json(schemaOf(body, 'input')) } } : {}),
    responses: {
      [status]: { description: 'Done.', ...json(schemaOf(answer, 'output')) },
      default: {
        description: 'What is wrong, and its cure.',
        ...json(schemaOf(problemSchema, 'output')),
      },
    },
  };
}

/** The interface as an OpenAPI 3.1 document (OpenAPI Initiative, 2021), made from the schemas that the server checks by. */
export function openApiDocument() {
  const paths: Record<string, Record<string, unknown>> = {};
  for (const route of API_ROUTES) {
    const path = `/api${route.path}`;
    paths[path] = { ...paths[path], [route.method]: operationOf(route) };
  }
  return {
    openapi: '3.1.0',
    info: { title: 'Sounding', version: '0.1.0' },
    paths,
  };
}
