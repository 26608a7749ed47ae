import { seeded } from '../core/util/random.ts';
import { miniLibrary } from '../test/miniLibrary.ts';
import { drawFrequency, drawGamma, perturbed } from './perturbedLibrary.ts';

const DRAWS = 20_000;
const meanOf = (draw: () => number): number => {
  let sum = 0;
  for (let n = 0; n < DRAWS; n++) sum += draw();
  return sum / DRAWS;
};

it.each([0.3, 1, 2.5, 7])('draws of the gamma distribution of shape %d have its mean', (shape) => {
  const random = seeded(1);
  expect(meanOf(() => drawGamma(random, shape)) / shape).toBeCloseTo(1, 1);
});

it.each([0.04, 0.3, 0.55, 0.97])('draws frequencies around %d, as of eight plants', (mean) => {
  const random = seeded(2);
  const variance = (mean * (1 - mean)) / 9;
  expect(meanOf(() => drawFrequency(random, mean))).toBeCloseTo(mean, 2);
  expect(meanOf(() => (drawFrequency(random, mean) - mean) ** 2) / variance).toBeCloseTo(1, 0);
});

it('leaves what is always or never so', () => {
  expect(drawFrequency(seeded(3), 0)).toBe(0);
  expect(drawFrequency(seeded(3), 1)).toBe(1);
});

it('draws every frequency anew, the general finding as often as its special case', () => {
  const library = miniLibrary(
    [{ id: 'spots' }, { id: 'black-spots', extra: { isA: ['spots'] } }, { id: 'holes' }],
    [{ id: 'blight', findings: { 'black-spots': 'usual', holes: 'seldom' } }],
  );
  const random = seeded(4);
  for (let n = 0; n < 50; n++) {
    const world = perturbed(library, random);
    const [known] = library.strengths.values();
    const [drawn] = world.strengths.values();
    const [id] = world.strengths.keys();
    const valueOf = (name: string) => [...(drawn ?? [])].find(([one]) => one === name)?.[1] ?? NaN;
    expect(drawn?.size).toBe(known?.size);
    expect(valueOf('spots')).toBeGreaterThanOrEqual(valueOf('black-spots'));
    expect(valueOf('holes')).not.toBe(0.12);
    for (const [finding, row] of world.shownBy)
      expect(row.get(id ?? never())).toBe(drawn?.get(finding));
  }
});

function never(): never {
  throw new Error('the library has no cause');
}
