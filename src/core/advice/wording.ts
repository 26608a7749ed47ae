import { isCareTopic } from '../knowledge/careTopics.ts';
import { whyLeft, type Cause } from '../schema/cause.ts';
import { dayInWords, type Day } from '../timing/calendar.ts';
import type { WindowState } from '../timing/windows.ts';
import type { Chosen } from './choose.ts';
import type { AdviceContext, Channel } from './context.ts';
import { nextOf, type Lead, type Verdict } from './verdict.ts';
import { midSentence } from '../util/midSentence.ts';

/** Standing sentences of caution. */
export const STANDING = {
  poisonous:
    'This plant is poisonous: keep it from children and pets, and wear gloves to handle it.',
} as const;

/** How far the diagnosis can be trusted, by the way it was made. */
export function channelCaution(channel: Channel): string {
  switch (channel) {
    case 'phone':
    case 'text':
      return 'This is a presumptive diagnosis from a description; a sample or photograph confirms it.';
    case 'email':
      return 'This is a presumptive diagnosis from a letter; a sample confirms it.';
    case 'walk-in':
      return 'This is a presumptive diagnosis from what was seen at the desk; a laboratory confirms it where it matters.';
  }
}

/** Dates of a window in words, seen from `today`. */
export function whenInWords(state: WindowState, today: Day): string {
  switch (state.kind) {
    case 'always':
      return 'now';
    case 'watch':
      return state.note;
    case 'never':
      return `not here: ${state.note}`;
    case 'open':
      return `now, until about ${dayInWords(state.span.to, today)}`;
    case 'opens': {
      const span = `about ${dayInWords(state.span.from, today)} to ${dayInWords(state.span.to, today)}`;
      const justClosed = state.closedSince !== null && today - state.closedSince < 120;
      return justClosed
        ? `${span}; the last window closed about ${dayInWords(state.closedSince, today)}`
        : span;
    }
  }
}

function howSure(probability: number): string {
  if (probability >= 0.85) return 'Very likely';
  if (probability >= 0.6) return 'Probably';
  if (probability >= 0.4) return 'Most likely';
  return 'Possibly';
}

function firstLater(steps: readonly Chosen[], today: Day): string {
  const main = nextOf(steps, today);
  return main?.candidate.state.kind === 'opens'
    ? `about ${dayInWords(main.candidate.state.span.from, today)} to ${dayInWords(main.candidate.state.span.to, today)}`
    : 'in its season';
}

/** The day and the plant that the advice is for. */
type Told = Pick<AdviceContext, 'today' | 'kinds'>;

/** What is said of a cause that is left, where the library has no words of its own. */
const LEFT = {
  normal: 'No treatment is needed.',
  trouble: 'Nothing needs doing now but to watch it.',
} as const;

function tail(
  verdict: Verdict,
  cause: Cause,
  steps: readonly Chosen[],
  { today, kinds }: Told,
): string {
  switch (verdict) {
    case 'leave':
      return whyLeft(cause, kinds) ?? LEFT[cause.category === 'normal' ? 'normal' : 'trouble'];
    case 'act-now':
      return cause.category === 'care' ? '' : 'Start now.';
    case 'wait':
      return `The time for it is ${firstLater(steps, today)}.`;
    case 'too-late':
      return `It is too late to treat this year; the next window is ${firstLater(steps, today)}.`;
    case 'find-out':
      return isCareTopic(cause)
        ? 'The words could mean something else: ask once more.'
        : 'That is not sure enough to treat: find out first.';
    case 'professional':
      return 'The main work is for a licensed professional.';
  }
}

/** The advice in one breath, to say aloud. */
export function headlineOf(
  verdict: Verdict,
  lead: Lead | null,
  named: readonly Cause[],
  steps: readonly Chosen[],
  told: Told,
): string {
  if (!lead)
    return 'What was said does not point to a cause yet: find out more before doing anything.';
  const { cause, probability } = lead;
  const others = named.filter((one) => one.id !== cause.id).map(({ name }) => midSentence(name));
  const together = others.length > 0 ? ` together with ${others.join(' and ')}` : '';
  const name = `${howSure(probability)}: ${midSentence(cause.name)}${together}.`;
  return [isCareTopic(cause) ? '' : name, cause.say, tail(verdict, cause, steps, told)]
    .filter(Boolean)
    .join(' ');
}
