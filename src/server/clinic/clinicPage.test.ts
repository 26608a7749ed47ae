import { randomUUID } from 'node:crypto';
import { clinicSchema } from '../../contracts/cases.ts';
import {
  clinicContactsSchema,
  MAX_CONTACTS,
  type ClinicContact,
} from '../../contracts/contacts.ts';
import { openOwnDatabase, openServer } from '../../test/serverApp.ts';
import { clinicContacts, clinics } from '../db/schema.ts';

const own = await openOwnDatabase();
const server = await openServer('2026-06-13', { address: own.url });
const [coordinator, advisor] = [await server.as('coordinator'), await server.as('advisor')];
afterAll(async () => {
  await server.close();
  await own.drop();
});
const contactsOf = async (client = advisor): Promise<readonly ClinicContact[]> =>
  clinicContactsSchema.parse((await client.get('/api/clinic/contacts')).body).contacts;
const contact = (change: Partial<ClinicContact> = {}): ClinicContact => ({
  id: randomUUID(),
  trade: 'arborist',
  name: 'Rowan Head Tree Work',
  reach: '555-0136',
  area: '',
  ...change,
});

it('changes the fields that are named, and leaves the others', async () => {
  const before = clinicSchema.parse((await advisor.get('/api/clinic')).body);
  const change = { hours: 'Tuesdays', place: { lat: 45.1, lon: -67.2, height: 3 }, country: 'ca' };
  await coordinator.post('/api/clinic/settings').send(change).expect(200);
  const after = clinicSchema.parse((await advisor.get('/api/clinic')).body);
  expect(after).toEqual({ ...before, ...change, now: after.now });
  await coordinator.post('/api/clinic/settings').send({ country: null }).expect(200);
  expect((await advisor.get('/api/clinic')).body).toMatchObject({
    country: null,
    hours: 'Tuesdays',
  });
});

it('begins a new case at its place and with its approach', async () => {
  const change = { approach: 'organic', place: { lat: 45, lon: -67 } };
  await coordinator.post('/api/clinic/settings').send(change).expect(200);
  const { body } = await advisor.post('/api/cases').send({ id: randomUUID() });
  expect(body.case.plants[0]).toMatchObject(change);
});

it.each([
  ['a place that is none', { place: { lat: 91, lon: 0 } }],
  ['a country that is none', { country: 'Canada' }],
  ['an approach that is none', { approach: 'magic' }],
  ['too long an address', { address: 'x'.repeat(301) }],
])('refuses %s with a cure', async (_what, change) => {
  const { status, body } = await coordinator.post('/api/clinic/settings').send(change);
  expect(status).toBe(422);
  expect(body.error.cure).not.toBe('');
});

it('keeps a contact once, writes it anew, and removes it', async () => {
  const ours = contact();
  for (const sent of [ours, ours, { ...ours, reach: '555-0171' }])
    await coordinator.post('/api/clinic/contacts').send(sent).expect(200);
  expect(await contactsOf()).toEqual([{ ...ours, reach: '555-0171' }]);
  await coordinator.post('/api/clinic/contacts/remove').send({ id: ours.id }).expect(200);
  expect(await contactsOf()).toEqual([]);
});

it('neither shows, overwrites nor removes contacts of another clinic', async () => {
  const ours = contact();
  await coordinator.post('/api/clinic/contacts').send(ours).expect(200);
  const elsewhere = { name: 'Another', region: 'Elsewhere', latitude: 45, longitude: -68 };
  const [other] = await server.db.insert(clinics).values(elsewhere).returning();
  const stranger = await server.as('coordinator', other?.id);
  expect(await contactsOf(stranger)).toEqual([]);
  await stranger.post('/api/clinic/contacts').send({ ...ours, name: 'Somebody else' });
  await stranger.post('/api/clinic/contacts/remove').send({ id: ours.id });
  expect(await contactsOf()).toEqual([ours]);
});

it('refuses one too many', async () => {
  const { office } = server;
  const many = Array.from({ length: MAX_CONTACTS }, () => ({ ...contact(), clinicId: office.id }));
  await server.db.insert(clinicContacts).values(many);
  const { status, body } = await coordinator.post('/api/clinic/contacts').send(contact());
  expect(status).toBe(409);
  expect(body.error.cure).toBe('Remove one that is no longer used.');
});
