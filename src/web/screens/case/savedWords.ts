import type { CaseEntity } from '../../store/cases/caseEntity.ts';

const counted = (count: number): string => (count === 1 ? '1 change' : `${count} changes`);

/** Where the changes of a case stand; `careful` when it needs a look. */
export function savedWords(
  { pending, refused, sync }: Pick<CaseEntity, 'pending' | 'refused' | 'sync'>,
  kept: boolean,
): { readonly text: string; readonly careful: boolean } {
  const aside = refused.length > 0 ? `, ${counted(refused.length)} not accepted` : '';
  const careful = refused.length > 0;
  if (pending.length === 0)
    return careful
      ? { text: `${counted(refused.length)} not accepted`, careful }
      : { text: 'Saved', careful };
  if (sync.kind === 'waiting') {
    const where = kept ? 'on this device' : 'on this page only, keep it open';
    const text = `Kept ${where}, server not reached: ${counted(pending.length)}${aside}`;
    return { text, careful: true };
  }
  return { text: `Saving ${counted(pending.length)}${aside}`, careful };
}
