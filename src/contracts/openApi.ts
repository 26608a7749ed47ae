import { z } from 'zod';
import { consultRequestSchema, consultResponseSchema } from './consult.ts';
import {
  accountsSchema,
  askLinkSchema,
  changePersonSchema,
  demoSignInSchema,
  linkPurposeSchema,
  linkSchema,
  newPasskeySchema,
  newPasswordSchema,
  ownSpellingSchema,
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
import type { ApiRoute } from './apiRoute.ts';
import { CLINIC_ROUTES } from './clinicRoutes.ts';

const live = z.object({ ok: z.boolean() });
const ready = live.extend({ database: z.enum(['up', 'away']), knowledge: z.string() });

/** Routes to the consultation and the library, the state of the server, people and the ways in. */
const SERVER_ROUTES: readonly ApiRoute[] = [
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
    path: '/people/me/spelling',
    summary: 'Sets the spelling in which somebody reads texts.',
    body: ownSpellingSchema,
    answer: ownSpellingSchema,
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
];

/** Every route of the interface. */
export const API_ROUTES: readonly ApiRoute[] = [...SERVER_ROUTES, ...CLINIC_ROUTES];

const json = (schema: unknown) => ({ content: { 'application/json': { schema } } });
const stream = (schema: unknown) => ({ content: { 'text/event-stream': { schema } } });

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
  const { summary, body, status = 200, answer, isStream } = route;
  const answers = isStream === true ? stream : json;
  return {
    summary,
    parameters: parametersOf(route),
    ...(body ? { requestBody: { required: true, ...json(schemaOf(body, 'input')) } } : {}),
    responses: {
      [status]: { description: 'Done.', ...answers(schemaOf(answer, 'output')) },
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
