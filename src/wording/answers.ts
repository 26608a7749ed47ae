import { LITRES_IN_GALLON } from '../core/util/units.ts';
import type { Answered, Reply } from '../core/advice/replies.ts';
import type { Step } from '../core/advice/plan.ts';
import type { Act } from '../core/language/requests.ts';
import type { HARM } from '../core/schema/scale.ts';
import type { Harm } from '../core/schema/cause.ts';
import type { Day } from '../core/timing/calendar.ts';
import {
  cautionText,
  likelihoodWords,
  notDoingText,
  referralText,
  stepText,
  whenText,
} from './advice.ts';
import { stepAmountText } from './stepAmounts.ts';
import { sumText, workedText } from './measures.ts';
import { reportText } from './report.ts';
import { quantityText } from './quantities.ts';
import { midSentence } from './midSentence.ts';
import { list } from './list.ts';

type Fixed = Extract<Reply, { readonly code: `${string}-${string}` | 'poisonous' }>['code'];

const IF_EATEN =
  'If anybody or any animal has eaten of it, ring a doctor, a vet or a poison line at once.';

const REPLIES: Readonly<Record<Exclude<Fixed, 'no-need' | 'not-first' | 'safe-said'>, string>> = {
  'find-out-first': 'Nobody can say before it is clear what it is: find out first.',
  'no-stronger':
    'No stronger than the label says: more of it works no better, is against the law, and harms you, the plant and the ground.',
  'amount-on-label': 'As much and as often as the label of the product says, and no more.',
  'no-amount': 'Nobody can say how much or how often from what is known so far.',
  'eat-not-known':
    'Nobody can say that from a description. What is sound, and known to be good to eat, may be eaten after washing; cut out and discard what is rotten, moldy or strange, and when in doubt leave it.',
  'harvest-on-label':
    'Washed, and only after the days to harvest that the label of the product gives.',
  poisonous:
    'No: this plant is poisonous. Keep it from children and animals, and eat nothing of it.',
  'safe-until-dry':
    'Keep children and animals away until a product is dry or put away; the label decides.',
  'safe-not-known': `Nobody can say that for sure from here. ${IF_EATEN}`,
  'not-covered': 'The library has no answer to that: look it up, or call back.',
  'replace-not-known':
    'Nothing is known here that is surely better in that place: ask with the soil, the sun and the size that is wanted.',
};

const ACT_WORDS: Readonly<Record<Act, string>> = {
  spray: 'spraying',
  cut: 'cutting',
  feed: 'feeding',
  water: 'more water',
  move: 'moving it',
  remove: 'removing it',
  lime: 'lime or sulfur',
  compost: 'composting',
};

const PACE_WORDS: Readonly<Record<Exclude<Harm['pace'], 'none'>, string>> = {
  days: 'within days',
  weeks: 'within weeks',
  months: 'within months',
  years: 'over years',
};

const HARM_WORDS: Readonly<Record<keyof typeof HARM, string>> = {
  none: 'No: left alone it does no harm to speak of.',
  slight: 'Hardly: left alone it does little harm',
  moderate: 'It is worth some care: left alone it does moderate harm',
  serious: 'Yes: left alone it does serious harm',
  severe: 'Yes: left alone it does severe harm, up to losing the plant',
};

function harmText(worst: keyof typeof HARM, pace: Harm['pace']): string {
  if (worst === 'none') return HARM_WORDS.none;
  return pace === 'none' ? `${HARM_WORDS[worst]}.` : `${HARM_WORDS[worst]}, ${PACE_WORDS[pace]}.`;
}

const datedSteps = (steps: readonly Step[], today: Day): string =>
  steps
    .map(({ text, when, amount, worked }) => {
      const on = whenText(when.state, today);
      const much = stepAmountText(amount, worked);
      const beside = [much, on === 'now' ? '' : on].filter(Boolean).join('; ');
      return beside === '' ? stepText(text) : `${stepText(text)} (${beside})`;
    })
    .join(' ');

function stepsText(
  { opening, steps, products }: Extract<Reply, { code: 'steps' }>,
  today: Day,
): string {
  const isOpen = steps.some(
    ({ when }) => when.state.kind !== 'opens' && when.state.kind !== 'never',
  );
  const answer = !isOpen ? 'Not now, but so: ' : opening === 'yes' ? 'Yes. ' : '';
  const more =
    products.length === 0
      ? ''
      : ` Where that is not enough: ${list(products.map(midSentence), 'or')}; the label and local rules decide.`;
  return `${answer}${datedSteps(steps, today)}${more}`;
}

function careText({ say, steps, cautions }: Extract<Reply, { code: 'care' }>, today: Day): string {
  return [say, datedSteps(steps, today), ...cautions.map(cautionText)].filter(Boolean).join(' ');
}

function theoryText({
  said,
  cause,
  probability,
  leads,
  rather,
}: Extract<Reply, { readonly code: 'theory' }>): string {
  const share = `${Math.round(probability * 100)} %`;
  if (probability >= 0.4)
    return `${likelihoodWords(probability)} yes: ${midSentence(cause)} (${share}).`;
  if (leads) return `It may be: ${midSentence(cause)} is the likeliest so far (${share}).`;
  if (probability >= 0.1)
    return `It may be: ${midSentence(cause)} is possible, but not the likeliest (${share}).`;
  const name = said === '' ? midSentence(cause) : said;
  return rather === null
    ? `Probably not ${name}: too little of what was said speaks for it.`
    : `Probably not ${name}: what was said speaks for ${midSentence(rather)}.`;
}

/** "6 tablespoons (89 mL) in the 11 L (3 gal)", by the rate that was read out. */
function mixText({ rate, tank }: Extract<Reply, { readonly code: 'mix' }>): string {
  const water = tank ?? LITRES_IN_GALLON;
  const product = workedText({ id: '', ...both(rate * water), dimension: 'volume' });
  const into = quantityText({ ...both(Number(water.toPrecision(2))), unit: 'L' });
  return `By the rate that was read out: ${product} in ${into} of water. The label decides: no stronger, and only on what it names.`;
}

const both = (value: number) => ({ from: value, to: value });

function replyText(reply: Reply, today: Day): string {
  switch (reply.code) {
    case 'library':
      return reply.text;
    case 'safe-said':
      return `${reply.text} ${IF_EATEN}`;
    case 'named':
      return `${likelihoodWords(reply.probability)} ${midSentence(reply.cause)}.`;
    case 'unclear':
      return reply.causes.length === 0
        ? REPLIES['find-out-first']
        : `That is not clear yet: ${list(reply.causes.map(midSentence), 'or')}, or something else.`;
    case 'harm':
      return harmText(reply.worst, reply.pace);
    case 'steps':
      return stepsText(reply, today);
    case 'care':
      return careText(reply, today);
    case 'no':
      return `No: ${midSentence(reply.text)}. ${notDoingText(reply.why)}`;
    case 'mix':
      return mixText(reply);
    case 'sum':
      return sumText(reply.calculator, reply.results);
    case 'report':
      return reportText(reply.sort, reply.said);
    case 'no-need':
      return `No: nothing that helps against ${midSentence(reply.cause)} calls for ${ACT_WORDS[reply.act]}.`;
    case 'not-first':
      return `Not first: the plan does without. Where it does not hold: ${list(reply.treatments.map(midSentence), 'or')}; the label and local rules decide. ${reply.how}`;
    case 'referred':
      return `Not by yourself: that is for ${list(reply.to.map(referralText), 'or')}. ${[reply.how, ...reply.cautions.map(cautionText)].join(' ')}`;
    case 'theory':
      return theoryText(reply);
    default:
      return REPLIES[reply.code];
  }
}

/** The answer to a request, to say aloud. */
export function answerText({ reply }: Answered, today: Day): string {
  return replyText(reply, today);
}
