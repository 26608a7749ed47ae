import type { FindingId } from '../schema/common.ts';
import type { ExtractedFinding } from '../language/extract.ts';
import type { SaidAmount } from '../language/amounts.ts';
import type { SaidSize } from '../language/sizes.ts';
import type { Day } from '../timing/calendar.ts';
import { interpret, type Interpreted } from '../measures/report/interpret.ts';
import { reportIn, type ReadReport } from '../measures/report/readReport.ts';
import type { Span } from '../language/tokens.ts';
import { askingFor } from '../knowledge/careTopics.ts';
import { RELIED_ON } from '../schema/reliedOn.ts';

/** What is reached from the ground with a pole or a common sprayer, in metres; our own estimate. */
const IN_REACH_METRES = 4;
/** What is said in numbers is hardly misread. */
const SURE = 0.95;

const { tall, newlyPlanted, muchPhosphorus, salty } = RELIED_ON.findings;
const ASKS_TO_READ = askingFor(RELIED_ON.careTopics.readTest);

/** What a test found that speaks for a trouble, by the element that is far too high. */
const SPEAKS_FOR: Readonly<Partial<Record<string, FindingId>>> = {
  phosphorus: muchPhosphorus,
  salts: salty,
};

/** A test report in the words, with where they stand. */
export interface SaidReport {
  readonly read: ReadReport;
  readonly said: Interpreted;
  readonly span: Span;
}

/** What was heard, with what a test report that was read out says, and that it asks to be read. */
export function withReport(
  heard: readonly ExtractedFinding[],
  report: SaidReport | null,
): readonly ExtractedFinding[] {
  if (report === null) return heard;
  const { span, said } = report;
  const found = said.warns.flatMap(({ element, level }) => {
    const finding = level === 'too-high' && SPEAKS_FOR[element];
    return finding ? [{ finding, value: true, sure: SURE, span }] : [];
  });
  return [...heard, ...found, { finding: ASKS_TO_READ, value: true, sure: SURE, span }];
}

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

/** "Newly planted" is within two years, as its label says, in days. */
const NEWLY_DAYS = 730;

/** What was heard; a plant whose planting was said to be longer ago than two years is not newly planted, whatever else it sounds like. */
export function withPlanting(
  heard: readonly ExtractedFinding[],
  amounts: readonly SaidAmount[],
  today: Day,
): readonly ExtractedFinding[] {
  const isOld = amounts.some(
    (one) => one.kind === 'planted' && one.to !== null && today - one.to > NEWLY_DAYS,
  );
  return isOld
    ? heard.map((one) =>
        one.finding === newlyPlanted ? { ...one, value: false, sure: SURE } : one,
      )
    : heard;
}

/** The test report in the words, read for the area and the plant that they name. Returns null without one. */
export function saidReport(
  words: string,
  sizes: readonly SaidSize[],
  acidLoving: boolean,
): SaidReport | null {
  const read = reportIn(words);
  if (read === null) return null;
  const area = sizes.flatMap((one) => (one.kind === 'area' ? [one.squareMetres] : []))[0] ?? null;
  const spans = read.readings.map(({ span }) => span);
  const start = Math.min(...spans.map((one) => one.start));
  const end = Math.max(...spans.map((one) => one.end));
  return { read, said: interpret(read, { area, acidLoving, method: null }), span: { start, end } };
}
