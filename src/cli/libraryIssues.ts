import { checkLibrary } from '../core/knowledge/check.ts';
import type { KnowledgeIssue } from '../core/knowledge/faults.ts';
import type { ReadLibrary } from '../core/knowledge/read.ts';
import { checkReliedOn } from '../core/knowledge/reliedOn.ts';
import { compileLibrary } from '../core/library/compile.ts';
import { checkQuality } from '../core/library/quality.ts';
import { checkReadability } from './readability.ts';

/** What spans entries and is wrong; the library compiles where it is empty. */
export const brokenIn = (read: ReadLibrary): readonly KnowledgeIssue[] => [
  ...checkLibrary(read),
  ...checkReliedOn(read.library),
];

/** What keeps sound entries from being good enough. */
export const lackingIn = (read: ReadLibrary): readonly KnowledgeIssue[] => [
  ...checkQuality(read, compileLibrary(read.library)),
  ...checkReadability(read),
];

/** Everything that is wrong; gates of quality are looked at once all references are sound. */
export function issuesOf(read: ReadLibrary): readonly KnowledgeIssue[] {
  const broken = brokenIn(read);
  return broken.length > 0 ? broken : lackingIn(read);
}
