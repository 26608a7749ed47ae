import { Ajv2020 } from 'ajv/dist/2020.js';
import { randomUUID } from 'node:crypto';
import { readdirSync, readFileSync, existsSync } from 'node:fs';
import { join } from 'node:path';
import { z } from 'zod';
import { API_ROUTES, openApiDocument } from '../contracts/openApi.ts';
import { openServer } from '../test/serverApp.ts';

const { close, as } = await openServer('2026-06-13');
const client = await as('coordinator');
afterAll(close);

const jsonSchema = z.looseObject({
  content: z.record(z.string(), z.object({ schema: z.looseObject({}) })),
});
const operationSchema = z.looseObject({
  responses: z.record(z.string(), jsonSchema),
  requestBody: jsonSchema.optional(),
});
const documentSchema = z.looseObject({
  paths: z.record(z.string(), z.record(z.string(), operationSchema)),
});
const { paths } = documentSchema.parse(JSON.parse(JSON.stringify(openApiDocument())));
const ajv = new Ajv2020({ strict: false, validateFormats: false });

const schemaOf = (method: string, path: string, status: string) =>
  paths[`/api${path}`]?.[method]?.responses[status]?.content['application/json']?.schema ?? false;

it('is served as it is made', async () => {
  const { body } = await client.get('/api/openapi.json');
  expect(documentSchema.parse(body).paths).toEqual(paths);
});

/** What a route must be asked with. */
const QUERIES: Readonly<Record<string, string>> = {
  '/towns': '?words=ellsworth&lat=44.6&lon=-67.9',
};

// Ajv, an independent reader of JSON Schema 2020-12, reads the schemas and checks the server's answers by them.
it.each(
  API_ROUTES.filter(
    ({ method, path, isFile, isStream }) =>
      method === 'get' && !path.includes('{') && isFile !== true && isStream !== true,
  ).map(({ path }) => path),
)('describes the answer of GET %s', async (path) => {
  const { status, body } = await client.get(`/api${path}${QUERIES[path] ?? ''}`);
  expect(status).toBe(200);
  expect(ajv.validate(schemaOf('get', path, '200'), body)).toBe(true);
});

it('describes the answer to an enquiry, and a problem', async () => {
  const good = {
    words: 'white powder on my roses',
    date: '2026-06-13',
    place: { lat: 44.6, lon: -67.9 },
  };
  const answer = await client.post('/api/consult').send(good);
  expect(ajv.validate(schemaOf('post', '/consult', '200'), answer.body)).toBe(true);
  const problem = await client.post('/api/consult').send({ ...good, date: 'soon' });
  expect(ajv.validate(schemaOf('post', '/consult', 'default'), problem.body)).toBe(true);
  expect(ajv.validate(schemaOf('post', '/consult', '200'), problem.body)).toBe(false);
});

it('describes a case that is opened, read and changed', async () => {
  const opened = await client.post('/api/cases').send({ id: randomUUID() });
  expect(ajv.validate(schemaOf('post', '/cases', '201'), opened.body)).toBe(true);
  const { id } = z.object({ case: z.object({ id: z.string() }) }).parse(opened.body).case;
  for (const path of ['/cases/{id}', '/cases/{id}/events']) {
    const { body } = await client.get(`/api${path.replace('{id}', id)}`);
    expect(ajv.validate(schemaOf('get', path, '200'), body)).toBe(true);
  }
});

it('names every route and no other', () => {
  const folder = 'src/server';
  const files = readdirSync(folder).map((name) => join(folder, name, 'routes.ts'));
  const texts = [join(folder, 'app.ts'), ...files]
    .filter(existsSync)
    .map((path) => readFileSync(path, 'utf8'));
  const routes = texts.join('\n').match(/routes\.(get|post)\(/g) ?? [];
  // Health and ready are one route of two paths, and the document does not name itself.
  expect(routes).toHaveLength(API_ROUTES.length);
});
