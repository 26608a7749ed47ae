import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';

const folder = mkdtempSync(join(tmpdir(), 'dependencies-test-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

const GOOD = { version: '1.0.0', integrity: 'sha512-x', license: 'MIT' };

/** What the check says of a lock file with one package. */
function check(entry: object): { readonly ok: boolean; readonly said: string } {
  const lock = join(folder, 'lock.json');
  writeFileSync(lock, JSON.stringify({ packages: { '': {}, 'node_modules/one': entry } }));
  const script = resolve('scripts/checkDependencies.mjs');
  const { status, stdout, stderr } = spawnSync(process.execPath, [script, '--lock', lock]);
  return { ok: status === 0, said: `${String(stdout)}${String(stderr)}` };
}

it('passes a package that is kept up, under a licence like MIT', () => {
  expect(check(GOOD)).toMatchObject({ ok: true });
});

it.each([
  ['runs a script when it is installed', { hasInstallScript: true }],
  ['is given up: use another', { deprecated: 'use another' }],
  ['has no checksum', { integrity: undefined }],
  ['ships under GPL-3.0', { license: 'GPL-3.0' }],
  ['ships under no licence', { license: undefined }],
])('refuses one that %s', (fault, change) => {
  const { ok, said } = check({ ...GOOD, ...change });
  expect(ok).toBe(false);
  expect(said).toContain(`one 1.0.0 ${fault}`);
});

it('lets tools have other licences', () => {
  expect(check({ ...GOOD, license: 'GPL-3.0', dev: true })).toMatchObject({ ok: true });
});
