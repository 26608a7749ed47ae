import { caseTexts } from '../../texts/caseTexts.ts';
import type { CaseEntity } from '../../store/cases/caseEntity.ts';

/** Where the changes of a case stand; `careful` when it needs a look. */
export function savedWords(
  { pending, refused, sync }: Pick<CaseEntity, 'pending' | 'refused' | 'sync'>,
  kept: boolean,
): { readonly text: string; readonly careful: boolean } {
  const aside =
    refused.length > 0 ? caseTexts.alsoNotAccepted(caseTexts.changes(refused.length)) : '';
  const careful = refused.length > 0;
  if (pending.length === 0)
    return careful
      ? { text: caseTexts.countNotAccepted(caseTexts.changes(refused.length)), careful }
      : { text: caseTexts.saved, careful };
  if (sync.kind === 'waiting') {
    const where = kept ? caseTexts.onThisDevice : caseTexts.onThisPageOnly;
    const count = caseTexts.changes(pending.length);
    const text =
      sync.problem.code === 'signed-out'
        ? caseTexts.keptUntilSignedIn(where, count, aside)
        : caseTexts.keptServerNotReached(where, count, aside);
    return { text, careful: true };
  }
  return { text: caseTexts.saving(caseTexts.changes(pending.length), aside), careful };
}
