import type { Law, Matter } from '../schema/law.ts';
import type { Treatment } from '../schema/treatment.ts';
import { RELIED_ON } from '../schema/reliedOn.ts';
import { addDays, civil, dayOf, type Day } from '../timing/calendar.ts';
import type { Candidate } from './candidates.ts';
import type { AdviceContext } from './context.ts';
import { isPesticide, type Ruling, type SafetyRule } from './safetyRules.ts';

/** As printed on labels. */
const NEONICOTINOID = /^IRAC 4A/;

/** What a step does that the law may rule, from the library and its product; empty where it does nothing of the kind, never an error. */
export function mattersOf(treatment: Treatment, kinds: AdviceContext['kinds']): Set<Matter> {
  const { classes, organic, modeOfAction = '', matters } = treatment;
  const found = new Set<Matter>(matters);
  const isInsecticide = classes.includes('insecticide');
  if (isPesticide(treatment) && !organic) found.add('synthetic-pesticide');
  if (classes.includes('herbicide')) found.add('herbicide');
  if (isInsecticide && NEONICOTINOID.test(modeOfAction)) found.add('neonicotinoid');
  if (isInsecticide && !organic && kinds.includes(RELIED_ON.plants.lawn))
    found.add('lawn-insecticide');
  return found;
}

/** The laws of the place that concern a candidate, by what it does, to what plant and against what. */
export function lawsOn(
  { treatment, targets }: Candidate,
  { kinds, laws }: Pick<AdviceContext, 'kinds' | 'laws'>,
): readonly Law[] {
  const done = mattersOf(treatment, kinds);
  if (done.size === 0) return [];
  return laws.filter(
    ({ matters, plants, causes }) =>
      matters.some((matter) => done.has(matter)) &&
      (plants.length === 0 || plants.some((id) => kinds.includes(id))) &&
      (causes.length === 0 || targets.some(({ suspect }) => causes.includes(suspect.cause.id))),
  );
}

const dayIn = (year: number, monthAndDay: string): Day =>
  dayOf(year, Number(monthAndDay.slice(0, 2)), Number(monthAndDay.slice(3)));

/** The days of a closed season that a day lies in or comes before. */
function seasonOn({ from, to }: NonNullable<Law['closed']>, day: Day): { from: Day; to: Day } {
  const { year } = civil(day);
  const wraps = from > to;
  const endsIn = day <= dayIn(year, to) ? year : year + 1;
  return { from: dayIn(wraps ? endsIn - 1 : endsIn, from), to: dayIn(endsIn, to) };
}

/** The day that a candidate would be done on from `today`; null where it has no dates. */
function dayOfWork({ state }: Candidate, today: Day): Day | null {
  if (state.kind === 'open' || state.kind === 'always') return today;
  return state.kind === 'opens' ? state.span.from : null;
}

/**
 * The rule that a law makes of a candidate that it concerns, see {@link lawsOn}: what it forbids is not advised, what needs a licence is referred, what has a
 * closed season is due after it, and everything else is said with who knows the rule. A law of parts of a known country
 * is said only; where the country is not known, it holds.
 */
export function localLaw(law: Law): SafetyRule {
  return (candidate, context): Ruling => {
    const { country, today } = context;
    const { say, who, inParts, closed } = law;
    const rule = { code: 'local-law' as const, say, country, inParts, who };
    const said: Ruling = { kind: 'caution', caution: rule };
    if (inParts && country !== null) return said;
    if (closed) {
      const day = dayOfWork(candidate, today);
      if (day === null) return said;
      const season = seasonOn(closed, day);
      const until = addDays(season.to, 1);
      return day < season.from ? said : { kind: 'postpone', reason: rule, until };
    }
    switch (law.effect) {
      case 'forbids':
        return { kind: 'forbid', reason: rule };
      case 'licence':
        return {
          kind: 'refer',
          to: who === 'wildlife-office' ? who : 'licensed-applicator',
          caution: rule,
        };
      case 'ask-first':
      case 'closed-season':
        return said;
    }
  };
}
