import type {
  BorneReason,
  Caution,
  Headline,
  HeadlineEnd,
  LocalLaw,
  NextWindow,
  NotDoingReason,
  Referral,
  StepText,
} from '../core/advice/messages.ts';
import type { LawOffice, LawScope } from '../core/schema/law.ts';
import type { Channel } from '../core/advice/context.ts';
import type { Day } from '../core/timing/calendar.ts';
import type { WindowState } from '../core/timing/windows.ts';
import { dayInWords } from './days.ts';
import { midSentence } from './midSentence.ts';
import { regionName } from './regions.ts';

/** Codes that carry data, and so are worded by a function. */
type WithData =
  | 'library'
  | 'borne'
  | 'postponed'
  | 'oil-in-heat'
  | 'oil-limits'
  | 'local-law'
  | 'presumptive'
  | 'wait'
  | 'too-late';
type Catalog<T extends { readonly code: string }> = Readonly<
  Record<Exclude<T['code'], WithData>, string>
>;

/** Why a plant bears a trouble as things are, and when to treat after all. */
const BORNE: Readonly<Record<BorneReason, string>> = {
  'little-affected':
    'So little of it is affected that the plant bears it: take off by hand what is bad, and treat only if it reaches about a third or is plainly more each week.',
  over: 'It has stopped by itself: what is marked stays marked, and nothing is gained by treating now.',
};

const REASONS: Catalog<NotDoingReason> = {
  'cause-unsure': 'The cause is not sure enough for any product yet.',
  'wrong-kind-of-product': 'This product does not work on this kind of culprit.',
  'systemic-on-food': 'A systemic insecticide does not belong on a plant that is grown to eat.',
  'systemic-where-bees-visit':
    'Bees visit this plant, and a systemic insecticide reaches its nectar and pollen.',
  'open-blossom':
    'The plant is in flower: nothing that kills insects goes on open blossom, for the bees.',
  'oil-on-thirsty-plant': 'Oils and soaps burn the leaves of a thirsty plant; water first.',
  'oil-burns-this-plant':
    'Oils and soaps burn the leaves of this plant or take off their bloom; labels warn of it.',
  'pets-or-children': 'Not where a pet or a child could get at it.',
  'near-open-water': 'Too close to open water for any product that kills.',
  'not-organic': 'Hidden because the approach is organic only.',
  'not-left-alone': 'Hidden because the approach is to leave it alone.',
};

/** A temperature in both units. */
export const bothDegrees = (celsius: number): string =>
  `${celsius} C (${Math.round((celsius * 9) / 5 + 32)} F)`;

const OFFICES: Readonly<Record<LawOffice, string>> = {
  council: 'the council',
  'pesticide-office': 'the office that registers pesticides',
  'plant-health-office': 'the plant health office',
  'wildlife-office': 'the wildlife office',
  'fire-service': 'the fire service',
  'water-supplier': 'the water supplier',
};

const UNKNOWN: Readonly<Partial<Record<LawScope, string>>> = {
  'country-unknown': 'The country is not known, so the strictest rule holds:',
  'state-unknown': 'The state or province is not known, so the strictest rule holds:',
};

/** The rule of a place, with where it holds and who knows it. */
function localLawText({ say, region, scope, who }: LocalLaw): string {
  const known = `Ask ${OFFICES[who]}.`;
  const unknown = UNKNOWN[scope];
  if (unknown !== undefined || region === null) return `${unknown ?? ''} ${say} ${known}`;
  const name = regionName(region);
  return `Local rule (${scope === 'in-parts' ? `in parts of ${name}` : name}): ${say} ${known}`;
}

/** Why something is not to be done. */
export function notDoingText(reason: NotDoingReason): string {
  switch (reason.code) {
    case 'library':
      return reason.text;
    case 'oil-in-heat':
      return `Oils and soaps burn leaves above about ${bothDegrees(reason.maxCelsius)}; wait for cooler days.`;
    case 'borne':
      return BORNE[reason.why];
    case 'local-law':
      return localLawText(reason);
    default:
      return REASONS[reason.code];
  }
}

const PRESUMPTIVE: Readonly<Record<Channel, string>> = {
  phone: 'This is a presumptive diagnosis from a description; a sample or photograph confirms it.',
  text: 'This is a presumptive diagnosis from a description; a sample or photograph confirms it.',
  email: 'This is a presumptive diagnosis from a letter; a sample confirms it.',
  'walk-in':
    'This is a presumptive diagnosis from what was seen at the desk; a laboratory confirms it where it matters.',
};

const CAUTIONS: Catalog<Caution> = {
  'licence-holders-only': 'Only a license holder may buy and apply this.',
  'operators-only': 'This is work for a licensed pest control operator.',
  'never-on-open-blossom': 'Never on open blossom; spray in the evening when bees are home.',
  'arborist-only': 'This is work for a certified arborist.',
  'reach-from-the-ground':
    'Only what you reach with both feet on the ground; higher up it is work for a certified arborist.',
  'wildlife-law': 'Local wildlife law decides whether animals may be trapped or moved.',
  'keep-away-until-dry': 'Keep children and pets away from products until it is dry or put away.',
  'label-decides':
    'Use a product only if its label names this pest and this plant, at the label rate and no stronger; local rules apply.',
  'days-to-harvest': 'Keep the days to harvest that the label gives, and wash what you pick.',
  'poisonous-plant':
    'This plant is poisonous: keep it from children and pets, and wear gloves to handle it.',
};

/** Something to mind. */
export function cautionText(caution: Caution): string {
  switch (caution.code) {
    case 'library':
      return caution.text;
    case 'presumptive':
      return PRESUMPTIVE[caution.channel];
    case 'local-law':
      return localLawText(caution);
    case 'postponed':
      return `Not before then. ${notDoingText(caution.why)}`;
    case 'oil-limits':
      return `Not above ${bothDegrees(caution.maxCelsius)}, and not on a thirsty plant. Try it on a few leaves first.`;
    default:
      return CAUTIONS[caution.code];
  }
}

const REFERRALS: Readonly<Record<Referral, string>> = {
  'licensed-applicator': 'a licensed applicator',
  'pest-control': 'a licensed pest control operator',
  arborist: 'a certified arborist',
  'wildlife-office': 'the local wildlife office',
  'plant-health-office': 'the plant health office',
};

/** Whom to call in. */
export function referralText(referral: Referral): string {
  return REFERRALS[referral];
}

/** What a step says to do. */
export function stepText(step: StepText): string {
  switch (step.code) {
    case 'send-sample':
      return 'Send clear photographs of the whole plant, the damage close up and the leaf underside, or bring a bagged piece with both healthy and damaged tissue.';
    case 'ask-again':
      return 'Ask once more what is to be done, to which plant, and when it was last done.';
    case 'report-not-known-here':
      return 'Leave it where it is, take clear photographs of the damage and of what does it, note the place, and send them to the office that is named here before anything is moved or treated.';
    case 'library': {
      const { text, against } = step;
      if (!against) return text;
      const name = midSentence(against.cause);
      if (against.isCare) return `On ${name}: ${text}`;
      return against.isNamed ? `Against ${name}: ${text}` : `If it is ${name}: ${text}`;
    }
  }
}

/** A window that closed so few days ago is worth a word. */
const JUST_CLOSED_DAYS = 30;

const NEVER = {
  'too-cool': 'a normal year here does not get warm enough for it',
  'no-opening': 'no opening was found in the next two years',
} as const;

/** Why a window never opens here. */
export function neverText({ why }: Extract<WindowState, { kind: 'never' }>): string {
  return NEVER[why];
}

/** What to go by where the library has no dates. */
export const WATCH_THE_PLANT = 'go by the plant itself; the library has no date for that here';

/** When a step is done, seen from `today`: "now, until about 10 July". */
export function whenText(state: WindowState, today: Day): string {
  switch (state.kind) {
    case 'always':
      return 'now';
    case 'watch':
      return WATCH_THE_PLANT;
    case 'never':
      return `not here: ${neverText(state)}`;
    case 'open':
      return `now, until about ${dayInWords(state.span.to, today)}`;
    case 'opens': {
      const span = `about ${dayInWords(state.span.from, today)} to ${dayInWords(state.span.to, today)}`;
      const justClosed = state.closedSince !== null && today - state.closedSince < JUST_CLOSED_DAYS;
      return justClosed
        ? `${span}; the last window closed about ${dayInWords(state.closedSince, today)}`
        : span;
    }
  }
}

/** A probability, 0 to 1, in words at the start of a sentence. */
export function likelihoodWords(probability: number): string {
  if (probability >= 0.85) return 'Very likely';
  if (probability >= 0.6) return 'Probably';
  if (probability >= 0.4) return 'Most likely';
  return 'Possibly';
}

function nextWindow(next: NextWindow, today: Day): string {
  return next
    ? `about ${dayInWords(next.from, today)} to ${dayInWords(next.to, today)}`
    : 'in its season';
}

const ENDS: Catalog<NonNullable<HeadlineEnd>> = {
  'leave-normal': 'No treatment is needed.',
  'leave-and-watch': 'Nothing needs doing now but to watch it.',
  'start-now': 'Start now.',
  'ask-again': 'The words could mean something else: ask once more.',
  'find-out': 'That is not sure enough to treat: find out first.',
  professional: 'The main work is for a licensed professional.',
};

function headlineEnd(end: HeadlineEnd, today: Day): string {
  if (end === null) return '';
  switch (end.code) {
    case 'library':
      return end.text;
    case 'borne':
      return BORNE[end.why];
    case 'wait':
      return `The time for it is ${nextWindow(end.next, today)}.`;
    case 'too-late':
      return end.why === null
        ? `It is too late to treat this year; the next window is ${nextWindow(end.next, today)}.`
        : `${end.why} What helps next comes ${nextWindow(end.next, today)}.`;
    default:
      return ENDS[end.code];
  }
}

/** The advice in one breath, to say aloud. */
export function headlineText(headline: Headline, today: Day): string {
  if (headline.code === 'urgent') return headline.say;
  if (headline.code === 'not-known-here')
    return `${likelihoodWords(headline.probability)}: ${midSentence(headline.cause)}, which is not known here. It may be something alike, or the first one: touch nothing, photograph it, and report it.`;
  if (headline.code === 'no-cause-yet')
    return 'What was said does not point to a cause yet: find out more before doing anything.';
  const { cause, probability, together, say, isCare, then } = headline;
  const others = together.map(midSentence).join(' and ');
  const also = others === '' ? '' : ` together with ${others}`;
  const name = `${likelihoodWords(probability)}: ${midSentence(cause)}${also}.`;
  return [isCare ? '' : name, say, headlineEnd(then, today)].filter(Boolean).join(' ');
}
