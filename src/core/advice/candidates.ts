import { numberAt } from '../util/entryAt.ts';
import type { Compiled } from '../library/compile.ts';
import type { Network } from '../diagnosis/network.ts';
import type { Posterior } from '../diagnosis/posterior.ts';
import { BURDEN, EFFECT, HARM, RISK } from '../schema/scale.ts';
import { isSeasonless, type Cause, type Harm, type TreatmentOption } from '../schema/cause.ts';
import type { Amount, MeasureId } from '../schema/amount.ts';
import { suits } from '../schema/kinds.ts';
import type { Treatment } from '../schema/treatment.ts';
import type { WindowRule } from '../schema/window.ts';
import type { WindowState } from '../timing/windows.ts';
import type { AdviceContext } from './context.ts';

/** A cause with the probability that it is at work and the loss if it is left. */
export interface Suspect {
  readonly cause: Cause;
  readonly probability: number;
  readonly harm: number;
}

/** One treatment with all suspects it would help against. */
export interface Candidate {
  readonly treatment: Treatment;
  readonly text: string;
  /** How much, how often, how deep, for how long; null where the library names none. */
  readonly amount: Amount | null;
  /** How it is worked out for the enquirer's size, where its unit does not say so. */
  readonly measure: MeasureId | null;
  /** When it can be done; null at any time. */
  readonly rule: WindowRule | null;
  readonly state: WindowState;
  readonly targets: readonly { readonly suspect: Suspect; readonly effect: number }[];
  /** Loss in effort, money and risk, in harm points. */
  readonly burden: number;
}

/** Suspects below this probability, or below this share of the likeliest one's, do not shape the plan. */
const MIN_PROBABILITY = 0.1;
const MIN_SHARE_OF_LEADER = 0.25;

/**
 * Loss if a cause is left alone, in harm points (a plant worth keeping is about 10 points). Looks count half, harm to
 * people double.
 */
export function harmPoints(harm: Harm): number {
  const plain = HARM[harm.yield] + HARM[harm.plant] + HARM[harm.neighbours];
  return plain + HARM[harm.looks] / 2 + HARM[harm.people] * 2;
}

/**
 * Causes likely enough to plan for, by descending probability: at least 0.1, and at least a quarter of the leader's
 * probability.
 */
export function suspectsOf(
  network: Pick<Network, 'causes'>,
  posterior: Pick<Posterior, 'causes' | 'ranking'>,
): readonly Suspect[] {
  const { ranking, causes } = posterior;
  const [first] = ranking;
  const leader = first === undefined ? 0 : numberAt(causes, first);
  const least = Math.max(MIN_PROBABILITY, MIN_SHARE_OF_LEADER * leader);
  return ranking.flatMap((position) => {
    const [cause, probability] = [network.causes[position], numberAt(causes, position)];
    return cause && probability >= least
      ? [{ cause, probability, harm: harmPoints(cause.harm) }]
      : [];
  });
}

/** Windows of the season outside hold for nothing that breeds all year under a roof. */
function ruleOf(
  option: TreatmentOption,
  treatment: Treatment,
  { category }: Cause,
  { traits }: AdviceContext,
): WindowRule | null {
  if (isSeasonless(category, traits.indoors)) return null;
  return option.when ?? treatment.when ?? null;
}

function stateOf(rule: WindowRule | null, context: AdviceContext): WindowState {
  return rule === null
    ? { kind: 'always' }
    : context.almanac.state(rule, context.today, context.traits.bloom);
}

/**
 * The amount of a treatment as a cause uses it, and how it is worked out; null where there is none. A text of the cause's own
 * describes other work, to which the amount of the treatment does not apply.
 */
export function amountOf(
  option: TreatmentOption,
  treatment: Treatment,
): Pick<Candidate, 'amount' | 'measure'> {
  const own = option.text === undefined ? treatment : null;
  return {
    amount: option.amount ?? own?.amount ?? null,
    measure: option.measure ?? own?.measure ?? null,
  };
}

/**
 * Gathers the treatments of all suspects that suit the plant. A treatment that serves several suspects is listed
 * once, with the text written for the one of highest probability.
 */
export function gatherCandidates(
  library: Compiled,
  suspects: readonly Suspect[],
  context: AdviceContext,
): readonly Candidate[] {
  const byId = new Map<string, Candidate>();
  for (const suspect of suspects) {
    for (const option of suspect.cause.treatments) {
      if (!suits(option, context.kinds)) continue;
      const treatment = library.treatments.get(option.use);
      if (!treatment) continue;
      const target = { suspect, effect: EFFECT[option.effect] };
      const known = byId.get(option.use);
      const rule = ruleOf(option, treatment, suspect.cause, context);
      byId.set(
        option.use,
        known
          ? { ...known, targets: [...known.targets, target] }
          : {
              treatment,
              text: option.text ?? treatment.text,
              ...amountOf(option, treatment),
              rule,
              state: stateOf(rule, context),
              targets: [target],
              burden: BURDEN[treatment.effort] + BURDEN[treatment.money] + RISK[treatment.rung],
            },
      );
    }
  }
  return [...byId.values()];
}

/**
 * Expected harm that a candidate removes, in harm points. `left` maps a cause to the part of its harm that earlier
 * steps leave, 0 to 1; a cause that is missing counts as 1.
 */
export function expectedGain(candidate: Candidate, left: ReadonlyMap<string, number>): number {
  return candidate.targets.reduce((sum, { suspect, effect }) => {
    const remaining = left.get(suspect.cause.id) ?? 1;
    return sum + suspect.probability * Math.max(suspect.harm, CARE_OF_A_PLANT) * remaining * effect;
  }, 0);
}

/** Even a blemish is worth a moment's work to most who ask: least harm in points that a treatment is set against. */
const CARE_OF_A_PLANT = 0.8;
