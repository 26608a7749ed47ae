import type { CaseEvent, StoredEvent } from '../../../contracts/caseEvents.ts';
import { sentEvent, wordsEvent } from '../../../test/sentEvents.ts';
import { happenings } from './happenings.ts';

const stored = (events: readonly (readonly [string, CaseEvent])[]): StoredEvent[] =>
  events.map(([author, event], i) => ({
    ...sentEvent(event, author),
    version: i + 1,
    at: `2026-06-13T12:0${i}:00.000Z`,
  }));
const CLOSE: CaseEvent = { kind: 'status-set', status: 'closed' };

it('puts what one person did in a row into one line, with its first moment', () => {
  const lines = happenings(
    stored([
      ['Thora', wordsEvent('a')],
      ['Thora', wordsEvent('b')],
      ['Jory', wordsEvent('c')],
      ['Jory', CLOSE],
    ]),
  );
  expect(lines.map(({ author, text }) => `${author} ${text}`)).toEqual([
    'Thora wrote down words (2 times)',
    'Jory wrote down words',
    'Jory closed the case',
  ]);
  expect(lines[0]?.at).toBe('2026-06-13T12:00:00.000Z');
});

it('leaves out what the program does by itself', () => {
  const consulted: CaseEvent = { kind: 'consulted', plantId: 'plant-1', knowledgeVersion: 'x' };
  expect(happenings(stored([['Thora', consulted]]))).toEqual([]);
});
