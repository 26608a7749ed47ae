import fc from 'fast-check';
import { REFERENCE_PLACE } from '../../test/miniLibrary.ts';
import { almanacAt, day } from '../../test/setting.ts';
import { placeSchema } from '../schema/place.ts';
import { parseWindow, SEASONS, type WindowRule } from '../schema/window.ts';
import type { Almanac } from './almanac.ts';
import { isoDay } from './calendar.ts';
import {
  positionsOf,
  seasonPositions,
  transferDate,
  windowState,
  type DaySpan,
} from './windows.ts';

const places = [placeSchema.parse(REFERENCE_PLACE)];
const at = (lat: number): Almanac => almanacAt({ places }, lat);
const rule = (text: string): WindowRule => {
  const read = parseWindow(text);
  if (!read) throw new Error(`${text} is no window`);
  return read;
};
const spanOf = (almanac: Almanac, text: string, on: string): DaySpan => {
  const state = almanac.state(rule(text), day(on));
  if (state.kind !== 'open' && state.kind !== 'opens') throw new Error(state.kind);
  return state.span;
};

describe('parseWindow', () => {
  it.each(['soon', '13-01..14-01', '02-30..03-02', 'dd10 300..200', '05-01'])(
    'refuses %s',
    (text) => {
      expect(parseWindow(text)).toBeNull();
    },
  );
});

it('leaves a calendar window as it is at its reference place', () => {
  const span = spanOf(at(40), '04-25..05-20', '2026-04-01');
  expect([isoDay(span.from), isoDay(span.to)]).toEqual(['2026-04-25', '2026-05-20']);
});

it('opens spring windows later and autumn windows earlier towards the pole', () => {
  expect(spanOf(at(45), '05-10..06-01', '2026-01-15').from).toBeGreaterThan(day('2026-05-10'));
  expect(spanOf(at(45), '10-01..10-20', '2026-07-01').from).toBeLessThan(day('2026-10-01'));
});

it('turns the window by half a year in the south', () => {
  const { from } = spanOf(at(-40), '05-10..06-01', '2026-07-15');
  expect(Math.abs(from - day('2026-11-10'))).toBeLessThan(8);
});

it('says that a window has closed and when it opens again', () => {
  const state = at(42).state(rule('04-25..05-20'), day('2026-06-24'));
  expect(state.kind).toBe('opens');
  if (state.kind !== 'opens' || state.closedSince === null) throw new Error('not closed');
  expect(isoDay(state.closedSince).slice(0, 7)).toBe('2026-05');
  expect(isoDay(state.span.from).slice(0, 7)).toMatch(/2027-0[45]/);
});

it('comes back to its start within a day, wherever it travels', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 30, max: 355 }),
      fc.integer({ min: 28, max: 52 }),
      (position, lat) => {
        const [home, away] = [at(40).year, at(lat).year];
        const there = transferDate(position, home, away);
        const [below, above] = [Math.floor(there), Math.ceil(there)].map((p) =>
          transferDate(p, away, home),
        );
        return (below ?? NaN) <= position + 1 && (above ?? NaN) >= position - 1;
      },
    ),
  );
});

it('keeps the order of dates when they travel, and the length of late-summer windows', () => {
  for (const lat of [28, 33, 45, 52]) {
    const [home, away] = [at(40).year, at(lat).year];
    for (let p = 1; p < 365; p++) {
      expect(transferDate(p, home, away)).toBeGreaterThanOrEqual(transferDate(p - 1, home, away));
    }
    const { from, to } = spanOf(at(lat), '07-15..08-15', '2026-07-01');
    expect(to - from).toBeGreaterThan(14);
  }
});

it.each(SEASONS)('the season %s starts before it ends, from 30 to 55 degrees', (season) => {
  for (let lat = 30; lat <= 55; lat += 5) {
    const { from, to } = seasonPositions(at(lat).year, season);
    expect(to).toBeGreaterThanOrEqual(from);
  }
});

it('more heat never delays a degree-day window', () => {
  let last = Infinity;
  for (const lat of [46, 44, 42, 40, 38, 36, 34]) {
    const { from } = spanOf(at(lat), 'dd10 300..500', '2026-01-02');
    expect(from).toBeLessThanOrEqual(last);
    last = from;
  }
});

it('calls a heat sum that no normal year reaches never', () => {
  expect(at(40).state(rule('dd10 8000..9000'), day('2026-06-01')).kind).toBe('never');
});

describe('windows by the plant', () => {
  const here = at(40).year;
  const reference = () => here;
  const bloom = rule('05-05..05-25');

  it('are counted from the turns of its flowering', () => {
    const placed = positionsOf(rule('bloom-end..bloom-end+28'), { here, reference, bloom });
    expect(placed).toEqual({ from: 144, to: 172 });
  });
  it('are left to the eye where its flowering is not known', () => {
    const placed = positionsOf(rule('bloom-end..bloom-end+28'), { here, reference });
    expect(placed).toBe('watch');
    expect(windowState(placed, here, day('2026-06-13'))).toMatchObject({ kind: 'watch' });
  });
  it('run from leafing out to leaf fall in the same year', () => {
    const placed = positionsOf(rule('leaf-out..leaf-fall-7'), { here, reference });
    expect(typeof placed !== 'string' && placed.from < placed.to).toBe(true);
    expect(parseWindow('bud-swell..leaf-fall')).toBeNull();
  });
});

describe('windows by the frosts of the place', () => {
  const placed = (lat: number, text: string) => {
    const here = at(lat).year;
    return positionsOf(rule(text), { here, reference: () => here });
  };

  it('begin on the first day after the mild nights, and end on the last before them', () => {
    const { year } = at(40);
    const mild = seasonPositions(year, 'frost-free');
    const lastCold = year.minCelsius.findLastIndex((low, i) => i < year.peak && low < 6);
    expect(placed(40, 'first-frost..first-frost+10')).toEqual({
      from: mild.to + 1,
      to: mild.to + 11,
    });
    expect(placed(40, 'last-frost-7..last-frost')).toEqual({
      from: lastCold - 7,
      to: lastCold,
    });
    expect(year.minCelsius[mild.from]).toBeGreaterThanOrEqual(9);
    expect(year.minCelsius[mild.from - 1]).toBeLessThan(9);
  });

  it('have no date where there is no frost', () => {
    const here = { ...at(40).year, minCelsius: new Float64Array(365).fill(15) };
    expect(positionsOf(rule('first-frost..first-frost+10'), { here, reference: () => here })).toBe(
      'watch',
    );
  });
});

describe('a place with wet and dry seasons', () => {
  const year = { ...at(40).year, winterless: true, wet: { from: 151, to: 302 } };
  it('grows when the rains come and rests when they are over', () => {
    expect(seasonPositions(year, 'spring').from).toBe(151);
    expect(seasonPositions(year, 'dormant')).toEqual({ from: 303, to: 515 });
    expect(seasonPositions(year, 'late-winter').to).toBeLessThan(151);
  });
  it('has every part of the year in order', () => {
    const starts = (['bud-break', 'early-summer', 'summer', 'late-summer', 'autumn'] as const).map(
      (season) => seasonPositions(year, season).from,
    );
    expect(starts).toEqual([...starts].sort((a, b) => a - b));
  });
});
