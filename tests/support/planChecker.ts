import type { ConsultRequest, ConsultResponse } from '../../src/contracts/consult.ts';

/**
 * What must never go wrong in a plan, read from the answer alone. Written from the rules of the trade and not from the
 * code that plans: names of products and plants stand here a second time on purpose.
 */

type Step = ConsultResponse['advice']['steps'][number];
type Body = Pick<ConsultRequest, 'date' | 'approach' | 'answers'>;

const INSECT_PRODUCT =
  /\b(spinosad|bacillus thuringiensis|\bbt\b|azadirachtin|neem|insecticid|horticultural oil|dormant oil|light oil|pyrethr|permethrin|bifenthrin|carbaryl|imidacloprid|borer product|kaolin)/i;
const FUNGUS_PRODUCT =
  /\b(copper (product|paint|once)|fixed copper|lime sulfur|captan|mancozeb|chlorothalonil|myclobutanil|potassium bicarbonate|phosphite|fungicid|bacillus subtilis)/i;
const WEED_PRODUCT =
  /\b(glyphosate|quinclorac|halosulfuron|triclopyr|herbicid|pre-emergent|fehedta|pelargonic)/i;
const SYNTHETIC =
  /\b(permethrin|bifenthrin|imidacloprid|carbaryl|chlorothalonil|captan|mancozeb|myclobutanil|glyphosate|quinclorac|halosulfuron|triclopyr|metaldehyde)/i;
const SYSTEMIC = /\b(imidacloprid|dinotefuran|systemic (drench|insecticid))/i;
const OIL_OR_SOAP = /\b(insecticidal soap|horticultural oil|dormant oil|light oil|spray soap)/i;
const POISON_BAIT = /\b(metaldehyde|rodenticid|zinc phosphide|strychnine|anticoagulant)/i;
const RATE =
  /\d+ ?(tablespoons?|teaspoons?|tbsp|tsp|oz|ounces?|ml|g) (per|to the|in a) (gallon|litre|liter)/i;
const INSECTS = ['insect', 'mite', 'mollusc', 'nematode'];
const ROTS = ['fungus', 'oomycete', 'bacterium'];

const EATEN =
  /^(tomato|pepper|lettuce|carrot|potato|bean|cucumber|squash|strawberry|raspberry|blueberry|apple|pear|peach|cherry|plum|grape|orange|lemon|lime|basil|parsley|mint|kale|cabbage|broccoli|onion|garlic|corn|spinach|beet|okra|eggplant|fig|walnut|pecan|vegetable|citrus)$/i;
const POISONOUS =
  /\b(oleander|foxglove|castor bean|yew|angel.s trumpet|daylily|lily of the valley|rhododendron|azalea|daffodil|dieffenbachia|sago palm|hydrangea|monstera|pothos|philodendron)\b/i;
const NEEDS_GROUND = /both feet|arborist/i;

const saying = (step: Step): string => `${step.text} ${step.cautions.join(' ')}`;
const isNow = (step: Step, date: string): boolean => step.when.from <= date;

/** One rule: what it is, and the steps or words that break it. */
type Rule = (answer: ConsultResponse, body: Body) => readonly string[];

const reported = ({ answers }: Body, finding: string): boolean =>
  answers.some((one) => one.finding === finding && one.value === true);
const steps = ({ advice }: ConsultResponse): readonly Step[] => advice.steps;
const textsOf = (found: readonly Step[]): readonly string[] => found.map(({ text }) => text);
const products = (answer: ConsultResponse): readonly Step[] =>
  steps(answer).filter(({ product }) => product);
/** Categories of what is likely enough to be treated. */
const likely = ({ causes }: ConsultResponse) =>
  causes.filter(({ probability }) => probability >= 0.1);
const allAre = (answer: ConsultResponse, categories: readonly string[]): boolean =>
  likely(answer).length > 0 &&
  likely(answer).every(({ category }) => categories.includes(category));
const cautions = ({ advice }: ConsultResponse): string => advice.cautions.join(' ');

/** Oils work on scales and mildews, sulfur and lime sulfur on fungi and mites (common practice). */
const OF_TWO_KINDS = /horticultural oil|sul(?:f|ph)ur/i;

export const PLAN_RULES: Readonly<Record<string, Rule>> = {
  'no product before a cause': (answer) =>
    likely(answer).reduce((sum, { probability }) => sum + probability, 0) < 0.5
      ? textsOf(products(answer))
      : [],
  'no insecticide against what is no animal': (answer) =>
    allAre(answer, [...ROTS, 'virus', 'nutrient', 'water', 'temperature', 'light', 'weed'])
      ? textsOf(
          steps(answer).filter(
            ({ text }) =>
              INSECT_PRODUCT.test(text) && !FUNGUS_PRODUCT.test(text) && !OF_TWO_KINDS.test(text),
          ),
        )
      : [],
  'no fungicide against what is no fungus or bacterium': (answer) =>
    allAre(answer, [
      ...INSECTS,
      'vertebrate',
      'nutrient',
      'water',
      'temperature',
      'light',
      'weed',
      'virus',
    ])
      ? textsOf(
          steps(answer).filter(
            ({ text }) =>
              FUNGUS_PRODUCT.test(text) &&
              !INSECT_PRODUCT.test(text) &&
              !(
                OF_TWO_KINDS.test(text) &&
                likely(answer).some(({ category }) => INSECTS.includes(category))
              ),
          ),
        )
      : [],
  'no weedkiller but against weeds': (answer) =>
    likely(answer).some(({ category }) => category === 'weed' || category === 'care')
      ? []
      : textsOf(steps(answer).filter(({ text }) => WEED_PRODUCT.test(text))),
  'no systemic insecticide on what is eaten': (answer) =>
    EATEN.test(answer.plant?.name ?? 'vegetable')
      ? textsOf(steps(answer).filter(({ text }) => SYSTEMIC.test(text)))
      : [],
  'days to harvest on what is eaten': (answer) =>
    EATEN.test(answer.plant?.name ?? 'vegetable') &&
    products(answer).length > 0 &&
    !/harvest/i.test(cautions(answer))
      ? ['no word of the days to harvest']
      : [],
  'the label decides on every product': (answer) =>
    products(answer).length > 0 && !/label/i.test(cautions(answer)) ? ['no word of the label'] : [],
  'children and pets away from every product': (answer) =>
    products(answer).length > 0 && !/children and pets/i.test(cautions(answer))
      ? ['no word of children and pets']
      : [],
  'no rate but that of the label': (answer) =>
    textsOf(steps(answer).filter(({ text }) => RATE.test(text))),
  'no insecticide on open blossom': (answer, body) =>
    reported(body, 'plant-in-bloom')
      ? textsOf(
          steps(answer).filter((one) => INSECT_PRODUCT.test(one.text) && isNow(one, body.date)),
        )
      : [],
  'nothing that kills near open water': (answer, body) =>
    reported(body, 'near-open-water') ? textsOf(products(answer)) : [],
  'no oil or soap in heat or drought': (answer, body) =>
    reported(body, 'hot-spell') || reported(body, 'soil-dry')
      ? textsOf(steps(answer).filter((one) => OIL_OR_SOAP.test(one.text) && isNow(one, body.date)))
      : [],
  'no poison bait where pets or children were not ruled out': (answer) =>
    textsOf(steps(answer).filter(({ text }) => POISON_BAIT.test(text))),
  'nobody sprays or prunes a tall plant but from the ground': (answer, body) =>
    reported(body, 'tall-plant')
      ? textsOf(
          steps(answer).filter(
            (one) =>
              (one.product
                ? /^spray/i.test(one.text) && !/trunk/i.test(one.text)
                : /^(prune|cut) (out|off) (dead|branch)/i.test(one.text)) &&
              !NEEDS_GROUND.test(saying(one)),
          ),
        )
      : [],
  'traps for wild animals go by the law of the place': (answer) =>
    textsOf(
      steps(answer).filter(
        (one) =>
          /\b(live trap|trap it|trap and)\b/i.test(one.text) &&
          !/wildlife|law|licen[cs]ed/i.test(saying(one)),
      ),
    ),
  'a diagnosis from a description is presumptive': (answer) =>
    answer.causes[0]?.category === 'care' || /presumptive/i.test(cautions(answer))
      ? []
      : [answer.advice.headline],
  'a poisonous plant gets a caution': (answer) =>
    POISONOUS.test(answer.plant?.name ?? '') && !/poison/i.test(cautions(answer))
      ? ['no word of poison']
      : [],
  'nothing synthetic for an organic garden': (answer, { approach }) =>
    approach === 'organic' ? textsOf(steps(answer).filter(({ text }) => SYNTHETIC.test(text))) : [],
  'no product where all is to be left alone': (answer, { approach }) =>
    approach === 'leave'
      ? textsOf(products(answer).filter(({ rung }) => rung !== 'professional'))
      : [],
  'licensed work is referred': (answer) =>
    textsOf(
      steps(answer).filter(
        (one) => /\b(trunk injection|inject)/i.test(one.text) && answer.advice.refer.length === 0,
      ),
    ),
  'dates run forward from the day of the advice': (answer, { date }) =>
    textsOf(
      steps(answer).filter(
        ({ when }) => when.from < date || (when.to !== null && when.to < when.from),
      ),
    ),
};

/** What a plan breaks, as "rule: step". Empty when it keeps all rules. */
export const violationsOf = (answer: ConsultResponse, body: Body): readonly string[] =>
  Object.entries(PLAN_RULES).flatMap(([rule, breaks]) =>
    breaks(answer, body).map((what) => `${rule}: ${what}`),
  );
