import { numberAt } from '../util/entryAt.ts';
import { answerRequests, careReply } from '../advice/answers.ts';
import type { Answerable, Answered } from '../advice/replies.ts';
import type { PossibleCause } from '../advice/theories.ts';
import { gatherCandidates, harmPoints } from '../advice/candidates.ts';
import type { AdviceContext } from '../advice/context.ts';
import type { Advice } from '../advice/plan.ts';
import { judge, type AssessedTreatment } from '../advice/safetyJudge.ts';
import { leadOf, type Lead } from '../advice/verdict.ts';
import type { Network } from '../diagnosis/network.ts';
import type { Posterior } from '../diagnosis/posterior.ts';
import type { Extracted } from '../language/extract.ts';
import type { Request } from '../language/requests.ts';
import { overlaps, type Span } from '../language/tokens.ts';
import type { SaidSum } from '../measures/saidSum.ts';
import type { SaidReport } from './measured.ts';
import type { Compiled } from '../library/compile.ts';

/** A reading of the enquiry with the advice on it. */
export interface Reading {
  readonly posterior: Posterior;
  readonly advice: Advice;
}

interface About extends Reading {
  readonly library: Compiled;
  readonly network: Network;
  readonly context: AdviceContext;
  readonly words: string;
  /** The test report that was read out; null without one. */
  readonly report: SaidReport | null;
  /** A sum of which all numbers were said; null without one. */
  readonly sum: SaidSum | null;
  /** The question of care that was asked beside a trouble; null without one. */
  readonly care: CareBeside | null;
}

/** A question of care beside a trouble, with the words that ask it. */
export interface CareBeside extends Reading {
  readonly spans: readonly Span[];
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

function answerableFrom(
  { library, network, context, words, report, sum }: Omit<About, 'care'>,
  { posterior, advice }: Reading,
): Answerable {
  // Nothing is to be done against what is not known in the country, so no request is answered from it.
  const isKnownHere = advice.headline.code !== 'not-known-here';
  const lead = isKnownHere ? leadOf(network, posterior) : null;
  return {
    advice,
    lead,
    ranked: possibleCauses(network, posterior),
    context,
    options: optionsAgainst(library, lead, context),
    words,
    sum,
    report: report && { sort: report.read.sort, said: report.said },
  };
}

/** Requests in the order of the text, never null, with what a trouble is taken for where nothing asks that already. */
export function toAnswer(
  { requests, theories }: Pick<Extracted, 'requests' | 'theories'>,
  isTrouble: boolean,
): readonly Request[] {
  if (!isTrouble) return requests;
  const said = theories.filter(({ span }) => !requests.some((one) => overlaps(one.span, span)));
  return [...requests, ...said].sort((a, b) => a.span.start - b.span.start);
}

/** An answer of its own to each request, see {@link answerRequests}; empty where nothing is asked. */
export function answersTo(requests: readonly Request[], about: About): readonly Answered[] {
  if (requests.length === 0 && about.report === null) return [];
  const plan = answerableFrom(about, about);
  const { care } = about;
  const asked = care ? answerableFrom(about, care) : null;
  const isOfCare = ({ span }: Request): boolean =>
    care?.spans.some((one) => overlaps(one, span)) === true;
  const answered = requests.flatMap((request): readonly Answered[] => {
    const reply = asked && isOfCare(request) ? careReply(request, plan, asked) : null;
    return reply ? [{ request, reply }] : answerRequests([request], plan);
  });
  return inOneBreath(withReportFirst(answered, about.report));
}

/** A test report is answered once: to the first request that it decides, or by itself where none is. */
function withReportFirst(
  answered: readonly Answered[],
  report: SaidReport | null,
): readonly Answered[] {
  if (report === null) return answered;
  const isReport = ({ reply }: Answered): boolean => reply.code === 'report';
  const first = answered.find(isReport);
  if (first) return answered.filter((one) => one === first || !isReport(one));
  const { read, said, span } = report;
  const request: Request = { kind: 'numbers', span, act: null };
  return [{ request, reply: { code: 'report', sort: read.sort, said } }, ...answered];
}

/** Between two requests that are one question: "how much and how often". */
const JOINED_WITHIN = 8;

/** Requests of one kind, said in one breath and answered alike, are answered once. */
function inOneBreath(answered: readonly Answered[]): readonly Answered[] {
  const once: Answered[] = [];
  for (const one of answered) {
    const before = once.at(-1);
    const isSame =
      before !== undefined &&
      before.request.kind === one.request.kind &&
      one.request.span.start - before.request.span.end <= JOINED_WITHIN &&
      JSON.stringify(before.reply) === JSON.stringify(one.reply);
    if (!isSame) once.push(one);
    else {
      const span = { start: before.request.span.start, end: one.request.span.end };
      once.splice(-1, 1, { ...before, request: { ...before.request, span } });
    }
  }
  return once;
}
