import { randomUUID } from 'node:crypto';
import request from 'supertest';
import { hashPassword, isPassword } from '../access/passwords.ts';
import { makeLink } from '../access/oneTimeLinks.ts';
import { people, sessions } from '../db/schema.ts';
import { eq } from 'drizzle-orm';
import { linkSchema } from '../../contracts/people.ts';
import { openOwnDatabase, openServer } from '../../test/serverApp.ts';

// A database of its own: tries are counted by address, and all tests come from one.
const own = await openOwnDatabase();
const server = await openServer('2026-06-13', { address: own.url });
const { app, db, office, stranger } = server;
afterAll(async () => {
  await server.close();
  await own.drop();
});

const PASSWORD = 'seven red beets';
const NEXT = 'nine white turnips';

interface Known {
  readonly id: string;
  readonly email: string;
}

async function person(values: Partial<typeof people.$inferInsert> = {}): Promise<Known> {
  const id = randomUUID();
  const email = `${id}@clinic.example`;
  const password = await hashPassword(PASSWORD);
  await db
    .insert(people)
    .values({ id, clinicId: office.id, name: 'Wyn', email, role: 'advisor', password, ...values });
  return { id, email };
}

const signIn = (client: ReturnType<typeof stranger>, email: string, password = PASSWORD) =>
  client.post('/api/session').send({ email, password });
const cookieOf = (answer: request.Response): string =>
  [answer.headers['set-cookie'] ?? []].flat()[0]?.split(';')[0] ?? '';

it('signs in by e-mail address in any letters, and out again', async () => {
  const { id, email } = await person();
  const client = stranger();
  const signed = await signIn(client, ` ${email.toUpperCase()} `);
  expect(signed.body.person).toEqual({ id, name: 'Wyn', role: 'advisor', clinicId: office.id });
  expect((await client.get('/api/cases')).status).toBe(200);
  await client.post('/api/session/end').send({}).expect(200);
  expect((await client.get('/api/cases')).body.error.code).toBe('signed-out');
});

it('says the same of an unknown name, a wrong password and a closed account', async () => {
  const closed = await person({ active: false });
  const open = await person();
  const answers = [
    await signIn(stranger(), 'nobody@clinic.example'),
    await signIn(stranger(), open.email, 'wrong'),
    await signIn(stranger(), closed.email),
  ];
  expect(new Set(answers.map(({ status, text }) => `${status} ${text}`)).size).toBe(1);
  expect(answers[0]?.status).toBe(401);
});

it('does the work of a comparison for an unknown name too', async () => {
  const known = await hashPassword(PASSWORD);
  const timeOf = async (kept: string | null): Promise<number> => {
    await isPassword(kept, 'warm');
    const begun = performance.now();
    for (let i = 0; i < 5; i++) expect(await isPassword(kept, 'wrong')).toBe(false);
    return performance.now() - begun;
  };
  // A comparison costs some 20 ms and none costs nothing, so that a factor of four is far from both.
  const [unknown, wrong] = [await timeOf(null), await timeOf(known)];
  expect(unknown / wrong).toBeGreaterThan(0.25);
  expect(unknown / wrong).toBeLessThan(4);
});

it('takes no more tries after eight wrong ones, not even the right password, and says when again', async () => {
  const { email } = await person();
  for (let i = 0; i < 8; i++) expect((await signIn(stranger(), email, 'wrong')).status).toBe(401);
  const locked = await signIn(stranger(), email);
  expect(locked.status).toBe(429);
  expect(Number(locked.headers['retry-after'])).toBeGreaterThan(0);
  const other = await person();
  expect((await signIn(stranger(), other.email)).status).toBe(200);
});

it('begins a session under an id of its own, whatever came before', async () => {
  const { email } = await person();
  const client = stranger();
  const planted = cookieOf(await client.post('/api/session/passkey/options').send({}));
  expect(planted).toMatch(/^sounding=/);
  const signed = await signIn(client, email);
  expect(cookieOf(signed)).not.toBe(planted);
  const used = await request(app).get('/api/cases').set('cookie', planted);
  expect(used.status).toBe(401);
});

it('gives a cookie that scripts cannot read and other sites cannot send, and none to who only looks', async () => {
  const { email } = await person();
  expect((await stranger().get('/api/session')).headers['set-cookie']).toBeUndefined();
  const [cookie] = (await signIn(stranger(), email)).headers['set-cookie'] ?? [];
  expect(cookie).toMatch(/HttpOnly/);
  expect(cookie).toMatch(/SameSite=Strict/);
});

it('signs out on every device at once', async () => {
  const { email } = await person();
  const [here, there] = [stranger(), stranger()];
  await signIn(here, email);
  await signIn(there, email);
  await here.post('/api/session/end').send({ everywhere: true });
  expect((await there.get('/api/cases')).status).toBe(401);
});

it('ends sessions when the role changes, the account is closed, or another password is set', async () => {
  const coordinator = await server.as('coordinator');
  const { id, email } = await person();
  const client = stranger();
  await signIn(client, email);
  await coordinator.post('/api/people/change').send({ id, role: 'trainee' }).expect(200);
  expect((await client.get('/api/cases')).status).toBe(401);
  await signIn(client, email);
  const elsewhere = stranger();
  await signIn(elsewhere, email);
  const body = { current: PASSWORD, next: NEXT };
  await client.post('/api/people/me/password').send(body).expect(200);
  expect((await client.get('/api/cases')).status).toBe(200);
  expect((await elsewhere.get('/api/cases')).status).toBe(401);
  await coordinator.post('/api/people/change').send({ id, active: false }).expect(200);
  expect((await client.get('/api/cases')).status).toBe(401);
  expect((await signIn(stranger(), email, NEXT)).status).toBe(401);
});

it('lets a person in by a link that is used once, and no earlier one', async () => {
  const coordinator = await server.as('coordinator');
  const id = randomUUID();
  const email = `${id}@clinic.example`;
  const fresh = { id, name: 'Ines', email, role: 'advisor' };
  await coordinator.post('/api/people').send(fresh).expect(200);
  await coordinator.post('/api/people').send(fresh).expect(200);
  const link = async (): Promise<string> =>
    linkSchema.parse((await coordinator.post('/api/people/link').send({ id })).body).token;
  const [old, token] = [await link(), await link()];
  const use = (secret: string) =>
    stranger().post('/api/links/use').send({ token: secret, password: NEXT });
  expect((await use(old)).status).toBe(401);
  const read = await stranger().post('/api/links/read').send({ token });
  expect(read.body).toEqual({ purpose: 'password', name: 'Ines' });
  expect((await use(token)).body.person.name).toBe('Ines');
  expect((await use(token)).status).toBe(401);
  expect((await signIn(stranger(), email, NEXT)).status).toBe(200);
});

it('does not take a link after its day', async () => {
  const { id } = await person();
  const yesterday = new Date(Date.now() - 25 * 3_600_000);
  const { token } = await makeLink(db, { purpose: 'password', personId: id }, yesterday);
  expect((await stranger().post('/api/links/read').send({ token })).status).toBe(401);
});

it('refuses passwords that are too short, and e-mail addresses that are taken', async () => {
  const coordinator = await server.as('coordinator');
  const { id, email } = await person();
  const { token } = await makeLink(db, { purpose: 'password', personId: id }, new Date());
  const short = await stranger().post('/api/links/use').send({ token, password: 'short' });
  expect(short.body.error).toMatchObject({ code: 'invalid-field', field: 'password' });
  const taken = { id: randomUUID(), name: 'Another', email, role: 'advisor' };
  const answer = await coordinator.post('/api/people').send(taken);
  expect(answer.body.error).toMatchObject({ code: 'conflict', field: 'email' });
});

it('keeps the last coordinator who can sign in', async () => {
  const { id, email } = await person({ role: 'coordinator' });
  const client = stranger();
  await signIn(client, email);
  const left = await client.post('/api/people/change').send({ id, active: false });
  expect(left.body.error).toMatchObject({ code: 'conflict', field: 'role' });
  await person({ role: 'coordinator' });
  expect((await client.post('/api/people/change').send({ id, role: 'advisor' })).status).toBe(200);
});

it('makes the first coordinator by the link of the start', async () => {
  const purpose = 'first-coordinator' as const;
  const { token } = await makeLink(db, { purpose, personId: null }, new Date());
  const use = (more: object) =>
    stranger()
      .post('/api/links/use')
      .send({ token, password: NEXT, ...more });
  expect((await use({})).body.error.field).toBe('email');
  const first = await use({ name: 'Thora', email: 'thora@clinic.example' });
  expect(first.body.person).toMatchObject({ name: 'Thora', role: 'coordinator' });
});

describe('requests from elsewhere', () => {
  it('does not write for a page of another site', async () => {
    const { email } = await person();
    const body = { email, password: PASSWORD };
    const post = (headers: Record<string, string>) =>
      request(app).post('/api/session').set(headers).send(body);
    expect((await post({ 'sec-fetch-site': 'cross-site' })).status).toBe(403);
    expect((await post({ 'sec-fetch-site': 'same-site' })).status).toBe(403);
    expect((await post({ origin: 'https://elsewhere.example' })).status).toBe(403);
    expect((await post({ origin: 'null' })).status).toBe(403);
    expect((await post({ cookie: 'sounding=x' })).status).toBe(403);
    expect((await post({ 'sec-fetch-site': 'same-origin' })).status).toBe(200);
    expect((await post({})).status).toBe(200);
  });

  it('does not answer to a name that is not its own', async () => {
    const named = (host: string) => request(app).get('/api/live').set('host', host);
    expect((await named('elsewhere.example')).status).toBe(400);
    expect((await named('localhost:4310')).status).toBe(200);
    expect((await named('127.0.0.1')).status).toBe(200);
  });

  it('answers to a name that it was given', async () => {
    const other = await openServer('2026-06-13', { address: own.url, hosts: ['desk.example'] });
    const answer = await request(other.app).get('/api/live').set('host', 'Desk.example');
    await other.close();
    expect(answer.status).toBe(200);
  });

  it('chooses people of a demonstration on its own machine alone', async () => {
    const { id: personId } = await person({ demo: true });
    const choose = (forwarded: Record<string, string>) =>
      stranger().post('/api/session/demo').set(forwarded).send({ personId });
    expect((await choose({ 'x-forwarded-for': '203.0.113.9' })).status).toBe(403);
    expect((await choose({})).status).toBe(200);
    const { id } = await person();
    expect((await stranger().post('/api/session/demo').send({ personId: id })).status).toBe(401);
  });
});

it('answers no page that belongs to somebody else', async () => {
  const [one, other] = [await person(), await person()];
  const client = stranger();
  await signIn(client, other.email);
  const asked = await client.get('/api/cases').set('x-person', one.id);
  expect(asked.body.error.code).toBe('signed-out');
  expect((await client.get('/api/cases').set('x-person', other.id)).status).toBe(200);
});

it('marks the cookie as secure behind a proxy that speaks HTTPS, and counts tries by the address before it', async () => {
  const behind = await openServer('2026-06-13', { address: own.url, proxies: 1 });
  const { email } = await person();
  const from = (address: string, password: string) =>
    request(behind.app)
      .post('/api/session')
      .set({ 'x-forwarded-proto': 'https', 'x-forwarded-for': address })
      .send({ email, password });
  const signed = await from('203.0.113.9', PASSWORD);
  expect([signed.headers['set-cookie'] ?? []].flat()[0]).toMatch(/; Secure/);
  for (let i = 0; i < 8; i++) await from('203.0.113.9', 'wrong');
  expect((await from('203.0.113.9', PASSWORD)).status).toBe(429);
  expect((await from('198.51.100.7', PASSWORD)).status).toBe(200);
  await behind.close();
});

it('keeps no session of who did not sign in', async () => {
  const before = await db.select({ sid: sessions.sid }).from(sessions);
  await stranger().get('/api/cases');
  await stranger().get('/api/session');
  expect(await db.select({ sid: sessions.sid }).from(sessions)).toHaveLength(before.length);
});

it('keeps no password as it is', async () => {
  const { id } = await person();
  const [row] = await db.select().from(people).where(eq(people.id, id));
  expect(row?.password).toMatch(/^\$argon2id\$v=19\$m=19456,t=2,p=1\$/);
});
