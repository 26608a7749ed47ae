import type { ExtractedFinding } from '../language/extract.ts';
import type { SaidSize } from '../language/sizes.ts';
import { RELIED_ON } from '../schema/reliedOn.ts';

/** What is reached from the ground with a pole or a common sprayer, in metres; our own estimate. */
const IN_REACH_METRES = 4;
/** A height in numbers is hardly misread. */
const SURE = 0.95;

const { tall } = RELIED_ON.findings;

/**
 * What was heard, with the height that was said in numbers deciding whether the plant is taller than can be reached:
 * safety hangs on it, and a number says it better than a word. `sizes` are in metres.
 */
export function withHeight(
  heard: readonly ExtractedFinding[],
  sizes: readonly SaidSize[],
): readonly ExtractedFinding[] {
  const heights = sizes.flatMap((one) => (one.kind === 'height' ? [one] : []));
  const [first, ...others] = heights;
  if (!first) return heard;
  const { metres, span } = others.reduce((a, b) => (b.metres > a.metres ? b : a), first);
  const rest = heard.filter(({ finding }) => finding !== tall);
  if (metres < IN_REACH_METRES) return rest;
  return [...rest, { finding: tall, value: true, sure: SURE, span }];
}
