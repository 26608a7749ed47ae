import { mkdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Library } from '../../core/knowledge/schema/library.ts';

/**
 * A checked library is kept as JSON under its version, as reading and checking some hundred thousand words of
 * YAML takes a second or more. The version is a hash of the texts and of the form below, so a changed file is
 * read anew.
 */
const FOLDER = join('node_modules', '.cache', 'sounding');
/** To be raised whenever the schemas change what they make of the same text. */
const FORM = 8;

const pathOf = (version: string): string => join(FOLDER, `library-${FORM}-${version}.json`);
const packedPathOf = (version: string): string => `${pathOf(version)}.br`;

/** Writes a file whole; where nothing can be written the next start is slower, and that is all. */
function write(path: string, content: string | Buffer): void {
  try {
    mkdirSync(FOLDER, { recursive: true });
    const draft = `${path}.${process.pid}`;
    writeFileSync(draft, content);
    renameSync(draft, path);
  } catch {
    return;
  }
}

/** The library of a version, or null when it was not kept. */
export function readKept(version: string): Library | null {
  try {
    return JSON.parse(readFileSync(pathOf(version), 'utf8')) as Library;
  } catch {
    return null;
  }
}

/** Keeps a checked library. */
export function keep(library: Library): void {
  write(pathOf(library.version), JSON.stringify(library));
}

/** The packed library of a version, or null when it was not kept. */
export function readKeptPacked(version: string): Buffer | null {
  try {
    return readFileSync(packedPathOf(version));
  } catch {
    return null;
  }
}

/** Keeps a packed library. */
export function keepPacked(version: string, packed: Buffer): void {
  write(packedPathOf(version), packed);
}
