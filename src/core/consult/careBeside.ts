import { numberAt } from '../util/entryAt.ts';
import type { AdviceContext } from '../advice/context.ts';
import { planAdvice } from '../advice/plan.ts';
import type { Report } from '../diagnosis/evidence.ts';
import { FIRST_SINGLE, type Network } from '../diagnosis/network.ts';
import { weighAll } from '../diagnosis/posterior.ts';
import { isAsking, isCareTopic } from '../knowledge/careTopics.ts';
import type { Extracted, ExtractedFinding } from '../language/extract.ts';
import { similarityToCauses } from '../language/textSimilarity.ts';
import { similarityToTopics } from '../language/topicWords.ts';
import { overlaps, type Span } from '../language/tokens.ts';
import type { Compiled } from '../library/compile.ts';
import { stopsAtRequest } from '../questions/stopping.ts';
import type { CareBeside } from './answersTo.ts';

/** Prior of each question of care on the plant; 0 for troubles. */
const careWeights = ({ causes, prior }: Network): readonly number[] =>
  causes.map((cause, i) => (isCareTopic(cause) ? numberAt(prior, FIRST_SINGLE + i) : 0));

/** A question that is seldom asked about a plant is the likelier mistaken for one that often is. */
function asReport(
  { causes }: Network,
  weights: readonly number[],
  { finding, value, sure }: ExtractedFinding,
): Report {
  const own = weights[causes.findIndex((cause) => finding in cause.findings)] ?? 0;
  const most = Math.max(...weights);
  return { finding, value, sure: most > 0 ? (sure * own) / most : sure };
}

/**
 * What is asked beside a trouble, advised on as if it had been asked alone. Null where no question of care was found
 * in the words of a request, or none stands out.
 */
export function careBeside(
  library: Compiled,
  network: Network,
  { findings, requests, contentWords }: Extracted,
  context: AdviceContext,
): CareBeside | null {
  const isAsked = (words: Span): boolean => requests.some(({ span }) => overlaps(words, span));
  const asked = findings.filter(
    ({ finding, value, span }) => value && isAsking(finding) && isAsked(span),
  );
  if (asked.length === 0) return null;
  const weights = careWeights(network);
  const reports = asked.map((one) => asReport(network, weights, one));
  const { posterior } = weighAll(library, network, reports, 0, {
    similarity: similarityToCauses(library.descriptions(), contentWords.filter(isAsked)),
    fit: similarityToTopics(library.topicWords(), contentWords.filter(isAsked)),
    asks: true,
    reportsTrouble: false,
  });
  if (stopsAtRequest(network, posterior) === null) return null;
  const advice = planAdvice(library, network, posterior, context);
  return advice.verdict === 'find-out'
    ? null
    : { posterior, advice, spans: asked.map(({ span }) => span) };
}
