import type { ExtractedFinding } from '../language/extract.ts';
import type { PlantId } from '../schema/common.ts';
import type { Question } from './questions.ts';

/**
 * Questions in the order in which they are put. Without the plant every cause of the library stands, and without a
 * report all of its own: the plant is asked first, then what the words may have said already (`halfHeard`, each with
 * the probability that they did), then what is to be seen.
 */
export function openFirst(
  questions: readonly Question[],
  plant: PlantId | null,
  halfHeard: readonly ExtractedFinding[],
): readonly Question[] {
  const isOpen = questions.some(({ kind }) => kind === 'change');
  const saidAt = new Map<string, Question['saidAt']>(
    isOpen ? halfHeard.map(({ finding, span }) => [finding, span]) : [],
  );
  const rank = ({ kind, finding, netValue }: Question): number => {
    if (kind === 'plant' && plant === null) return 0;
    if (netValue > 0 && saidAt.has(finding)) return 1;
    return kind === 'change' ? 2 : 3;
  };
  return questions
    .map((one) => ({ ...one, saidAt: saidAt.get(one.finding) ?? null }))
    .sort((a, b) => rank(a) - rank(b));
}
