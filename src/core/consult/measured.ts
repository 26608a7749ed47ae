import type { ExtractedFinding } from '../language/extract.ts';
import type { SaidSize } from '../language/sizes.ts';
import { RELIED_ON } from '../schema/reliedOn.ts';

/** What is reached from the ground with a pole or a common sprayer, in metres; our own estimate. */
const IN_REACH_METRES = 4;
/** What is said in numbers is hardly misread. */
const SURE = 0.95;

const { tall } = RELIED_ON.findings;

/** Soil under the first is acid, over the second alkaline, as the findings say. */
const ACID_BELOW = 5.5;
const ALKALINE_ABOVE = 7;

const { acid, alkaline } = RELIED_ON.findings;

/** What was heard, with the acidity of the soil as a test in numbers says it, whatever else its figures sound like. */
export function withSoilTest(
  heard: readonly ExtractedFinding[],
  sizes: readonly SaidSize[],
): readonly ExtractedFinding[] {
  const test = sizes.find((one) => one.kind === 'ph');
  if (test?.kind !== 'ph') return heard;
  const others = heard.filter(({ finding }) => finding !== acid && finding !== alkaline);
  const { span } = test;
  if (test.value < ACID_BELOW) return [...others, { finding: acid, value: true, sure: SURE, span }];
  if (test.value > ALKALINE_ABOVE)
    return [...others, { finding: alkaline, value: true, sure: SURE, span }];
  return others;
}

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
