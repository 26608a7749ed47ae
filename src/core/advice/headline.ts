import { isCareTopic } from '../knowledge/careTopics.ts';
import type { Cause } from '../schema/cause.ts';
import type { Day } from '../timing/calendar.ts';
import type { Chosen } from './choose.ts';
import { whyNothing, whyPastHelp, type PlantAndDay } from './letBe.ts';
import { whyBorne } from './threshold.ts';
import type { Headline, HeadlineEnd, NextWindow } from './messages.ts';
import { nextOf, type Lead, type Verdict } from './verdict.ts';

function nextWindow(steps: readonly Chosen[], today: Day): NextWindow {
  const state = nextOf(steps, today)?.candidate.state;
  return state?.kind === 'opens' ? state.span : null;
}

function endOf(
  verdict: Verdict,
  cause: Cause,
  steps: readonly Chosen[],
  on: PlantAndDay,
): HeadlineEnd {
  const { today } = on;
  switch (verdict) {
    case 'leave': {
      const text = whyNothing(cause, on);
      if (text !== null) return { code: 'library', text };
      const why = whyBorne(cause.harm, on);
      if (why !== null) return { code: 'borne', why };
      return { code: cause.category === 'normal' ? 'leave-normal' : 'leave-and-watch' };
    }
    case 'act-now':
      return cause.category === 'care' ? null : { code: 'start-now' };
    case 'wait':
      return { code: 'wait', next: nextWindow(steps, today) };
    case 'too-late':
      return { code: 'too-late', next: nextWindow(steps, today), why: whyPastHelp(cause, on) };
    case 'find-out':
      return { code: isCareTopic(cause) ? 'ask-again' : 'find-out' };
    case 'professional':
      return { code: 'professional' };
  }
}

/** The advice in one breath, as data, with the probability of the lead; `named` are the causes of the leading explanation. */
export function headlineOf(
  verdict: Verdict,
  lead: Lead | null,
  named: readonly Cause[],
  steps: readonly Chosen[],
  on: PlantAndDay,
): Headline {
  if (!lead) return { code: 'no-cause-yet' };
  const { cause, probability } = lead;
  return {
    code: 'lead',
    cause: cause.name,
    probability,
    together: named.filter(({ id }) => id !== cause.id).map(({ name }) => name),
    say: cause.say,
    isCare: isCareTopic(cause),
    then: endOf(verdict, cause, steps, on),
  };
}
