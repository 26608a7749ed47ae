import { sql } from 'drizzle-orm';
import { openOwnDatabase, openServer } from '../../test/serverApp.ts';
import { checkAudit, writeAudit } from './auditLog.ts';

// A database of its own, as its log is tampered with.
const own = await openOwnDatabase();
const server = await openServer('2026-06-13', { address: own.url });
const { db } = server;
afterAll(async () => {
  await server.close();
  await own.drop();
});

const entry = (subject: string) => ({
  clinicId: 1,
  personId: '9e0a7d1c-0000-4000-8000-000000000001',
  action: 'tried',
  subject,
});
const write = (subject: string) => db.transaction((tx) => writeAudit(tx, entry(subject)));

it('chains what many write at once, and reads it in pieces', async () => {
  await Promise.all(Array.from({ length: 23 }, (_, i) => write(String(i))));
  expect(await checkAudit(db, 5)).toEqual({ lines: 23, brokenAt: null });
});

it('leaves out what its transaction took back', async () => {
  const failing = db.transaction(async (tx) => {
    await writeAudit(tx, entry('lost'));
    throw new Error('taken back');
  });
  await expect(failing).rejects.toThrow('taken back');
  expect(await checkAudit(db)).toEqual({ lines: 23, brokenAt: null });
});

it.each(['update audit_log set action = $$x$$', 'delete from audit_log', 'truncate audit_log'])(
  'refuses "%s"',
  async (statement) => {
    await expect(db.execute(sql.raw(statement))).rejects.toThrow();
  },
);

it('finds a line that was changed, and one that was taken out, by who owns the table', async () => {
  const tamper = async (statement: string): Promise<void> => {
    await db.execute(sql`alter table audit_log disable trigger audit_log_is_added_to`);
    await db.execute(sql.raw(statement));
    await db.execute(sql`alter table audit_log enable trigger audit_log_is_added_to`);
  };
  await tamper("update audit_log set subject = 'another' where seq = 9");
  expect(await checkAudit(db, 4)).toEqual({ lines: 8, brokenAt: 9 });
  await tamper('delete from audit_log where seq = 7');
  expect(await checkAudit(db)).toEqual({ lines: 6, brokenAt: 7 });
});
