import { day, findingId } from '../../test/setting.ts';
import type { ExtractedFinding } from '../language/extract.ts';
import { RELIED_ON } from '../schema/reliedOn.ts';
import { withHeight, withPlanting, withSoilTest } from './measured.ts';

const { tall, newlyPlanted } = RELIED_ON.findings;
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

describe('when it was planted', () => {
  const today = day('2026-06-13');
  const planted = (from: string, to: string) => [
    { kind: 'planted' as const, from: day(from), to: day(to), named: null, span },
  ];

  it('turns round that it is new when that is more than two years ago', () => {
    const all = withPlanting(
      heard(newlyPlanted, spots),
      planted('2022-12-31', '2023-11-25'),
      today,
    );
    expect(all).toMatchObject([
      { finding: newlyPlanted, value: false, sure: 0.95 },
      { finding: spots, value: true, sure: 0.6 },
    ]);
  });

  it('leaves it when it may be within two years, or no day was said', () => {
    const all = heard(newlyPlanted);
    expect(withPlanting(all, planted('2024-01-01', '2024-07-01'), today)).toBe(all);
    expect(withPlanting(all, [], today)).toBe(all);
  });
});

describe('a soil test in numbers', () => {
  const at = { start: 10, end: 16 };
  const heardAs = (finding: string, value = true) => ({
    ...{ finding: findingId(finding), value, sure: 0.8 },
    span: { start: 0, end: 4 },
  });
  const after = (value: number) =>
    withSoilTest(
      [heardAs('alkaline-soil'), heardAs('leaf-yellow')],
      [{ kind: 'ph' as const, value, span: at }],
    ).map(({ finding }) => finding);

  it.each([
    [5.4, ['leaf-yellow', 'acid-soil']],
    [5.5, ['leaf-yellow']],
    [7, ['leaf-yellow']],
    [7.1, ['leaf-yellow', 'alkaline-soil']],
  ])('pH %d says what the soil is, whatever else it sounds like', (value, findings) => {
    expect(after(value)).toEqual(findings);
  });
  it('leaves what was heard where no test was said', () => {
    const heard = [heardAs('alkaline-soil')];
    expect(withSoilTest(heard, [])).toBe(heard);
  });
});
