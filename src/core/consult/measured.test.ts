import { findingId } from '../../test/setting.ts';
import type { ExtractedFinding } from '../language/extract.ts';
import { RELIED_ON } from '../schema/reliedOn.ts';
import { withHeight } from './measured.ts';

const { tall } = RELIED_ON.findings;
const span = { start: 0, end: 4 };
const heard = (...ids: (typeof tall)[]): readonly ExtractedFinding[] =>
  ids.map((finding) => ({ finding, value: true, sure: 0.6, span }));
const height = (metres: number) => ({ kind: 'height' as const, metres, span });
const spots = findingId('spots');

it('hears a tall plant in a height in numbers', () => {
  const high = withHeight(heard(spots), [height(3.9), height(4)]);
  expect(high).toMatchObject([{ finding: spots }, { finding: tall, value: true, sure: 0.95 }]);
});

it('lifts no caution for a small height: it may be that of a shoot beside the tall tree', () => {
  const all = heard(tall, spots);
  expect(withHeight(all, [height(1.2)])).toBe(all);
});

it('leaves what was heard where no height was said', () => {
  const all = heard(tall, spots);
  expect(withHeight(all, [])).toBe(all);
  expect(withHeight(all, [{ kind: 'trunk', metres: 5, span }])).toBe(all);
});
