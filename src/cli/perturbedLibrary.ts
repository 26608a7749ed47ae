import { shownBy, type Strengths } from '../core/knowledge/strengths.ts';
import type { Compiled } from '../core/library/compile.ts';
import type { CauseId, FindingId } from '../core/schema/common.ts';

/** Plants that a frequency of the library is worth having seen: our own estimate of how well a word like "often" is known. */
const WORTH_PLANTS = 8;
/** Frequencies stay this far from 0 and 1, so that nothing becomes impossible. */
const MARGIN = 0.005;

/** A draw of the gamma distribution with scale 1 (G. Marsaglia and W. W. Tsang, 2000). `shape` is above 0. */
export function drawGamma(random: () => number, shape: number): number {
  if (shape < 1) return drawGamma(random, shape + 1) * (1 - random()) ** (1 / shape);
  const d = shape - 1 / 3;
  const c = 1 / Math.sqrt(9 * d);
  for (;;) {
    const normal = Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
    const v = (1 + c * normal) ** 3;
    if (v > 0 && Math.log(1 - random()) < normal ** 2 / 2 + d - d * v + d * Math.log(v))
      return d * v;
  }
}

/** A frequency as it may truly be: drawn from the Beta distribution whose mean is that of the library, 0 to 1. */
export function drawFrequency(random: () => number, mean: number): number {
  if (mean <= 0 || mean >= 1) return mean;
  const yes = drawGamma(random, WORTH_PLANTS * mean);
  const no = drawGamma(random, WORTH_PLANTS * (1 - mean));
  return Math.min(1 - MARGIN, Math.max(MARGIN, yes / (yes + no)));
}

function drawStrengths(library: Compiled, random: () => number, known: Strengths): Strengths {
  const drawn = new Map<FindingId, number>();
  for (const [id, mean] of known) drawn.set(id, drawFrequency(random, mean));
  // A finding in general is there as often as its most frequent special case.
  for (const [id, own] of [...drawn])
    for (const general of library.implied(id))
      drawn.set(general, Math.max(drawn.get(general) ?? 0, own));
  return drawn;
}

/** The library with every frequency drawn anew around what it says: a world that the library knows only so well. */
export function perturbed(library: Compiled, random: () => number): Compiled {
  const strengths = new Map<CauseId, Strengths>();
  for (const [cause, known] of library.strengths)
    strengths.set(cause, drawStrengths(library, random, known));
  return { ...library, strengths, shownBy: shownBy(strengths) };
}
