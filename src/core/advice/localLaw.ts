import type { Law, LawHere, Matter } from '../schema/law.ts';
import type { Treatment } from '../schema/treatment.ts';
import { RELIED_ON } from '../schema/reliedOn.ts';
import { addDays, civil, dayOf, type Day } from '../timing/calendar.ts';
import type { Candidate } from './candidates.ts';
import type { AdviceContext } from './context.ts';
import type { LocalLaw } from './messages.ts';
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
  const onLawn = kinds.includes(RELIED_ON.plants.lawn);
  if (isInsecticide && !organic && onLawn) found.add('lawn-insecticide');
  if (classes.includes('nutrient') && onLawn) found.add('lawn-feeding');
  return found;
}

/** The laws of the place that concern a candidate, by what it does, to what plant and against what. */
export function lawsOn(
  { treatment, targets }: Candidate,
  { kinds, laws }: Pick<AdviceContext, 'kinds' | 'laws'>,
): readonly LawHere[] {
  const done = mattersOf(treatment, kinds);
  if (done.size === 0) return [];
  return laws.filter(
    ({ law: { matters, plants, causes } }) =>
      matters.some((matter) => done.has(matter)) &&
      (plants.length === 0 || plants.some((id) => kinds.includes(id))) &&
      (causes.length === 0 || targets.some(({ suspect }) => causes.includes(suspect.cause.id))),
  );
}

const ruleOf = ({ law: { say, who }, scope }: LawHere, region: string | null): LocalLaw => ({
  code: 'local-law',
  ...{ say, who, scope, region },
});

/** What the law of the place says of growing the plant at all, as cautions; empty where it says nothing, or the plant is not known. */
export const lawsOnPlant = ({
  kinds,
  laws,
  region,
}: Pick<AdviceContext, 'kinds' | 'laws' | 'region'>): readonly LocalLaw[] =>
  laws
    .filter(
      ({ law: { matters, plants } }) =>
        matters.includes('growing-the-plant') && plants.some((id) => kinds.includes(id)),
    )
    .map((one) => ruleOf(one, region));

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
 * closed season is due after it, and everything else is said with who knows the rule. A law of parts of a region
 * is said only; where the state or the country is not known, it holds.
 */
export function localLaw(here: LawHere): SafetyRule {
  return (candidate, { region, today }): Ruling => {
    const { law, scope } = here;
    const rule = ruleOf(here, region);
    const said: Ruling = { kind: 'caution', caution: rule };
    if (scope === 'in-parts') return said;
    if (law.closed) {
      const day = dayOfWork(candidate, today);
      if (day === null) return said;
      const season = seasonOn(law.closed, day);
      const until = addDays(season.to, 1);
      return day < season.from ? said : { kind: 'postpone', reason: rule, until };
    }
    switch (law.effect) {
      case 'forbids':
        return { kind: 'forbid', reason: rule };
      case 'licence':
        return {
          kind: 'refer',
          to: law.who === 'wildlife-office' ? law.who : 'licensed-applicator',
          caution: rule,
        };
      case 'ask-first':
      case 'closed-season':
        return said;
    }
  };
}
