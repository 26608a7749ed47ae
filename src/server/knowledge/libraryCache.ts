import { createHash } from 'node:crypto';
import { mkdirSync, readdirSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import type { Library } from '../../core/schema/library.ts';

/**
 * A checked library is cached as JSON under its version, a hash of its texts, and a hash of the code that read and checked
 * it, as that takes a second or more. Each file begins with the checksum of the rest, so that one that was cut short is
 * never used.
 */
const FOLDER = join('node_modules', '.cache', 'sounding');

/** Folders of the code that decides what becomes of the same texts, from this file. */
const READING_CODE = ['../../core/schema', '../../core/knowledge', '../../core/util'] as const;

function codeFiles(): readonly string[] {
  const own = fileURLToPath(import.meta.url);
  // In the built server all code is in this one file.
  if (!own.endsWith('.ts')) return [own];
  return READING_CODE.map((folder) => join(own, '..', folder)).flatMap((folder) =>
    readdirSync(folder)
      .filter((name) => name.endsWith('.ts') && !name.endsWith('.test.ts'))
      .sort()
      .map((name) => join(folder, name)),
  );
}

let known: string | null = null;

/** Hash of the code that reads and checks a library, 16 hexadecimal digits. */
export function codeVersion(): string {
  if (known !== null) return known;
  const hash = createHash('sha256');
  for (const path of codeFiles()) hash.update(readFileSync(path));
  known = hash.digest('hex').slice(0, 16);
  return known;
}

const CHECKSUM_BYTES = 32;
const checksum = (content: Buffer): Buffer => createHash('sha256').update(content).digest();

const pathOf = (version: string): string =>
  join(FOLDER, `library-${codeVersion()}-${version}.json`);
const packedPathOf = (version: string): string => `${pathOf(version)}.br`;

/** Writes a file whole; where nothing can be written the next start is slower, and that is all. */
export function writeChecked(path: string, content: Buffer): void {
  try {
    mkdirSync(join(path, '..'), { recursive: true });
    const draft = `${path}.${process.pid}`;
    writeFileSync(draft, Buffer.concat([checksum(content), content]));
    renameSync(draft, path);
  } catch {
    return;
  }
}

/** The content of a file that {@link writeChecked} wrote; null, and the file is removed, when it is not whole. */
export function readChecked(path: string): Buffer | null {
  try {
    const file = readFileSync(path);
    const content = file.subarray(CHECKSUM_BYTES);
    if (file.length > CHECKSUM_BYTES && checksum(content).equals(file.subarray(0, CHECKSUM_BYTES)))
      return content;
    rmSync(path, { force: true });
    return null;
  } catch {
    return null;
  }
}

/** The library of a version, or null when it was not kept. */
export function readCached(version: string): Library | null {
  const content = readChecked(pathOf(version));
  return content && (JSON.parse(content.toString()) as Library);
}

/** Keeps a checked library. */
export function cacheLibrary(library: Library): void {
  writeChecked(pathOf(library.version), Buffer.from(JSON.stringify(library)));
}

/** The packed library of a version, or null when it was not kept. */
export function readCachedPacked(version: string): Buffer | null {
  return readChecked(packedPathOf(version));
}

/** Keeps a packed library. */
export function cachePacked(version: string, packed: Buffer): void {
  writeChecked(packedPathOf(version), packed);
}
