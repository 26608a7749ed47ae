import { createHash } from 'node:crypto';
import { mkdirSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Library } from '../../core/schema/library.ts';

/**
 * A checked library is kept as JSON under its version, as reading and checking some hundred thousand words of
 * YAML takes a second or more. The version is a hash of the texts and of the form below, so a changed file is
 * read anew. Each file begins with the checksum of the rest, so that one that was cut short is never used.
 */
const FOLDER = join('node_modules', '.cache', 'sounding');
/** To be raised whenever the schemas change what they make of the same text. */
const FORM = 9;

const CHECKSUM_BYTES = 32;
const checksum = (content: Buffer): Buffer => createHash('sha256').update(content).digest();

const pathOf = (version: string): string => join(FOLDER, `library-${FORM}-${version}.json`);
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
export function readKept(version: string): Library | null {
  const content = readChecked(pathOf(version));
  return content && (JSON.parse(content.toString()) as Library);
}

/** Keeps a checked library. */
export function keep(library: Library): void {
  writeChecked(pathOf(library.version), Buffer.from(JSON.stringify(library)));
}

/** The packed library of a version, or null when it was not kept. */
export function readKeptPacked(version: string): Buffer | null {
  return readChecked(packedPathOf(version));
}

/** Keeps a packed library. */
export function keepPacked(version: string, packed: Buffer): void {
  writeChecked(packedPathOf(version), packed);
}
