import { almanacAt, day } from '../../test/setting.ts';
import { REFERENCE_PLACE } from '../../test/miniLibrary.ts';
import { placeSchema } from '../schema/place.ts';
import { parseWindow, type WindowRule } from '../schema/window.ts';
import { countedFromEvent, eventOf } from './biofix.ts';
import { heatSoFar } from './heatSoFar.ts';
import { reachedAt, accumulate } from './seasonYear.ts';
import { addDays } from './calendar.ts';

const { year } = almanacAt({ places: [placeSchema.parse(REFERENCE_PLACE)] }, 40);
const read = (text: string): WindowRule => {
  const rule = parseWindow(text);
  if (!rule) throw new Error(text);
  return rule;
};
const rule = read('dd10 250..480 biofix 111 first moth');
const usual = addDays(day('2026-01-01'), reachedAt(accumulate(year, 10), 111) ?? 0);
const seen = (on: ReturnType<typeof day>) =>
  countedFromEvent(rule, new Map([['first moth', on]]), year, false);

it('leaves a window where it is while its event was not seen, or comes when it always does', () => {
  expect(countedFromEvent(rule, new Map(), year, false)).toBe(rule);
  const same = seen(addDays(usual, 1));
  expect(same.kind === 'degree-days' && Math.abs(same.from - 250)).toBeLessThan(12);
});

it('counts the heat of the window from a late event on', () => {
  const late = addDays(usual, 15);
  const moved = seen(late);
  const heat = heatSoFar(year, 10, late, false);
  expect(moved).toMatchObject({ from: heat + 139, to: heat + 369 });
});

it('names its event, and only for windows that have one', () => {
  expect(eventOf(rule)).toBe('first moth');
  expect(eventOf(read('dd10 250..480'))).toBeNull();
  expect(parseWindow('dd10 100..200 biofix 150 first moth')).toBeNull();
});
