import type { Report } from '../diagnosis/evidence.ts';
import { isAsking } from '../knowledge/careTopics.ts';
import type { Extracted } from '../language/extract.ts';
import type { Request, RequestKind } from '../language/requests.ts';
import { overlaps } from '../language/tokens.ts';
import type { Finding } from '../schema/finding.ts';
import type { Compiled } from '../library/compile.ts';
import type { Answer } from './enquiry.ts';

/** What a text is for, with what was answered since. */
export interface Stance {
  /** It asks how or when a thing is done, and nothing on the plant was reported since. */
  readonly asks: boolean;
  /** It reports something on the plant. */
  readonly reportsTrouble: boolean;
}

const OF_TROUBLE: ReadonlySet<RequestKind> = new Set(['theory', 'identify', 'is-problem']);

/** All that is asked is what it is, or whether it matters: something is there that was not understood. */
const asksOfTrouble = (requests: readonly Request[]): boolean =>
  requests.length > 0 && requests.every(({ kind }) => OF_TROUBLE.has(kind));

/** What happened around the plant, and what a test of the soil found, is no trouble of itself. */
const saysNothingWrong = ({ kind, part }: Finding): boolean =>
  kind === 'context' || (kind === 'test' && part === 'soil');

/** Below this a report is too doubtful to say that something is wrong. */
const MIN_SURE = 0.5;

/**
 * Something is reported on the plant: not what happened around it, and not in the words of a question of care, such as
 * the grubs of "when do I treat for grubs".
 */
function isTroubleReported(
  library: Compiled,
  reports: readonly Report[],
  { findings, requests }: Extracted,
): boolean {
  const asking = [
    ...requests.filter(({ kind }) => !OF_TROUBLE.has(kind)).map(({ span }) => span),
    ...findings.filter(({ finding }) => isAsking(finding)).map(({ span }) => span),
  ];
  const spans = new Map(findings.map(({ finding, span }) => [finding, span]));
  return reports.some(({ finding, value, sure }) => {
    const about = library.findings.get(finding);
    if (!value || sure < MIN_SURE || !about || saysNothingWrong(about)) return false;
    const span = spans.get(finding);
    return span === undefined || !asking.some((one) => overlaps(span, one));
  });
}

/** After a request alone an answer brings a trouble into it only when it says that something is seen on the plant. */
function affirmsTrouble(library: Compiled, answer: Answer): boolean {
  if (answer.kind !== 'answered' || !answer.value || answer.sure === 0) return false;
  const about = library.findings.get(answer.finding);
  return about !== undefined && !saysNothingWrong(about);
}

/** What the enquirer wants: an answer to a question alone, or help with a trouble. */
export function stanceOf(
  library: Compiled,
  extracted: Extracted,
  answers: readonly Answer[],
  reports: readonly Report[],
  readsTest: boolean,
): Stance {
  // Who reads out a test wants it read, unless something on the plant is reported beside it.
  const isRequest = readsTest
    ? !isTroubleReported(library, reports, extracted)
    : extracted.asks && !asksOfTrouble(extracted.requests);
  const asks = isRequest && !answers.some((one) => affirmsTrouble(library, one));
  return { asks, reportsTrouble: !asks && isTroubleReported(library, reports, extracted) };
}
