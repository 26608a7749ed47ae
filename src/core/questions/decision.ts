import { numberAt } from '../util/entryAt.ts';
import type { Network } from '../diagnosis/network.ts';
import { NOT_IN_LIBRARY, NOTHING_WRONG, positionsIn } from '../diagnosis/network.ts';
import type { Posterior } from '../diagnosis/posterior.ts';
import type { Compiled } from '../library/compile.ts';
import { BURDEN, EFFECT, RISK } from '../schema/scale.ts';
import { tabulate } from '../util/maths.ts';
import { memoize, memoizeByObject } from '../util/memoize.ts';
import type { Cause, TreatmentOption } from '../schema/cause.ts';
import { suits } from '../schema/kinds.ts';
import type { PlantId } from '../schema/common.ts';
import type { Treatment } from '../schema/treatment.ts';
import { harmPoints } from '../advice/candidates.ts';

/**
 * The advice as a decision: a few actions, each with its loss under every hypothesis. Linear in the
 * probabilities, so that the loss after an imagined answer costs only a handful of products.
 * Points are those of `knowledge/scale.ts`; a plant worth keeping is about 10.
 */
export interface Decision {
  /** Loss of the best action, given the hypotheses of `positions` with these weights (which need not sum to 1). */
  readonly bestLoss: (weights: Float64Array) => number;
  /**
   * Loss of the best actions after an answer that parts the weights in two: given the whole, a function of one part.
   * Losses are linear, so those of the other part are what is left of the whole.
   */
  readonly lossOfParts: (whole: Float64Array) => (part: Float64Array) => number;
  /** The best action under these weights: the cause to act on, or what to do without one. */
  readonly bestAction: (weights: Float64Array) => string;
  /** Loss of the named action if a hypothesis is true. */
  readonly lossUnder: (action: string, hypothesis: number) => number;
  /** Loss were the truth known before acting; what is lost above it is what questions can save at most. */
  readonly leastLoss: (weights: Float64Array) => number;
}

/** Loss of giving the enquirer the wrong name for the trouble, or none. */
const WRONG_NAME = 0.9;
/** Loss of a sample: the errand, and the time it takes. */
const FIND_OUT = 1.1;
/** Part of the gain of the right plan that is left when a sample comes back. */
const KEPT_WHILE_WAITING = 0.75;
/** Loss from an unknown trouble left to itself, and how much of it a sample saves. */
const UNKNOWN_HARM = 3;
const UNKNOWN_SAVED = 0.5;
/** Causes for which a plan is drawn up; further ones are too unlikely to be chosen. */
const MAX_PLANS = 9;

export const LEAVE = 'leave';
export const SAMPLE = 'find-out';

/** What the plan against a cause costs, and what it does against any cause. */
interface Steps {
  readonly burden: number;
  /** Part of a cause's harm that they take away. */
  readonly effectOn: (cause: Cause) => number;
}

interface Plan extends Steps {
  readonly action: string;
  /** Position of the cause that the plan names; null for none. */
  readonly names: number | null;
}

const burdenOf = (treatment: Treatment): number =>
  BURDEN[treatment.effort] + BURDEN[treatment.money] + RISK[treatment.rung];

/** What a set of treatments does against a cause: each leaves a part of what is left. */
function combinedEffect(options: readonly TreatmentOption[], uses: ReadonlySet<string>): number {
  const left = options.reduce(
    (rest, { use, effect }) => rest * (uses.has(use) ? 1 - EFFECT[effect] : 1),
    1,
  );
  return 1 - left;
}

/** Steps of a cause on a kind of plant that repay their burden against it. */
function stepsFor(library: Compiled, kinds: readonly PlantId[], cause: Cause): Steps {
  const optionsOf = ({ treatments }: Cause): readonly TreatmentOption[] =>
    treatments.filter((option) => suits(option, kinds));
  const harm = harmPoints(cause.harm);
  const steps = optionsOf(cause).flatMap(({ use, effect }) => {
    const treatment = library.treatments.get(use);
    return treatment && EFFECT[effect] * harm > burdenOf(treatment) ? [treatment] : [];
  });
  const uses = new Set<string>(steps.map(({ id }) => id));
  return {
    burden: steps.reduce((sum, step) => sum + burdenOf(step), 0),
    effectOn: memoize((target) => combinedEffect(optionsOf(target), uses)),
  };
}

type StepsOf = (cause: Cause) => Steps;
/** {@link stepsFor}, worked out once for each plant and cause of a library. */
const stepsOfPlants = memoizeByObject((library: Compiled) =>
  memoize((plant: PlantId | null): StepsOf => {
    const kinds = plant === null ? [] : library.taxonomy.lineage(plant);
    return memoize((cause) => stepsFor(library, kinds, cause));
  }),
);

/** What is true, as far as a loss depends on it. */
interface Truth {
  readonly hypothesis: number;
  /** Causes at work, and their positions. */
  readonly inside: readonly { readonly cause: Cause; readonly harm: number }[];
  readonly positions: readonly number[];
  /** Harm in points if nothing is done. */
  readonly untreated: number;
}

/** Loss of a plan if a hypothesis is true. */
function planLoss(plan: Plan, { hypothesis, inside, positions }: Truth): number {
  if (hypothesis === NOT_IN_LIBRARY) return plan.burden + UNKNOWN_HARM + WRONG_NAME;
  let loss = plan.burden;
  for (const { cause, harm } of inside) loss += harm * (1 - plan.effectOn(cause));
  const named = plan.names === null ? hypothesis === NOTHING_WRONG : positions.includes(plan.names);
  return named ? loss : loss + WRONG_NAME;
}

/** Loss of a sample first: the errand, and what the wait costs of the best plan, whose loss is given. */
function sampleLoss({ hypothesis, untreated }: Truth, best: number): number {
  if (hypothesis === NOT_IN_LIBRARY) return FIND_OUT + UNKNOWN_HARM * UNKNOWN_SAVED;
  return FIND_OUT + untreated - KEPT_WHILE_WAITING * (untreated - Math.min(untreated, best));
}

/** Loss of one action: its row of the table times the weights. */
function rowLoss(losses: Float64Array, width: number, row: number, weights: Float64Array): number {
  let loss = 0;
  for (let k = 0, at = row * width; k < width; k++, at++)
    loss += numberAt(losses, at) * numberAt(weights, k);
  return loss;
}

/** Row of the action with the least loss; the earlier one of equals. */
function bestRow(losses: Float64Array, width: number, weights: Float64Array): number {
  let best = 0;
  let least = Infinity;
  for (let row = 0; row * width < losses.length; row++) {
    const loss = rowLoss(losses, width, row, weights);
    if (loss < least) {
      best = row;
      least = loss;
    }
  }
  return best;
}

/**
 * Draws up the decision about the hypotheses at `positions` (0-indexed in the posterior): a few actions, each with
 * its loss in harm points under every hypothesis. Expected losses are linear in the probabilities.
 */
export function makeDecision(
  library: Compiled,
  network: Network,
  posterior: Posterior,
  positions: readonly number[],
): Decision {
  const [host, ...others] = network.hosts;
  const stepsOf = stepsOfPlants(library)(host && others.length === 0 ? host.plant : null);
  const leave: Plan = { action: LEAVE, burden: 0, names: null, effectOn: () => 0 };
  const likely = posterior.ranking.slice(0, MAX_PLANS).flatMap((position): Plan[] => {
    const cause = network.causes[position];
    return cause ? [{ action: cause.id, names: position, ...stepsOf(cause) }] : [];
  });
  const plans = [leave, ...likely];
  const truthOf = (hypothesis: number): Truth => {
    const at = positionsIn(network, hypothesis);
    const inside = at.flatMap((position) => {
      const cause = network.causes[position];
      return cause ? [{ cause, harm: harmPoints(cause.harm) }] : [];
    });
    const untreated = inside.reduce((sum, { harm }) => sum + harm, 0);
    return { hypothesis, positions: at, inside, untreated };
  };
  /** Losses of all plans and of the sample, in the order of the actions. */
  const lossesUnder = (truth: Truth): readonly number[] => {
    const ofPlans = plans.map((plan) => planLoss(plan, truth));
    return [...ofPlans, sampleLoss(truth, Math.min(...ofPlans))];
  };
  const actions = [...plans.map(({ action }) => action), SAMPLE];
  const width = positions.length;
  // One flat table, a row for each action: its products run for every answer to every question.
  const losses = new Float64Array(actions.length * width);
  const least = tabulate(width, (k) => {
    const column = lossesUnder(truthOf(positions[k] ?? NOTHING_WRONG));
    column.forEach((loss, row) => (losses[row * width + k] = loss));
    return Math.min(...column);
  });
  return {
    bestLoss: (weights) => rowLoss(losses, width, bestRow(losses, width, weights), weights),
    lossOfParts: (whole) => {
      const wholes = tabulate(actions.length, (row) => rowLoss(losses, width, row, whole));
      return (part) => {
        let [ofPart, ofRest] = [Infinity, Infinity];
        for (let row = 0; row < wholes.length; row++) {
          const loss = rowLoss(losses, width, row, part);
          if (loss < ofPart) ofPart = loss;
          const rest = numberAt(wholes, row) - loss;
          if (rest < ofRest) ofRest = rest;
        }
        return ofPart + ofRest;
      };
    },
    bestAction: (weights) => actions[bestRow(losses, width, weights)] ?? LEAVE,
    lossUnder: (action, hypothesis) =>
      lossesUnder(truthOf(hypothesis))[actions.indexOf(action)] ?? NaN,
    leastLoss: (weights) => rowLoss(least, width, 0, weights),
  };
}
