import { forThisJob, type Job } from '../core/advice/forSize.ts';
import { CALCULATORS } from '../core/measures/all.ts';
import { MEASURES, readAmount, type MeasureId } from '../core/schema/amount.ts';
import { benchLink } from './benchLink.ts';

const span = { start: 0, end: 1 };
const job = {
  sizes: [
    { kind: 'trunk' as const, metres: 0.0508, span },
    { kind: 'area' as const, squareMetres: 55.7, span },
    { kind: 'ph' as const, value: 5.2, span },
    { kind: 'count' as const, number: 3, span },
  ],
  weeksPlanted: 2,
  winter: true,
  acidLoving: false,
};

const open = (measure: MeasureId | null, change: Partial<Job> = {}, amount: string | null = null) =>
  benchLink(
    { measure, amount: amount === null ? null : readAmount(amount) },
    { ...job, ...change },
  );
const query = (link: string | null) => new URLSearchParams(link?.split('?')[1] ?? '');

it('opens the calculator with what was said, and with nothing else', () => {
  expect(open('tree-water')).toBe('/bench/new-tree?trunk=5.1+cm&since=2+weeks');
  expect(open('succulent', { sizes: [] })).toBe('/bench/succulent?season=winter');
});

it('asks there for what the plan asks for', () => {
  expect(Object.fromEntries(query(open('rain', {}, '25..40 mm a week')))).toEqual({
    area: '56 m2',
    need: '25 mm',
    rain: '0 mm',
  });
  expect(query(open('layer', {}, '5..8 cm deep')).get('depth')).toBe('5 cm');
});

it.each(['lime', 'sulfur'] as const)(
  'comes there to the same rate of %s as in the plan',
  (matter) => {
    const ph = matter === 'lime' ? 4.6 : 7.4;
    for (const acidLoving of [true, false]) {
      const sizes = [{ kind: 'ph' as const, value: ph, span }];
      const plan = forThisJob(null, matter, { ...job, sizes, acidLoving });
      const link = query(open(matter, { sizes, acidLoving }));
      const calculator = Object.values(CALCULATORS)
        .flat()
        .find(({ id }) => id === matter);
      const run = calculator?.run({
        ...{ present: Number(link.get('present')), wanted: Number(link.get('wanted')) },
        ...{ texture: link.get('texture') ?? '', area: 10 },
      });
      const rate = run?.ok ? run.value.find(({ id }) => id === 'rate')?.from : undefined;
      expect(Number(rate?.toPrecision(2))).toBe(plan.forSize?.quantity.from);
    }
  },
);

it('is none where nothing is worked out', () => {
  expect(open(null)).toBeNull();
  expect(open('pot-wider')).toBeNull();
  expect(open('tree-water', { weeksPlanted: null })).toBeNull();
});

it('names calculators that there are, and blanks that they have', () => {
  const all = Object.values(CALCULATORS).flat();
  for (const measure of MEASURES) {
    const link = open(measure, {}, '25 mm, 5 cm');
    const calculator = all.find(({ id }) => link?.startsWith(`/bench/${id}?`));
    if (link === null) continue;
    for (const blank of query(link).keys())
      expect(Object.keys(calculator?.inputs ?? {})).toContain(blank);
  }
});
