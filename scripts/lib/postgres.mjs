import { createHash } from 'node:crypto';
import { chmodSync, chownSync, existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { quiet, Stop } from './run.mjs';
import { isRoot, postgresBin, ROOT } from './setup.mjs';

/** PostgreSQL refuses to run as root, so root lends it to the user that Debian's package makes. */
function asDatabaseUser(command, args) {
  return isRoot()
    ? quiet('runuser', ['-u', 'postgres', '--', command, ...args], { cwd: '/' })
    : quiet(command, args);
}

function ownFolder(folder) {
  mkdirSync(folder, { recursive: true });
  if (!isRoot()) return;
  const uid = Number(quiet('id', ['-u', 'postgres']).out);
  const gid = Number(quiet('id', ['-g', 'postgres']).out);
  chownSync(folder, uid, gid);
  chmodSync(folder, 0o700);
}

/** Where the cluster lives: below the project, or in /var/tmp when the database user cannot reach the project. */
function clusterFolder(name) {
  const wanted = join(ROOT, '.data');
  mkdirSync(wanted, { recursive: true });
  if (!isRoot() || asDatabaseUser('test', ['-x', wanted]).ok) return join(wanted, name);
  const mark = createHash('sha256').update(ROOT).digest('hex').slice(0, 10);
  const folder = join('/var/tmp', `sounding-${mark}-${name}`);
  console.log(`The database user cannot enter ${ROOT}; the database is kept in ${folder}.`);
  return folder;
}

/** A free port on loopback. */
export function freePort() {
  return new Promise((resolve, reject) => {
    const probe = createServer();
    probe.on('error', reject);
    probe.listen(0, '127.0.0.1', () => {
      const { port } = probe.address();
      probe.close(() => resolve(port));
    });
  });
}

function runningPort(folder) {
  const file = join(folder, 'postmaster.pid');
  if (
    !existsSync(file) ||
    !asDatabaseUser(join(postgresBin(), 'pg_ctl'), ['status', '-D', folder]).ok
  )
    return null;
  return Number(readFileSync(file, 'utf8').split('\n')[3]);
}

function unusable(folder, reason) {
  return new Stop(
    `The database folder ${folder} cannot be used:\n${reason}\nMove it away or make it writable, then start again.`,
  );
}

function createCluster(bin, folder) {
  try {
    ownFolder(folder);
  } catch (error) {
    throw unusable(folder, error.message);
  }
  const made = asDatabaseUser(join(bin, 'initdb'), [
    '-D',
    folder,
    '-U',
    'app',
    '--auth=trust',
    '-E',
    'UTF8',
    '--locale=C.UTF-8',
  ]);
  if (!made.ok) throw unusable(folder, made.err);
}

function startServer(bin, folder, port, fast) {
  const sockets = join(tmpdir(), `sounding-pg-${port}`);
  ownFolder(sockets);
  const settings = [
    `-p ${port}`,
    '-c listen_addresses=127.0.0.1',
    `-k ${sockets}`,
    ...(fast ? ['-c fsync=off'] : []),
  ];
  const args = [
    'start',
    '-D',
    folder,
    '-w',
    '-t',
    '30',
    '-l',
    join(folder, 'server.log'),
    '-o',
    settings.join(' '),
  ];
  const started = asDatabaseUser(join(bin, 'pg_ctl'), args);
  if (!started.ok) {
    throw new Stop(
      `PostgreSQL did not start in ${folder}.\n${started.out}\n${started.err}\nSee ${join(folder, 'server.log')}; to begin anew move the folder away.`,
    );
  }
  return sockets;
}

/**
 * Starts a private cluster on loopback, making it when it is missing. Returns its address and a function
 * that stops it. `fast` gives up safety against power loss and is for tests only.
 */
export async function startCluster(name, { fast = false, fresh = false } = {}) {
  const bin = postgresBin();
  if (!bin) throw new Stop('PostgreSQL is missing. Type:  sudo apt-get install -y postgresql');
  const folder = clusterFolder(name);
  const stop = () =>
    asDatabaseUser(join(bin, 'pg_ctl'), ['stop', '-D', folder, '-m', 'fast', '-w']);
  if (fresh && existsSync(folder)) {
    stop();
    rmSync(folder, { recursive: true, force: true });
  }
  if (!existsSync(join(folder, 'PG_VERSION'))) createCluster(bin, folder);
  const known = runningPort(folder);
  const port = known ?? (await freePort());
  const sockets = known === null ? startServer(bin, folder, port, fast) : null;
  return {
    url: `postgresql://app@127.0.0.1:${port}/postgres`,
    stop: () => {
      stop();
      if (sockets) rmSync(sockets, { recursive: true, force: true });
    },
  };
}
