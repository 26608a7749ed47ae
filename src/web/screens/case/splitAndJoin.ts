import type { CaseEvent } from '../../../contracts/caseEvents.ts';
import type { CasePlant } from '../../../contracts/cases.ts';
import { newId } from '../../../contracts/ids.ts';

/** What happens when the words behind a place become a plant of their own; nothing where one side would be empty. */
export function splittingEvents(
  plant: CasePlant,
  at: number,
  newPlant: string,
): readonly CaseEvent[] {
  const [before, behind] = [plant.words.slice(0, at), plant.words.slice(at)];
  if (before.trim() === '' || behind.trim() === '') return [];
  return [
    {
      kind: 'words-edited',
      plantId: plant.id,
      edits: [{ at, remove: behind, insert: '' }],
    },
    { kind: 'plant-added', plantId: newPlant },
    {
      kind: 'words-edited',
      plantId: newPlant,
      edits: [{ at: 0, remove: '', insert: behind.trimStart() }],
    },
  ];
}

/** What happens when a plant is joined to another: its words go behind those, its answers where there are none, and it goes. */
export function joiningEvents(from: CasePlant, to: CasePlant): readonly CaseEvent[] {
  const { id: plantId, words, answers } = to;
  const insert = words === '' ? from.words : `\n${from.words}`;
  const known = new Set(answers.map(({ finding }) => finding));
  const added = from.answers.filter(({ finding }) => !known.has(finding));
  return [
    ...(from.words === ''
      ? []
      : [
          {
            kind: 'words-edited' as const,
            plantId,
            edits: [{ at: words.length, remove: '', insert }],
          },
        ]),
    ...added.map((answer): CaseEvent => ({
      kind: 'answer-given',
      plantId,
      answer: { ...answer, id: newId() },
    })),
    { kind: 'plant-removed', plantId: from.id },
  ];
}
