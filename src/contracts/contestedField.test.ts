import { sentEvent } from '../test/sentEvents.ts';
import type { CaseEvent } from './caseEvents.ts';
import { rebaseEvents } from './rebaseEvents.ts';

const SAMPLE = '7a1e5c0d-0000-4000-8000-000000000001';
const changed = (change: Extract<CaseEvent, { kind: 'sample-changed' }>['change']): CaseEvent => ({
  kind: 'sample-changed',
  plantId: 'plant-1',
  sample: SAMPLE,
  change,
});
const agreed = (consent: Extract<CaseEvent, { kind: 'consent-set' }>['consent']): CaseEvent => ({
  kind: 'consent-set',
  consent,
});

/** What two people contest who did one thing each at once. */
function contested(theirs: CaseEvent, mine: CaseEvent) {
  const stored = { ...sentEvent(theirs), version: 1 };
  const { pending } = rebaseEvents(new Map(), [sentEvent(mine)], [stored]);
  return pending.flatMap(({ conflicts }) => conflicts);
}

it.each([
  ['two fields of a sample', changed({ cost: 20 }), changed({ laboratory: 'County' })],
  ['two things that they agree to', agreed({ callBack: true }), agreed({ photographs: false })],
  ['the same of one field', changed({ cost: 20 }), changed({ cost: 20 })],
])('is not %s', (_what, theirs, mine) => {
  expect(contested(theirs, mine)).toEqual([]);
});

it('is one field of a sample that both set, by its name', () => {
  expect(contested(changed({ cost: 20, dueOn: null }), changed({ cost: 25 }))).toMatchObject([
    { field: 'sample', plantId: 'plant-1', about: `${SAMPLE} cost`, kept: '25', other: '20' },
  ]);
});

it('is one thing that they agreed to and did not', () => {
  expect(contested(agreed({ callBack: true }), agreed({ callBack: false }))).toMatchObject([
    { field: 'consent', plantId: null, about: 'callBack', kept: 'false', other: 'true' },
  ]);
});
