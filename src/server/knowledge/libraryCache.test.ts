import { mkdtempSync, readFileSync, rmSync, truncateSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { codeVersion, readChecked, writeChecked } from './libraryCache.ts';

const folder = mkdtempSync(join(tmpdir(), 'library-cache-'));
afterAll(() => {
  rmSync(folder, { recursive: true });
});

it('names the code by a hash that stays the same while the code does', () => {
  expect(codeVersion()).toMatch(/^[0-9a-f]{16}$/);
  expect(codeVersion()).toBe(codeVersion());
});

it('reads back what it wrote, and removes a file that was cut short', () => {
  const path = join(folder, 'library.json');
  writeChecked(path, Buffer.from('{"plants":[]}'));
  expect(readChecked(path)?.toString()).toBe('{"plants":[]}');
  truncateSync(path, readFileSync(path).length - 3);
  expect(readChecked(path)).toBeNull();
  expect(() => readFileSync(path)).toThrow('ENOENT');
});

it('knows nothing of a file that is not there', () => {
  expect(readChecked(join(folder, 'none.json'))).toBeNull();
});
