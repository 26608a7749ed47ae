import type { CaseEvent } from '../../contracts/cases.ts';
import { addToOutbox } from './outbox.ts';

const words = (text: string, plantId = 'plant-1'): CaseEvent => ({
  kind: 'words-set',
  plantId,
  words: text,
});
const close: CaseEvent = { kind: 'status-set', status: 'closed' };

it('replaces words that were not sent yet', () => {
  expect(addToOutbox([words('a')], words('ab'), 0)).toEqual([words('ab')]);
});

it('keeps words that are on their way', () => {
  expect(addToOutbox([words('a')], words('ab'), 1)).toEqual([words('a'), words('ab')]);
});

it('keeps words of another plant and the order of events', () => {
  expect(addToOutbox([words('a')], words('b', 'plant-2'), 0)).toHaveLength(2);
  expect(addToOutbox([words('a'), close], words('ab'), 0)).toEqual([
    words('a'),
    close,
    words('ab'),
  ]);
});
