import type { Category } from '../schema/cause.ts';
import { RELIED_ON } from '../schema/reliedOn.ts';
import { addDays, type Day } from '../timing/calendar.ts';
import { isCareTopic } from '../knowledge/careTopics.ts';
import type { Traits } from '../schema/plant.ts';
import type { Hazard, ProductClass, Treatment } from '../schema/treatment.ts';
import type { Candidate } from './candidates.ts';
import type { AdviceContext } from './context.ts';
import type { Caution, Referral, SafetyReason } from './messages.ts';

/** What a rule says of a candidate. `forbid` cannot be overridden by any ranking. */
export type Ruling =
  | { readonly kind: 'allow' }
  | { readonly kind: 'caution'; readonly caution: Caution }
  /** Holds for the whole plan, so it is said once. */
  | { readonly kind: 'plan-caution'; readonly caution: Caution }
  | { readonly kind: 'refer'; readonly to: Referral; readonly caution: Caution }
  /** Not before a day; forbidden where its window is over by then. */
  | { readonly kind: 'postpone'; readonly reason: SafetyReason; readonly until: Day }
  | { readonly kind: 'forbid'; readonly reason: SafetyReason };

/** One hard rule of safety, tested on its own. */
export type SafetyRule = (candidate: Candidate, context: AdviceContext) => Ruling;

const ALLOW: Ruling = { kind: 'allow' };
const warn = (caution: Caution): Ruling => ({ kind: 'caution', caution });
const warnPlan = (caution: Caution): Ruling => ({ kind: 'plan-caution', caution });
const forbid = (reason: SafetyReason): Ruling => ({ kind: 'forbid', reason });
const postpone = (reason: SafetyReason, until: Day | null): Ruling =>
  until === null ? forbid(reason) : { kind: 'postpone', reason, until };

/** Product classes that kill nothing; every other one, and any new one, is taken to kill. */
const HARMLESS: readonly ProductClass[] = ['repellent', 'nutrient'];

/** A product that kills something, as against a practice, a feed or a repellent. */
export function isPesticide(treatment: Treatment): boolean {
  return treatment.classes.some((one) => !HARMLESS.includes(one));
}

const has = ({ hazards }: Treatment, hazard: Hazard): boolean => hazards.includes(hazard);

/** Findings of the library that the rules look for. */
export const SAFETY_FINDINGS = RELIED_ON.findings;

/** Probability below which no product is recommended against a cause: no treatment before a cause. */
export const CAUSE_KNOWN = 0.5;

/**
 * Forbids every pesticide until its targets have a summed probability of at least {@link CAUSE_KNOWN}. A question of care diagnoses
 * nothing: its product is what was asked about.
 */
export const causeFirst: SafetyRule = (candidate) => {
  if (!isPesticide(candidate.treatment)) return ALLOW;
  if (candidate.targets.every(({ suspect }) => isCareTopic(suspect.cause))) return ALLOW;
  const known = candidate.targets.reduce((sum, { suspect }) => sum + suspect.probability, 0);
  return known >= CAUSE_KNOWN ? ALLOW : forbid({ code: 'cause-unsure' });
};

/** What a pesticide of each class kills. */
const TARGETS: Readonly<Partial<Record<ProductClass, readonly Category[]>>> = {
  insecticide: ['insect'],
  miticide: ['mite'],
  molluscicide: ['mollusc'],
  fungicide: ['fungus', 'oomycete'],
  bactericide: ['bacterium'],
  herbicide: ['weed'],
  rodenticide: ['vertebrate'],
};

/**
 * A product works only on its own kind of culprit: never an insecticide for a fungus, or the reverse. A question of care
 * names what it is for.
 */
export const rightKind: SafetyRule = (candidate) => {
  if (!isPesticide(candidate.treatment)) return ALLOW;
  const reaches = (category: Category): boolean =>
    category === 'care' ||
    candidate.treatment.classes.some((one) => TARGETS[one]?.includes(category));
  return candidate.targets.every(({ suspect }) => reaches(suspect.cause.category))
    ? ALLOW
    : forbid({ code: 'wrong-kind-of-product' });
};

/** Restricted products are bought and applied by licence holders only, and nests and the like are work for an operator. */
export const restrictedUse: SafetyRule = ({ treatment: { who } }) => {
  if (who === 'licensed')
    return { kind: 'refer', to: 'licensed-applicator', caution: { code: 'licence-holders-only' } };
  if (who === 'pest-control')
    return { kind: 'refer', to: 'pest-control', caution: { code: 'operators-only' } };
  return ALLOW;
};

/** What is not known to be inedible counts as eaten, an unknown plant too. */
const isEaten = ({ edible }: Traits): boolean => edible !== 'none';
/** What is not known to be left alone by bees counts as visited. */
const isBeeVisited = ({ beeVisited }: Traits): boolean => beeVisited !== false;

/** No systemic insecticide on plants grown to eat. */
export const systemicOnFood: SafetyRule = ({ treatment }, { traits }) =>
  has(treatment, 'systemic') && treatment.classes.includes('insecticide') && isEaten(traits)
    ? forbid({ code: 'systemic-on-food' })
    : ALLOW;

/** How long a plant flowers of which no dates are known, in days; our own estimate. */
const BLOOM_DAYS = 21;

/** The day after the bloom, where the plant is in flower. Returns null where it is not. */
function afterBloom({ reported, traits, almanac, today }: AdviceContext): Day | null {
  const state = traits.bloom === undefined ? null : almanac.state(traits.bloom, today);
  if (state?.kind === 'open') return addDays(state.span.to, 1);
  return reported.has(SAFETY_FINDINGS.inBloom) ? addDays(today, BLOOM_DAYS) : null;
}

/**
 * Postpones insecticides and miticides on a plant in flower until the bloom is over, and forbids systemic ones at any
 * time on plants that bees visit; of other sprays it warns. The plant is in flower when that is reported, or when the day of the
 * advice is one of the days of its bloom window.
 */
export const openBlossom: SafetyRule = ({ treatment }, context) => {
  if (!treatment.classes.some((one) => one === 'insecticide' || one === 'miticide')) return ALLOW;
  if (has(treatment, 'systemic') && isBeeVisited(context.traits)) {
    return forbid({ code: 'systemic-where-bees-visit' });
  }
  if (treatment.applied !== undefined && treatment.applied !== 'spray') return ALLOW;
  const until = afterBloom(context);
  return until === null
    ? warn({ code: 'never-on-open-blossom' })
    : postpone({ code: 'open-blossom' }, until);
};

/** Above this, oils and soaps burn leaves (common practice: about 90 F). */
export const OIL_LIMIT_CELSIUS = 32;

/** A hot spell lasts about so long, and a thirsty plant that is watered takes so long to fill, in days; our own estimates. */
const HOT_SPELL_DAYS = 7;
const RECOVERY_DAYS = 3;
/** Days ahead in which a cooler one is looked for. */
const COOLER_WITHIN_DAYS = 150;

/** The first day from `from` on whose normal maximum is below the limit. Returns null where none comes soon. */
function coolerDay({ almanac }: AdviceContext, from: Day): Day | null {
  for (let day = from; day <= from + COOLER_WITHIN_DAYS; day = addDays(day, 1))
    if (almanac.normalOn(day).maxCelsius < OIL_LIMIT_CELSIUS) return day;
  return null;
}

/**
 * Postpones oils and soaps in a reported hot spell, where the normal maximum of the day is at least {@link
 * OIL_LIMIT_CELSIUS} degrees Celsius, and on a plant reported dry; otherwise warns.
 */
export const oilInHeat: SafetyRule = ({ treatment }, context) => {
  if (!has(treatment, 'oil-or-soap')) return ALLOW;
  const { reported, almanac, today } = context;
  const isHotSpell = reported.has(SAFETY_FINDINGS.heat);
  if (isHotSpell || almanac.normalOn(today).maxCelsius >= OIL_LIMIT_CELSIUS) {
    const from = isHotSpell ? addDays(today, HOT_SPELL_DAYS) : today;
    return postpone(
      { code: 'oil-in-heat', maxCelsius: OIL_LIMIT_CELSIUS },
      coolerDay(context, from),
    );
  }
  if (reported.has(SAFETY_FINDINGS.dry))
    return postpone({ code: 'oil-on-thirsty-plant' }, addDays(today, RECOVERY_DAYS));
  return warn({ code: 'oil-limits', maxCelsius: OIL_LIMIT_CELSIUS });
};

/** Forbids oils and soaps on plants that they burn or rob of their bloom. */
export const oilOnSensitive: SafetyRule = ({ treatment }, { traits }) =>
  has(treatment, 'oil-or-soap') && traits.oilSensitive === true
    ? forbid({ code: 'oil-burns-this-plant' })
    : ALLOW;

/** Work high in a tree is an arborist's; what is done from the ground stays the enquirer's. */
export const tallTrees: SafetyRule = ({ treatment }, { traits, reported }) => {
  if (treatment.who === 'arborist') {
    return {
      kind: 'refer',
      to: 'arborist',
      caution: { code: 'arborist-only' },
    };
  }
  const tall = traits.tall === true || reported.has(SAFETY_FINDINGS.tall);
  return has(treatment, 'aloft') && tall
    ? { kind: 'refer', to: 'arborist', caution: { code: 'reach-from-the-ground' } }
    : ALLOW;
};

/** Wild animals: the law of the place decides on trapping and release. */
export const wildAnimals: SafetyRule = ({ treatment }) =>
  treatment.who === 'wildlife'
    ? {
        kind: 'refer',
        to: 'wildlife-office',
        caution: { code: 'wildlife-law' },
      }
    : ALLOW;

/**
 * Forbids what can hurt a dog, a cat or a child unless the enquirer was asked and ruled them out. A probability is
 * not enough here: only an explicit answer lifts the rule.
 */
export const petsAndChildren: SafetyRule = ({ treatment }, { ruledOut }) => {
  if (has(treatment, 'pets') && !ruledOut.has(SAFETY_FINDINGS.pets)) {
    return forbid({ code: 'pets-or-children' });
  }
  return isPesticide(treatment) || has(treatment, 'pets')
    ? warnPlan({ code: 'keep-away-until-dry' })
    : ALLOW;
};

/** Label first, on every product. */
export const labelDecides: SafetyRule = ({ treatment }) =>
  isPesticide(treatment) ? warnPlan({ code: 'label-decides' }) : ALLOW;

/** Days to harvest on food. */
export const harvestInterval: SafetyRule = ({ treatment }, { traits }) =>
  isPesticide(treatment) && isEaten(traits) ? warnPlan({ code: 'days-to-harvest' }) : ALLOW;

/** No run-off into water. */
export const openWater: SafetyRule = ({ treatment }, { reported }) =>
  isPesticide(treatment) && reported.has(SAFETY_FINDINGS.water)
    ? forbid({ code: 'near-open-water' })
    : ALLOW;

/** Every hard rule, in the order in which they are read. */
export const SAFETY_RULES: readonly SafetyRule[] = [
  causeFirst,
  rightKind,
  restrictedUse,
  systemicOnFood,
  openBlossom,
  oilInHeat,
  oilOnSensitive,
  tallTrees,
  wildAnimals,
  petsAndChildren,
  openWater,
  labelDecides,
  harvestInterval,
];
