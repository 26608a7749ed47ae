import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { loud, quiet, Stop } from './run.mjs';

export const ROOT = resolve(fileURLToPath(import.meta.url), '../../..');
export const DATA = join(ROOT, '.data');
const LEAST_NODE = [20, 10];

/** Refuses a Node that is too old, with the cure. */
export function checkNode() {
  const [major, minor] = process.versions.node.split('.').map(Number);
  if (major > LEAST_NODE[0] || (major === LEAST_NODE[0] && minor >= LEAST_NODE[1])) return;
  throw new Stop(
    `Node ${process.versions.node} is too old: install Node ${LEAST_NODE.join('.')} or newer (Debian: apt-get install nodejs from a Node 20 source).`,
  );
}

export const isRoot = () => process.getuid?.() === 0;

/** Installs Debian packages as root, or names the command to type. */
async function installPackages(names) {
  const command = `apt-get update && apt-get install -y --no-install-recommends ${names.join(' ')}`;
  if (!isRoot())
    throw new Stop(
      `These Debian packages are missing: ${names.join(', ')}.\nType:  sudo sh -c '${command}'`,
    );
  console.log(`Installing Debian packages: ${names.join(', ')}`);
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
  await loud('apt-get', ['update', '-q'], { env });
  await loud('apt-get', ['install', '-y', '-q', '--no-install-recommends', ...names], { env });
}

/** Folder of PostgreSQL's programs, or null. */
export function postgresBin() {
  const base = '/usr/lib/postgresql';
  if (existsSync(base)) {
    const versions = readdirSync(base)
      .filter((name) => existsSync(join(base, name, 'bin/initdb')))
      .sort((a, b) => Number(b) - Number(a));
    if (versions[0]) return join(base, versions[0], 'bin');
  }
  const found = quiet('sh', ['-c', 'command -v initdb']);
  return found.ok ? resolve(found.out, '..') : null;
}

/** Chromium without windows: the pages of the tests load in three quarters of the time. */
const HEADLESS = 'chromium-headless-shell';

/** Path of a Chromium that can drive the tests, or undefined. */
export const chromiumPath = () =>
  [HEADLESS, 'chromium', 'chromium-browser']
    .map((name) => join('/usr/bin', name))
    .find((path) => existsSync(path));

/** Makes sure the Debian packages are there that a command needs. */
export async function ensurePackages({ postgres = false, chromium = false, pool = false }) {
  const missing = [];
  if (postgres && !postgresBin()) missing.push('postgresql');
  if (pool && !existsSync('/usr/sbin/pgbouncer')) missing.push('pgbouncer');
  // Who may not install it makes do with the whole browser.
  const found = isRoot() ? existsSync(join('/usr/bin', HEADLESS)) : chromiumPath();
  if (chromium && !found) missing.push(HEADLESS);
  if (missing.length > 0) await installPackages(missing);
}

const digest = (file) => createHash('sha256').update(readFileSync(file)).digest('hex');

/** Installs the packages of the lock file when they are missing or the lock has changed. */
export async function ensureModules() {
  const stamp = join(ROOT, 'node_modules/.sounding-lock');
  const wanted = digest(join(ROOT, 'package-lock.json'));
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === wanted) return;
  console.log('Installing packages (npm ci), about a minute');
  await loud('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], { cwd: ROOT });
  writeFileSync(stamp, wanted);
}

function newestBelow(path) {
  const info = statSync(path);
  if (!info.isDirectory()) return info.mtimeMs;
  return Math.max(0, ...readdirSync(path).map((name) => newestBelow(join(path, name))));
}

/** Builds the interface and the server when a source is newer than the last build. */
export async function ensureBuild() {
  const stamp = join(ROOT, 'dist/.built');
  const sources = ['src', 'package-lock.json', 'vite.config.ts'].map((name) =>
    newestBelow(join(ROOT, name)),
  );
  if (existsSync(stamp) && statSync(stamp).mtimeMs > Math.max(...sources)) return;
  console.log('Building');
  await loud(process.execPath, ['scripts/build.mjs'], { cwd: ROOT });
}
