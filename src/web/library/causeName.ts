import { NOT_IN_LIBRARY, NOTHING_WRONG } from '../../contracts/saidAndTrue.ts';
import type { LibraryIndex } from './libraryIndex.ts';
import { followTexts } from '../texts/followTexts.ts';

/** The name of what a plant proved to have; its id in words where the library does not have it, or is not there. */
export function causeName(id: string, shelf: LibraryIndex | null): string {
  if (id === NOTHING_WRONG) return followTexts.nothingWrong;
  if (id === NOT_IN_LIBRARY) return followTexts.notInLibrary;
  return shelf?.causes.get(id)?.name ?? id.replaceAll('-', ' ');
}
