import { ADVICE_DAY, advise, pestLibrary, treatmentEntry } from '../../test/advised.ts';
import { day } from '../../test/setting.ts';
import { headlineText, notDoingText } from '../../wording/advice.ts';
import { harmSchema } from '../schema/cause.ts';
import { RELIED_ON } from '../schema/reliedOn.ts';
import { isBearable, isExtentKnown, waitsForMore, whyBorne } from './threshold.ts';

const { little, some, much, over } = RELIED_ON.findings;
const harm = (of: Record<string, string>) => harmSchema.parse(of);
const reported = (...ids: (typeof little)[]) => ({ reported: new Set(ids) });

it.each([
  [{ looks: 'moderate' }, true],
  [{ yield: 'moderate', plant: 'slight' }, true],
  [{ looks: 'serious' }, false],
  [{ yield: 'serious' }, false],
  [{ looks: 'slight', plant: 'moderate' }, false],
  [{ looks: 'slight', neighbours: 'slight' }, false],
  [{ looks: 'slight', people: 'slight' }, false],
])('a plant bears a little of %o: %s', (of: Record<string, string>, bears) => {
  expect(isBearable(harm(of))).toBe(bears);
});

it.each([
  [[], null],
  [[some], null],
  [[much], null],
  [[little], 'little-affected'],
  [[over], 'over'],
  [[little, over], 'over'],
])('%o is borne because of %s', (ids, why) => {
  expect(whyBorne(harm({ looks: 'slight' }), reported(...ids))).toBe(why);
  expect(whyBorne(harm({ plant: 'severe' }), reported(...ids))).toBeNull();
  expect(isExtentKnown(reported(...ids))).toBe(ids.length > 0);
});

it('lets products wait, not what is done by hand or by a professional', () => {
  const waiting = (
    ['hand', 'low-toxicity', 'conventional', 'professional', 'replace'] as const
  ).filter(waitsForMore);
  expect(waiting).toEqual(['low-toxicity', 'conventional']);
});

it('keeps the work by hand and says why no product is used, and when it would be', () => {
  const library = pestLibrary(
    {
      harm: { looks: 'moderate', pace: 'weeks' },
      treatments: [
        { use: 'pick', effect: 'good' },
        { use: 'soap', effect: 'strong' },
      ],
    },
    [treatmentEntry('pick'), treatmentEntry('soap', { rung: 'low-toxicity' })],
  );
  const before = advise(library);
  expect(before.verdict).toBe('act-now');
  expect(before.steps.map(({ id }) => id)).toContain('soap');
  const advice = advise(library, { reported: new Set([little]) });
  expect(advice.verdict).toBe('leave');
  expect(advice.steps.map(({ id }) => id)).toEqual(['pick']);
  const [left] = advice.notDoing;
  expect(left?.text).toBe('Do soap');
  expect(left && notDoingText(left.why)).toMatch(/treat only if it reaches about a third/);
  expect(headlineText(advice.headline, day(ADVICE_DAY))).toMatch(/the plant bears it/);
});
