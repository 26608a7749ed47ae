import { findingId } from '../../test/setting.ts';
import type { ExtractedFinding } from '../language/extract.ts';
import { RELIED_ON } from '../schema/reliedOn.ts';
import { withHeight } from './height.ts';

const { tall } = RELIED_ON.findings;
const span = { start: 0, end: 4 };
const heard = (...ids: (typeof tall)[]): readonly ExtractedFinding[] =>
  ids.map((finding) => ({ finding, value: true, sure: 0.6, span }));
const height = (metres: number) => ({ kind: 'height' as const, metres, span });
const spots = findingId('spots');

it('takes a height in numbers over a word for it', () => {
  const low = withHeight(heard(tall, spots), [height(1.2)]);
  expect(low.map(({ finding }) => finding)).toEqual([spots]);
  const high = withHeight(heard(spots), [height(3.9), height(4)]);
  expect(high).toMatchObject([{ finding: spots }, { finding: tall, value: true, sure: 0.95 }]);
});

it('leaves what was heard where no height was said', () => {
  const all = heard(tall, spots);
  expect(withHeight(all, [])).toBe(all);
  expect(withHeight(all, [{ kind: 'trunk', metres: 5, span }])).toBe(all);
});
