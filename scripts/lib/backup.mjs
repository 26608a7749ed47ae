import { Buffer } from 'node:buffer';
import { spawn } from 'node:child_process';
import {
  createCipheriv,
  createDecipheriv,
  createHash,
  randomBytes,
  scryptSync,
  timingSafeEqual,
} from 'node:crypto';
import {
  createReadStream,
  createWriteStream,
  openSync,
  readSync,
  closeSync,
  statSync,
} from 'node:fs';
import { join } from 'node:path';
import { Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { Stop } from './run.mjs';
import { postgresBin } from './setup.mjs';

/** What an encrypted backup begins with. */
const MAGIC = Buffer.from('SOUNDING-BACKUP-1\n');
const SALT_BYTES = 16;
const NONCE_BYTES = 12;
const TAG_BYTES = 16;
const HEAD_BYTES = MAGIC.length + SALT_BYTES + NONCE_BYTES;

/** AES-256-GCM (NIST SP 800-38D) under a key that scrypt (RFC 7914) makes of the secret. */
const keyOf = (secret, salt) => scryptSync(secret, salt, 32, { N: 2 ** 15, maxmem: 2 ** 26 });

const isPart = (file, at, wanted) => {
  const opened = openSync(file, 'r');
  const read = Buffer.alloc(wanted.length);
  readSync(opened, read, 0, wanted.length, at);
  closeSync(opened);
  return timingSafeEqual(read, wanted);
};

/** Whether a backup is encrypted. */
export const isEncrypted = (file) => statSync(file).size >= MAGIC.length && isPart(file, 0, MAGIC);

function program(name) {
  const bin = postgresBin();
  if (!bin) throw new Stop('PostgreSQL is missing. Type:  sudo apt-get install -y postgresql');
  return join(bin, name);
}

/** Runs a program of PostgreSQL with its input and output joined to streams; rejects with what it said when it fails. */
function run(name, args, { input, output } = {}) {
  const child = spawn(program(name), args, {
    stdio: [input ? 'pipe' : 'ignore', output ? 'pipe' : 'ignore', 'pipe'],
  });
  let said = '';
  child.stderr.on('data', (data) => (said += String(data)));
  const ended = new Promise((resolve, reject) => {
    child.on('error', reject);
    child.on('close', (code) =>
      code === 0 ? resolve() : reject(new Stop(`${name} failed.\n${said.trim()}`)),
    );
  });
  const pipes = [
    ...(input ? [pipeline(input, child.stdin).catch(() => undefined)] : []),
    ...(output ? [pipeline(child.stdout, ...output)] : []),
  ];
  return Promise.all([ended, ...pipes]);
}

/** Writes everything of a database, as of one moment, into a file; encrypted where a secret is given. */
export async function dumpTo(url, file, secret) {
  const dump = (output) =>
    run('pg_dump', ['--format=custom', '--no-owner', '--no-privileges', '--dbname', url], {
      output,
    });
  const out = createWriteStream(file, { mode: 0o600 });
  if (secret === undefined) {
    await dump([out]);
    return;
  }
  const [salt, nonce] = [randomBytes(SALT_BYTES), randomBytes(NONCE_BYTES)];
  const cipher = createCipheriv('aes-256-gcm', keyOf(secret, salt), nonce);
  out.write(Buffer.concat([MAGIC, salt, nonce]));
  const sealing = new Transform({
    transform: (data, _encoding, done) => done(null, data),
    flush: (done) => done(null, cipher.getAuthTag()),
  });
  await dump([cipher, sealing, out]);
}

function head(file) {
  const opened = openSync(file, 'r');
  const bytes = Buffer.alloc(HEAD_BYTES);
  readSync(opened, bytes, 0, HEAD_BYTES, 0);
  const tag = Buffer.alloc(TAG_BYTES);
  const end = statSync(file).size - TAG_BYTES;
  readSync(opened, tag, 0, TAG_BYTES, end);
  closeSync(opened);
  const salt = bytes.subarray(MAGIC.length, MAGIC.length + SALT_BYTES);
  return { salt, nonce: bytes.subarray(MAGIC.length + SALT_BYTES), tag, end };
}

/** Decrypts a backup beside itself and returns the plain file; the wrong secret, or a changed file, is refused. */
async function decrypted(file, secret, plain) {
  if (secret === undefined)
    throw new Stop(`${file} is encrypted. Set BACKUP_KEY to the secret that it was made with.`);
  const { salt, nonce, tag, end } = head(file);
  const decipher = createDecipheriv('aes-256-gcm', keyOf(secret, salt), nonce);
  decipher.setAuthTag(tag);
  const sealed = createReadStream(file, { start: HEAD_BYTES, end: end - 1 });
  try {
    await pipeline(sealed, decipher, createWriteStream(plain, { mode: 0o600 }));
  } catch {
    throw new Stop(
      `${file} cannot be opened: BACKUP_KEY is another secret than it was made with, or the file is damaged.`,
    );
  }
}

/** Writes a backup into an empty database. `plain` is a file that may be used for what is decrypted. */
export async function restoreFrom(file, url, secret, plain) {
  const isSealed = isEncrypted(file);
  if (isSealed) await decrypted(file, secret, plain);
  await run('pg_restore', [
    '--no-owner',
    '--no-privileges',
    '--exit-on-error',
    '--single-transaction',
    '--dbname',
    url,
    isSealed ? plain : file,
  ]);
}

/** Tables of a database with the number of their rows and a sum over what is in them. */
export async function fingerprint(url) {
  const { default: pg } = await import('pg');
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  try {
    await client.query('begin isolation level repeatable read read only');
    const { rows } = await client.query(
      `select quote_ident(table_schema) || '.' || quote_ident(table_name) as name
       from information_schema.tables
       where table_schema in ('public', 'drizzle') and table_type = 'BASE TABLE' order by 1`,
    );
    const tables = {};
    for (const { name } of rows) {
      const { rows: sums } = await client.query(
        `select count(*)::int as rows, coalesce(md5(string_agg(md5(one::text), '' order by md5(one::text))), '') as sum from ${name} as one`,
      );
      tables[name] = sums[0];
    }
    return tables;
  } finally {
    await client.end();
  }
}

/** The SHA-256 of a file. */
export async function sumOf(file) {
  const hash = createHash('sha256');
  await pipeline(createReadStream(file), hash);
  return hash.digest('hex');
}
