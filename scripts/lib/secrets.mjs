import { randomBytes } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT } from './setup.mjs';

/** A secret of this folder, made when it is first asked for, which its owner alone can read. */
export function ownSecret(name) {
  const file = join(ROOT, '.data', `${name}.secret`);
  if (existsSync(file)) return readFileSync(file, 'utf8').trim();
  mkdirSync(join(ROOT, '.data'), { recursive: true });
  const secret = randomBytes(32).toString('hex');
  writeFileSync(file, `${secret}\n`, { mode: 0o600 });
  return secret;
}
