import { numberAt } from '../util/entryAt.ts';
import { answerRequests, type Answered, type PossibleCause } from '../advice/answers.ts';
import { gatherCandidates, harmPoints } from '../advice/candidates.ts';
import type { AdviceContext } from '../advice/context.ts';
import type { Advice } from '../advice/plan.ts';
import { judge, type AssessedTreatment } from '../advice/safetyJudge.ts';
import { leadOf, type Lead } from '../advice/verdict.ts';
import type { Network } from '../diagnosis/network.ts';
import type { Posterior } from '../diagnosis/posterior.ts';
import type { Request } from '../language/requests.ts';
import type { Compiled } from '../library/compile.ts';

interface About {
  readonly library: Compiled;
  readonly network: Network;
  readonly posterior: Posterior;
  readonly advice: Advice;
  readonly context: AdviceContext;
  readonly words: string;
}

function optionsAgainst(
  library: Compiled,
  lead: Lead | null,
  context: AdviceContext,
): readonly AssessedTreatment[] {
  if (!lead) return [];
  const { cause, probability } = lead;
  const suspect = { cause, probability, harm: harmPoints(cause.harm) };
  return gatherCandidates(library, [suspect], context).map((one) => judge(one, context));
}

function possibleCauses({ causes }: Network, posterior: Posterior): readonly PossibleCause[] {
  return posterior.ranking.flatMap((i) => {
    const cause = causes[i];
    return cause ? [{ cause, probability: numberAt(posterior.causes, i) }] : [];
  });
}

/** An answer of its own to each request, see {@link answerRequests}; empty where nothing is asked. */
export function answersTo(
  requests: readonly Request[],
  { library, network, posterior, advice, context, words }: About,
): readonly Answered[] {
  if (requests.length === 0) return [];
  const lead = leadOf(network, posterior);
  return answerRequests(requests, {
    advice,
    lead,
    ranked: possibleCauses(network, posterior),
    context,
    options: optionsAgainst(library, lead, context),
    words,
  });
}
