/**
 * The verbal scales of the library, turned into numbers in this one place.
 * The numbers are our own judgement: evenly spaced on a log-odds scale, so that
 * one word of difference moves the weighing by roughly the same amount.
 */

/** How often a cause shows a finding: probability in [0, 1]. */
export const FREQUENCY = {
  always: 0.97,
  'nearly-always': 0.9,
  usual: 0.75,
  often: 0.55,
  sometimes: 0.3,
  seldom: 0.12,
  rarely: 0.04,
  never: 0,
} as const;

/** How often a finding is reported about a plant with no cause that explains it: probability in (0, 1). */
export const BACKGROUND = {
  common: 0.25,
  occasional: 0.1,
  uncommon: 0.04,
  rare: 0.015,
  telltale: 0.004,
} as const;

/** How common a cause is among enquiries about its hosts: relative weight, no unit. */
export const COMMONNESS = {
  'very-common': 8,
  common: 4,
  occasional: 2,
  uncommon: 1,
  rare: 0.35,
} as const;

/** How readily a host takes a cause: factor on its commonness. */
export const SUSCEPTIBILITY = { very: 2, usual: 1, less: 0.4, seldom: 0.12, immune: 0 } as const;

/** How bad a harm is if left: loss in points, where 10 is losing a valued plant. */
export const HARM = { none: 0, slight: 0.6, moderate: 2.5, serious: 6, severe: 12 } as const;

/** Part of the harm that a treatment in its window takes away: fraction in [0, 1]. */
export const EFFECT = { slight: 0.15, useful: 0.4, good: 0.65, strong: 0.85 } as const;

/** Effort or money of a treatment for the enquirer: loss in the points of {@link HARM}. */
export const BURDEN = { none: 0, low: 0.15, medium: 0.6, high: 1.8, 'very-high': 4 } as const;

/** Risk of a step on a rung of the ladder to people, bees, water and crop: loss in the points of {@link HARM}. */
export const RISK = {
  leave: 0,
  hand: 0,
  conditions: 0,
  biological: 0.05,
  'low-toxicity': 0.1,
  conventional: 0.5,
  professional: 0.1,
  replace: 0,
} as const;

export type Frequency = keyof typeof FREQUENCY;
export type Background = keyof typeof BACKGROUND;
export type Commonness = keyof typeof COMMONNESS;
export type Susceptibility = keyof typeof SUSCEPTIBILITY;
export type HarmLevel = keyof typeof HARM;
export type Effect = keyof typeof EFFECT;
export type Burden = keyof typeof BURDEN;
