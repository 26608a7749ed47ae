import { checkAudit } from '../server/audit/auditLog.ts';
import { connect } from '../server/db/connect.ts';

/** Follows the chain of the audit log of the database at DATABASE_URL; fails where it is broken. */
const url = process.env.DATABASE_URL;
if (url === undefined) {
  console.error('Set DATABASE_URL to the database whose audit log is to be read.');
  process.exit(2);
}
const { db, close } = connect(url);
const { lines, brokenAt } = await checkAudit(db);
await close();
if (brokenAt === null) console.log(`The audit log holds together: ${lines} lines.`);
else {
  console.error(
    `The audit log is broken at line ${brokenAt}: that line or one before it was changed or taken out.`,
  );
  process.exitCode = 1;
}
