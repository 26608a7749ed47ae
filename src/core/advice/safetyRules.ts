import type { Category } from '../schema/cause.ts';
import { RELIED_ON } from '../schema/reliedOn.ts';
import type { ProductClass, Treatment } from '../schema/treatment.ts';
import type { Candidate } from './candidates.ts';
import type { AdviceContext } from './context.ts';

/** What a rule says of a candidate. `forbid` cannot be overridden by any ranking. */
export type Ruling =
  | { readonly kind: 'allow' }
  | { readonly kind: 'caution'; readonly text: string }
  /** Holds for the whole plan, so it is said once. */
  | { readonly kind: 'standing'; readonly text: string }
  | { readonly kind: 'refer'; readonly to: string; readonly text: string }
  | { readonly kind: 'forbid'; readonly why: string };

/** One hard rule of safety, tested on its own. */
export type SafetyRule = (candidate: Candidate, context: AdviceContext) => Ruling;

const ALLOW: Ruling = { kind: 'allow' };
const caution = (text: string): Ruling => ({ kind: 'caution', text });
const standing = (text: string): Ruling => ({ kind: 'standing', text });
const forbid = (why: string): Ruling => ({ kind: 'forbid', why });

const KILLING: readonly ProductClass[] = [
  'insecticide',
  'miticide',
  'molluscicide',
  'fungicide',
  'bactericide',
  'herbicide',
  'rodenticide',
];

/** A product that kills something, as against a practice, a feed or a repellent. */
export function isPesticide(treatment: Treatment): boolean {
  return treatment.classes.some((one) => KILLING.includes(one));
}

/** Findings of the library that the rules look for. */
export const SAFETY_FINDINGS = RELIED_ON.findings;

/** Probability below which no product is recommended against a cause: no treatment before a cause. */
export const CAUSE_KNOWN = 0.5;

/** No product before the cause is likelier than not. */
export const causeFirst: SafetyRule = (candidate) => {
  if (!isPesticide(candidate.treatment)) return ALLOW;
  const known = candidate.targets.reduce((sum, { suspect }) => sum + suspect.probability, 0);
  return known >= CAUSE_KNOWN ? ALLOW : forbid('The cause is not sure enough for any product yet.');
};

const TARGETS: Readonly<Record<ProductClass, readonly Category[]>> = {
  insecticide: ['insect'],
  miticide: ['mite'],
  molluscicide: ['mollusc'],
  fungicide: ['fungus', 'oomycete'],
  bactericide: ['bacterium'],
  herbicide: ['weed'],
  rodenticide: ['vertebrate'],
  repellent: ['vertebrate', 'insect'],
  nutrient: ['nutrient', 'care', 'water', 'fungus', 'normal', 'temperature', 'mechanical'],
};

/** A product works only on its own kind of culprit: never an insecticide for a fungus, or the reverse. */
export const rightKind: SafetyRule = (candidate) => {
  if (!isPesticide(candidate.treatment)) return ALLOW;
  const reaches = (category: Category): boolean =>
    candidate.treatment.classes.some((one) => TARGETS[one].includes(category));
  return candidate.targets.every(({ suspect }) => reaches(suspect.cause.category))
    ? ALLOW
    : forbid('This product does not work on this kind of culprit.');
};

/** Restricted-use products are bought and applied by licence holders only. */
export const restrictedUse: SafetyRule = ({ treatment }) =>
  treatment.restricted || treatment.who === 'licensed'
    ? {
        kind: 'refer',
        to: 'a licensed applicator',
        text: 'Only a licence holder may buy and apply this.',
      }
    : ALLOW;

/** No systemic insecticide on plants grown to eat. */
export const systemicOnFood: SafetyRule = ({ treatment }, { traits }) =>
  treatment.systemic &&
  treatment.classes.includes('insecticide') &&
  (traits.edible ?? 'none') !== 'none'
    ? forbid('A systemic insecticide does not belong on a plant that is grown to eat.')
    : ALLOW;

function inBloom(context: AdviceContext): boolean {
  if (context.reported.has(SAFETY_FINDINGS.inBloom)) return true;
  const { bloom } = context.traits;
  return bloom !== undefined && context.almanac.state(bloom, context.today).kind === 'open';
}

/** Bees: no insecticide on open blossom, no systemic one on plants that bees visit. */
export const openBlossom: SafetyRule = ({ treatment }, context) => {
  if (!treatment.classes.some((one) => one === 'insecticide' || one === 'miticide')) return ALLOW;
  if (treatment.systemic && context.traits.beeVisited === true) {
    return forbid(
      'Bees visit this plant, and a systemic insecticide reaches its nectar and pollen.',
    );
  }
  return inBloom(context)
    ? forbid(
        'The plant is in flower: nothing that kills insects goes on open blossom, for the bees.',
      )
    : caution('Never on open blossom; spray in the evening when bees are home.');
};

/** Above this, oils and soaps burn leaves (common practice: about 90 F). */
export const OIL_LIMIT_CELSIUS = 32;

/** Oils and soaps burn leaves in heat and on thirsty plants. */
export const oilInHeat: SafetyRule = ({ treatment }, { reported, almanac, today }) => {
  if (!treatment.oilOrSoap) return ALLOW;
  if (
    reported.has(SAFETY_FINDINGS.heat) ||
    almanac.normalOn(today).maxCelsius >= OIL_LIMIT_CELSIUS
  ) {
    return forbid(
      `Oils and soaps burn leaves above about ${OIL_LIMIT_CELSIUS} C (90 F); wait for cooler days.`,
    );
  }
  if (reported.has(SAFETY_FINDINGS.dry))
    return forbid('Oils and soaps burn the leaves of a thirsty plant; water first.');
  return caution(
    `Not above ${OIL_LIMIT_CELSIUS} C (90 F), and not on a thirsty plant. Try it on a few leaves first.`,
  );
};

/** Work high in a tree is an arborist's. */
export const tallTrees: SafetyRule = ({ treatment }, { traits, reported }) => {
  if (treatment.who === 'arborist') {
    return {
      kind: 'refer',
      to: 'a certified arborist',
      text: 'This is work for a certified arborist.',
    };
  }
  const tall = traits.tall === true || reported.has(SAFETY_FINDINGS.tall);
  return treatment.aloft && tall
    ? caution(
        'Only what you reach with both feet on the ground; ladder and saw work is for a certified arborist.',
      )
    : ALLOW;
};

/** Wild animals: the law of the place decides on trapping and release. */
export const wildAnimals: SafetyRule = ({ treatment }) =>
  treatment.who === 'wildlife'
    ? {
        kind: 'refer',
        to: 'the local wildlife office',
        text: 'Local wildlife law decides whether animals may be trapped or moved.',
      }
    : ALLOW;

/** What can hurt a dog, a cat or a child is offered only where the enquirer was asked and none is about. */
export const petsAndChildren: SafetyRule = ({ treatment }, { ruledOut }) => {
  if (treatment.petHazard && !ruledOut.has(SAFETY_FINDINGS.pets)) {
    return forbid('Not where a pet or a child could get at it.');
  }
  return isPesticide(treatment) || treatment.petHazard
    ? standing('Keep children and pets away from products until it is dry or put away.')
    : ALLOW;
};

/** Label first, on every product. */
export const labelDecides: SafetyRule = ({ treatment }) =>
  isPesticide(treatment)
    ? standing(
        'Use a product only if its label names this pest and this plant, at the label rate and no stronger; local rules apply.',
      )
    : ALLOW;

/** Days to harvest on food. */
export const harvestInterval: SafetyRule = ({ treatment }, { traits }) =>
  isPesticide(treatment) && (traits.edible ?? 'none') !== 'none'
    ? standing('Keep the days to harvest that the label gives, and wash what you pick.')
    : ALLOW;

/** No run-off into water. */
export const openWater: SafetyRule = ({ treatment }, { reported }) =>
  isPesticide(treatment) && reported.has(SAFETY_FINDINGS.water)
    ? forbid('Too close to open water for any product that kills.')
    : ALLOW;

/** Every hard rule, in the order in which they are read. */
export const SAFETY_RULES: readonly SafetyRule[] = [
  causeFirst,
  rightKind,
  restrictedUse,
  systemicOnFood,
  openBlossom,
  oilInHeat,
  tallTrees,
  wildAnimals,
  petsAndChildren,
  openWater,
  labelDecides,
  harvestInterval,
];
