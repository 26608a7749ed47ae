import type { Sample } from '../../contracts/samples.ts';
import { sampleTexts } from '../texts/sampleTexts.ts';
import { causeName } from './causeName.ts';
import type { LibraryIndex } from './libraryIndex.ts';

/** What a laboratory's result says in one line. */
export function resultLine({ result }: Sample, shelf: LibraryIndex | null): string {
  if (!result || result.kind === 'report' || result.cause === null) return sampleTexts.figures;
  const name = causeName(result.cause, shelf);
  return result.kind === 'found' ? sampleTexts.found(name) : sampleTexts.notFound(name);
}
