import fc from 'fast-check';
import { day } from '../../test/setting.ts';
import { amountText, measureDoubtText } from '../../wording/amounts.ts';
import { isoDay } from '../timing/calendar.ts';
import { oddAmounts, saidAmounts, type SaidAmount, type SaidAt } from './amounts.ts';

const AT: SaidAt = { today: day('2026-06-13'), south: false, fahrenheit: true };
const said = (text: string, at: SaidAt = AT): readonly SaidAmount[] => saidAmounts(text, at);
const odd = (text: string): readonly string[] => oddAmounts(said(text), text).map(measureDoubtText);
const range = (text: string, at: SaidAt = AT): string => {
  const [first] = said(text, at);
  if (!first || !('from' in first)) return 'none';
  const word = (one: typeof first.from): string => (one === null ? '?' : isoDay(one));
  return `${first.kind} ${word(first.from)} ${word(first.to)}`;
};

describe('since when', () => {
  it.each([
    ['it started 3 days ago', 'since 2026-06-10 2026-06-10'],
    ['it has been like this for three weeks', 'since 2026-05-20 2026-05-26'],
    ['it wilted a week ago', 'since 2026-06-05 2026-06-07'],
    ['yesterday it was fine', 'since 2026-06-12 2026-06-12'],
    ['we planted it in April', 'planted 2026-04-01 2026-04-30'],
    ['I planted them a couple of years ago', 'planted 2024-02-24 2024-09-30'],
    ['it began in early May', 'since 2026-05-01 2026-05-11'],
    ['since last fall', 'since 2025-09-01 2025-11-30'],
    ['last winter was hard', 'since 2025-12-01 2026-02-28'],
    ['brown since the freeze', 'since ? ?'],
    ['it comes back every spring', 'every-year ? ?'],
  ])('%s', (text, expected) => {
    expect(range(text)).toBe(expected);
  });
  it.each(['a 10 year old maple', 'I water every 3 days', 'call me in two weeks', 'six feet tall'])(
    'hears no date in "%s"',
    (text) => {
      expect(said(text).filter(({ kind }) => kind === 'since')).toEqual([]);
    },
  );
  it('turns the seasons round south of the equator', () => {
    expect(range('since last spring', { ...AT, south: true })).toBe('since 2025-09-01 2025-11-30');
  });
});

describe('watering', () => {
  it.each([
    ['I water it every day for 20 minutes', 7, 20],
    ['the sprinklers run twice a week', 2, null],
    ['we water three times a week, half an hour each', 3, 30],
    ['I soak it every ten days', 0.7, null],
    ['I water every other day', 3.5, null],
  ])('%s', (text, timesPerWeek, minutes) => {
    expect(said(text).find(({ kind }) => kind === 'watering')).toMatchObject({
      timesPerWeek,
      minutes,
    });
  });
  it('tells how much in litres', () => {
    const [one] = said('it gets two gallons of water once a week');
    expect(one && amountText(one, AT.today)).toBe('Water: once a week, 7.6 litres');
  });
  it('is not heard where no water is meant', () => {
    expect(said('I mow twice a week for an hour')).toEqual([]);
  });
});

describe('degrees', () => {
  it('reads the unit, or takes the usual one', () => {
    const celsius = (text: string, fahrenheit = true): number | null => {
      const [one] = said(text, { ...AT, fahrenheit });
      return one?.kind === 'temperature' ? Math.round(one.celsius) : null;
    };
    expect(celsius('it went down to 28 degrees')).toBe(-2);
    expect(celsius('it went down to 28 degrees', false)).toBe(28);
    expect(celsius('35°C all week')).toBe(35);
    expect(celsius('-5 C degrees')).toBeNull();
  });
  it('asks back when it cannot be', () => {
    expect(odd('it was 150 degrees')).toHaveLength(1);
    expect(odd('it was 95 degrees')).toEqual([]);
    expect(odd('I water it ten times a day')).toHaveLength(1);
  });
});

it('reads any text, with spans inside it in order (property)', () => {
  const bits = fc.constantFrom(
    'water ',
    'every ',
    '3 ',
    'days ',
    'a few ',
    '°',
    '99 degrees ',
    'since ',
    'last ',
    'fall ',
    '. ',
    'é',
    '😀',
  );
  fc.assert(
    fc.property(fc.array(bits, { maxLength: 60 }), (list) => {
      const text = list.join('');
      const spans = said(text).map(({ span }) => span);
      return spans.every(
        ({ start, end }, i) =>
          start < end && end <= text.length && start >= (spans[i - 1]?.start ?? 0),
      );
    }),
    { numRuns: 300, seed: 20260613 },
  );
});
