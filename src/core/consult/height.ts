import type { ExtractedFinding } from '../language/extract.ts';
import type { SaidSize } from '../language/sizes.ts';
import { RELIED_ON } from '../schema/reliedOn.ts';

/** What is reached from the ground with a pole or a common sprayer, in metres; our own estimate. */
const IN_REACH_METRES = 4;
/** A height in numbers is hardly misread. */
const SURE = 0.95;

const { tall } = RELIED_ON.findings;

/**
 * What was heard, and that the plant is taller than can be reached where a height in metres says so. A small height
 * lifts nothing: safety hangs on it, and it may be that of a shoot.
 */
export function withHeight(
  heard: readonly ExtractedFinding[],
  sizes: readonly SaidSize[],
): readonly ExtractedFinding[] {
  const found = sizes.find((one) => one.kind === 'height' && one.metres >= IN_REACH_METRES);
  if (!found) return heard;
  const others = heard.filter(({ finding }) => finding !== tall);
  return [...others, { finding: tall, value: true, sure: SURE, span: found.span }];
}
