import { randomUUID } from 'node:crypto';
import { IncomingMessage } from 'node:http';
import { ROLES, type Role } from '../../contracts/access.ts';
import { accountsSchema, auditPageSchema } from '../../contracts/people.ts';
import { API_ROUTES } from '../../contracts/openApi.ts';
import { openOwnDatabase, openServer } from '../../test/serverApp.ts';
import { clinics } from '../db/schema.ts';

type Client = Awaited<ReturnType<Awaited<ReturnType<typeof openServer>>['as']>>;

// A database of its own, as another clinic is added.
const own = await openOwnDatabase();
const server = await openServer('2026-06-13', { address: own.url });
afterAll(async () => {
  await server.close();
  await own.drop();
});

const EVERYBODY: readonly Role[] = ROLES;
const WRITE: readonly Role[] = ['trainee', 'advisor', 'specialist', 'coordinator'];
const ADVISE: readonly Role[] = ['advisor', 'specialist', 'coordinator'];
const COORDINATOR: readonly Role[] = ['coordinator'];
/** Answered to whoever asks: nothing of a clinic is in it. */
const OPEN = 'open';

/** Who may use which route, written down apart from the table that the server works by. */
const MAY: Readonly<Record<string, readonly Role[] | typeof OPEN>> = {
  'get /audit': COORDINATOR,
  'get /casebook': EVERYBODY,
  'get /casebook/export': COORDINATOR,
  'get /casebook/people': EVERYBODY,
  'get /cases': EVERYBODY,
  'post /cases': WRITE,
  'get /casebook/learned': EVERYBODY,
  'post /casebook/import': COORDINATOR,
  'get /casebook/searches': EVERYBODY,
  'post /casebook/searches': WRITE,
  'post /casebook/searches/remove': WRITE,
  'get /cases/due': EVERYBODY,
  'get /cases/look-again': EVERYBODY,
  'get /cases/{id}': EVERYBODY,
  'get /cases/{id}/events': EVERYBODY,
  'post /cases/{id}/events': WRITE,
  'post /cases/{id}/forget': COORDINATOR,
  'post /clinic/settings': COORDINATOR,
  'get /clinic': EVERYBODY,
  'get /clinic/experience': EVERYBODY,
  'get /clinic/phrases': EVERYBODY,
  'get /clinic/labels': EVERYBODY,
  'post /clinic/labels': ADVISE,
  'post /clinic/labels/remove': ADVISE,
  'get /clinic/contacts': EVERYBODY,
  'post /clinic/contacts': COORDINATOR,
  'post /clinic/contacts/remove': COORDINATOR,
  'post /clinic/learning': COORDINATOR,
  'get /changes': EVERYBODY,
  'post /consult': OPEN,
  'get /health': OPEN,
  'get /ready': OPEN,
  'get /live': OPEN,
  'get /knowledge': OPEN,
  'post /links/read': OPEN,
  'post /links/use': OPEN,
  'get /people': COORDINATOR,
  'post /people': COORDINATOR,
  'post /people/change': COORDINATOR,
  'post /people/link': COORDINATOR,
  'get /people/me/passkeys': WRITE,
  'post /people/me/passkeys': WRITE,
  'post /people/me/passkeys/options': WRITE,
  'post /people/me/passkeys/remove': WRITE,
  'post /people/me/password': WRITE,
  'post /people/me/spelling': WRITE,
  'get /session': OPEN,
  'post /session': OPEN,
  'post /session/demo': OPEN,
  'post /session/end': OPEN,
  'post /session/passkey': OPEN,
  'post /session/passkey/options': OPEN,
  'get /towns': EVERYBODY,
  'get /weather': EVERYBODY,
  'post /weather': COORDINATOR,
};

const clients = new Map<Role, Client>();
function clientOf(role: Role): Client {
  const client = clients.get(role);
  if (!client) throw new Error(`nobody is signed in as ${role}`);
  return client;
}
let caseId = '';
let otherClinic = 0;

beforeAll(async () => {
  for (const role of ROLES) clients.set(role, await server.as(role));
  caseId = randomUUID();
  await clientOf('advisor').post('/api/cases').send({ id: caseId }).expect(201);
  const [row] = await server.db
    .insert(clinics)
    .values({ name: 'Another clinic', region: 'Another county', latitude: 51, longitude: 4 })
    .returning();
  otherClinic = row?.id ?? 0;
}, 60_000);

/** Of a stream only that it begins is looked at. */
function ask(client: Client, method: 'get' | 'post', path: string, body: object = {}) {
  if (method === 'post') return client.post(`/api${path}`).send(body);
  const asked = client.get(`/api${path}`);
  return path !== '/changes'
    ? asked
    : asked.parse((response, done) => {
        response.setEncoding('utf8');
        response.once('data', (text: string) => {
          done(null, text.startsWith('event:') ? {} : JSON.parse(text));
          if (response instanceof IncomingMessage) response.destroy();
        });
      });
}

const ROUTES = API_ROUTES.map(({ method, path }) => ({ method, path, key: `${method} ${path}` }));

it('says of every route who may use it, and of no other', () => {
  expect(Object.keys(MAY).sort()).toEqual(ROUTES.map(({ key }) => key).sort());
});

// An empty body is refused as a body, 422, by those routes that let its sender in.
it.each(ROUTES.flatMap((route) => ROLES.map((role) => ({ ...route, role }))))(
  '$method $path for a $role',
  async ({ method, path, key, role }) => {
    // Signing out would end the session of the tests behind it.
    const client = path === '/session/end' ? await server.as(role) : clientOf(role);
    const { status, body } = await ask(client, method, path.replace('{id}', caseId));
    const may = MAY[key];
    if (may === OPEN || may?.includes(role)) expect(status).not.toBe(403);
    else expect({ status, code: body.error?.code }).toEqual({ status: 403, code: 'forbidden' });
  },
);

it.each(ROUTES)('$method $path for nobody', async ({ method, path, key }) => {
  const nobody = server.stranger();
  const { status, body } = await ask(nobody, method, path.replace('{id}', caseId));
  if (MAY[key] === OPEN) expect(body.error?.code).not.toBe('signed-out');
  else expect({ status, code: body.error?.code }).toEqual({ status: 401, code: 'signed-out' });
});

describe('a coordinator of another clinic', () => {
  let stranger: Client;
  beforeAll(async () => {
    stranger = await server.as('coordinator', otherClinic);
  });
  const ours = (): Client => clientOf('coordinator');

  it.each([
    ['get', '/cases/ID'],
    ['get', '/cases/ID/events'],
  ] as const)('does not see our case by %s %s', async (method, path) => {
    const { status } = await ask(stranger, method, path.replace('ID', caseId));
    expect(status).toBe(404);
  });

  it('does not forget our case', async () => {
    const { status } = await ask(stranger, 'post', `/cases/${caseId}/forget`, { how: 'all' });
    expect(status).toBe(404);
  });

  it('does not change our case', async () => {
    const event = { kind: 'channel-set', channel: 'email' };
    const events = [{ id: randomUUID(), author: 'x', device: 'x', event }];
    const sent = { baseVersion: 0, events };
    expect((await ask(stranger, 'post', `/cases/${caseId}/events`, sent)).status).toBe(404);
    const { body } = await ours().get(`/api/cases/${caseId}`);
    expect(body.case).toMatchObject({ version: 0, channel: 'phone' });
  });

  it('does not get our case by opening one of its id', async () => {
    const { status, body } = await ask(stranger, 'post', '/cases', { id: caseId });
    expect(status).toBe(409);
    expect(JSON.stringify(body)).not.toContain('plants');
  });

  it('finds none of ours in its lists', async () => {
    await ours().post('/api/clinic/learning').send({ learning: true });
    const lists = [
      '/cases',
      '/cases?status=closed',
      '/cases/due',
      '/cases/look-again',
      '/casebook',
    ];
    for (const path of lists) expect((await ask(stranger, 'get', path)).body.cases).toEqual([]);
    expect((await ask(stranger, 'get', '/clinic/phrases')).body.phrases).toEqual([]);
    expect((await ask(stranger, 'get', '/clinic/experience')).body.seen).toEqual([]);
    expect((await ask(stranger, 'get', '/weather')).body.days).toEqual([]);
    const { people } = accountsSchema.parse((await ask(stranger, 'get', '/people')).body);
    expect(people.map(({ role }) => role)).toEqual(['coordinator']);
    const { lines } = auditPageSchema.parse((await ask(stranger, 'get', '/audit')).body);
    expect(lines.map(({ action }) => action)).toEqual(['signed-in']);
  });

  it('neither changes nor invites our people', async () => {
    const people = async () => accountsSchema.parse((await ours().get('/api/people')).body).people;
    const id = (await people()).find(({ role }) => role === 'trainee')?.id ?? '';
    const change = { id, role: 'coordinator' };
    expect((await ask(stranger, 'post', '/people/change', change)).status).toBe(404);
    expect((await ask(stranger, 'post', '/people/link', { id })).status).toBe(404);
    expect((await people()).find((one) => one.id === id)?.role).toBe('trainee');
  });

  it('neither overwrites nor removes our labels', async () => {
    const label = { id: randomUUID(), name: 'Soap', text: 'Soap. CAUTION.' };
    await ours().post('/api/clinic/labels').send(label).expect(200);
    await ask(stranger, 'post', '/clinic/labels', { ...label, text: 'another' });
    await ask(stranger, 'post', '/clinic/labels/remove', { id: label.id });
    expect((await ours().get('/api/clinic/labels')).body.labels).toContainEqual(label);
  });
});
