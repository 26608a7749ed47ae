import { findPlants } from '../language/plantNames.ts';
import { tokenize } from '../language/tokens.ts';
import type { Compiled } from '../library/compile.ts';
import type { Label, Signal } from '../measures/label/readLabel.ts';
import { EFFECT } from '../schema/scale.ts';
import type { Category, Cause } from '../schema/cause.ts';
import type { Treatment } from '../schema/treatment.ts';
import { harmPoints, type Candidate } from './candidates.ts';
import type { AdviceContext } from './context.ts';
import type { SafetyReason } from './messages.ts';
import { judge, type AssessedTreatment } from './safetyJudge.ts';
import type { Lead } from './verdict.ts';

/** How far a label may go before its rate is odd for a garden, in litres of product to a litre of water; our own estimate. */
const ODD_RATE = 0.12;

/** One thing that a label says, or leaves open, about the job in hand. */
export type LabelPoint =
  /** What it holds is known to the library; `planned` where the plan has it, `helps` where it works against the cause. */
  | {
      readonly code: 'ingredient';
      readonly treatment: string;
      readonly planned: boolean;
      readonly helps: boolean;
    }
  | { readonly code: 'ruled-out'; readonly why: SafetyReason }
  | { readonly code: 'pest-listed' | 'pest-not-listed' | 'pest-not-read'; readonly cause: string }
  | {
      readonly code: 'plant-listed' | 'plant-not-listed' | 'plant-not-read' | 'plant-excluded';
      readonly plant: string;
    }
  | { readonly code: 'signal'; readonly signal: Signal }
  /** Degrees Celsius: the label's limit, and the usual maximum of the day. */
  | { readonly code: 'too-hot' | 'too-cold'; readonly limit: number; readonly usual: number }
  | {
      readonly code:
        | 'ingredient-unknown'
        | 'no-cause-yet'
        | 'licence-holders-only'
        | 'signal-not-read'
        | 'rate-by-acre'
        | 'rate-odd'
        | 'rate-not-read'
        | 'harvest-not-read';
    };

/** Where a point leads: it fits, it is to be looked up or minded, or the product is not to be used. */
export type Stand = 'fits' | 'look' | 'refused';

const STANDS: Readonly<Record<LabelPoint['code'], Stand>> = {
  ingredient: 'fits',
  'pest-listed': 'fits',
  'plant-listed': 'fits',
  signal: 'fits',
  'no-cause-yet': 'look',
  'ingredient-unknown': 'look',
  'pest-not-read': 'look',
  'plant-not-read': 'look',
  'signal-not-read': 'look',
  'rate-not-read': 'look',
  'harvest-not-read': 'look',
  'too-hot': 'look',
  'too-cold': 'look',
  'ruled-out': 'refused',
  'licence-holders-only': 'refused',
  'pest-not-listed': 'refused',
  'plant-not-listed': 'refused',
  'plant-excluded': 'refused',
  'rate-by-acre': 'refused',
  'rate-odd': 'refused',
};

/** Where a point leads. */
export function standOf(point: LabelPoint): Stand {
  const isGrave = point.code === 'signal' && point.signal === 'danger';
  const isNoHelp = point.code === 'ingredient' && !point.helps;
  return isGrave || isNoHelp ? 'look' : STANDS[point.code];
}

/** What the job takes by the label, in litres and grams; null for what cannot be worked out. */
export interface LabelJob {
  readonly tank: number | null;
  /** Litres of product for one filling of the tank, or for a litre where no tank is known. */
  readonly eachFilling: number | null;
  /** Square metres, as they were said. */
  readonly area: number | null;
  readonly mix: number | null;
  readonly product: number | null;
  readonly fillings: number | null;
  readonly granules: number | null;
}

/** A label against the plant, the cause, the place and the day. */
export interface JudgedLabel {
  readonly label: Label;
  readonly points: readonly LabelPoint[];
  readonly stand: Stand;
  readonly job: LabelJob;
  /** Id of the treatment that it is; null where what it holds is not known. */
  readonly treatment: string | null;
}

/** What a label is judged for. */
export interface LabelFor {
  readonly library: Compiled;
  readonly context: AdviceContext;
  /** Null while nothing leads. */
  readonly lead: Lead | null;
  /** Name of the plant; null while it is unknown. */
  readonly plant: string | null;
  /** Ids of the treatments of the plan. */
  readonly planned: readonly string[];
}

interface Named {
  readonly treatment: Treatment;
  readonly length: number;
}

const escaped = (text: string): string => text.replace(/[.*+?^${}()|[\]\\]/g, String.raw`\$&`);
const says = (text: string, words: string): boolean =>
  new RegExp(String.raw`(?<![\w-])${escaped(words)}(?![\w-])`, 'i').test(text);

/** The treatment that a label's ingredient is: the longest name, then what is planned, then what works against the cause. */
function treatmentOf(
  { text }: Pick<Label, 'text'>,
  { library, lead, planned }: LabelFor,
): Treatment | null {
  const named = [...library.treatments.values()].flatMap((treatment): Named[] => {
    const found = treatment.ingredients.filter((one) => says(text, one));
    return found.length === 0
      ? []
      : [{ treatment, length: Math.max(...found.map((one) => one.length)) }];
  });
  const rank = ({ treatment, length }: Named): number =>
    length +
    (planned.includes(treatment.id) ? 0.5 : 0) +
    (lead !== null && optionOf(lead.cause, treatment) !== null ? 0.25 : 0);
  const best = named.reduce<Named | null>(
    (a, b) => (a === null || rank(b) > rank(a) ? b : a),
    null,
  );
  return best?.treatment ?? null;
}

const optionOf = ({ treatments }: Cause, { id }: Treatment) =>
  treatments.find(({ use }) => use === id) ?? null;

/** Whether the rules of safety forbid it here, for this cause, and whether it is for licence holders. */
function ruled(treatment: Treatment, { lead, context }: LabelFor) {
  const effect = lead ? EFFECT[optionOf(lead.cause, treatment)?.effect ?? 'slight'] : 0;
  const candidate: Candidate = {
    treatment,
    text: treatment.text,
    amount: null,
    measure: null,
    rule: null,
    state: { kind: 'always' },
    targets: lead
      ? [
          {
            suspect: {
              cause: lead.cause,
              probability: lead.probability,
              harm: harmPoints(lead.cause.harm),
            },
            effect,
          },
        ]
      : [],
    burden: 0,
  };
  return judge(candidate, context);
}

/**
 * A product that words name, such as a step of the advisor's own, after the rules of safety for this cause, plant, place and day. Null
 * where they name none of the library.
 */
export function productNamed(text: string, about: LabelFor): AssessedTreatment | null {
  const treatment = treatmentOf({ text }, about);
  return treatment === null ? null : ruled(treatment, about);
}

/** Kinds of culprit that one word names: "aphids", "scale". The name of a disease says more in its first word. */
const BY_LAST_WORD: ReadonlySet<Category> = new Set([
  'insect',
  'mite',
  'mollusc',
  'vertebrate',
  'weed',
]);
/** Where a label lists what it is for. */
const LISTS =
  /\b(?:kills?|controls?|for (?:the )?control|prevents?|treats?|against|pests?|insects?|diseases?|weeds?|works on)\b/i;

/** Whether the label names the culprit; null where no list of culprits was read. */
function listsPest({ text }: Label, { name, aliases, category }: Cause): boolean | null {
  const stems = new Set(tokenize(text).map((token) => token.stem));
  const isNamed = (one: string): boolean => {
    const words = tokenize(one).map((token) => token.stem);
    const last = words.at(-1);
    if (last === undefined) return false;
    return BY_LAST_WORD.has(category) ? stems.has(last) : words.every((word) => stems.has(word));
  };
  if ([name, ...aliases].some(isNamed)) return true;
  return LISTS.test(text) ? false : null;
}

const EXCLUDES = /\b(?:do not|don't|never|not for|not to be)\b/i;

/** Whether the label names the plant or a group that it belongs to; null where no plant was read. */
function listsPlant({ text }: Label, { library, context }: LabelFor): boolean | 'excluded' | null {
  const sentences = text.split(/(?<=[.!;\n])/);
  const found = sentences.flatMap((sentence) =>
    findPlants(library.plantNames, tokenize(sentence)).map(({ plant }) => ({
      own: context.kinds.includes(plant),
      excluded: EXCLUDES.test(sentence),
    })),
  );
  if (found.some(({ own, excluded }) => own && excluded)) return 'excluded';
  if (found.some(({ own }) => own)) return true;
  return found.some(({ excluded }) => !excluded) ? false : null;
}

function aboutPest(label: Label, { lead }: LabelFor): readonly LabelPoint[] {
  if (!lead) return [{ code: 'no-cause-yet' }];
  const listed = listsPest(label, lead.cause);
  const code = listed === null ? 'pest-not-read' : listed ? 'pest-listed' : 'pest-not-listed';
  return [{ code, cause: lead.cause.name }];
}

function aboutPlant(label: Label, about: LabelFor): readonly LabelPoint[] {
  if (about.plant === null) return [];
  const listed = listsPlant(label, about);
  const { plant } = about;
  if (listed === 'excluded') return [{ code: 'plant-excluded', plant }];
  const code = listed === null ? 'plant-not-read' : listed ? 'plant-listed' : 'plant-not-listed';
  return [{ code, plant }];
}

function aboutIngredient(treatment: Treatment | null, about: LabelFor): readonly LabelPoint[] {
  if (!treatment) return [{ code: 'ingredient-unknown' }];
  const { forbidden, referTo } = ruled(treatment, about);
  const isUnsure = forbidden?.code === 'cause-unsure' && about.lead === null;
  return [
    {
      code: 'ingredient',
      treatment: treatment.name,
      planned: about.planned.includes(treatment.id),
      helps: about.lead !== null && optionOf(about.lead.cause, treatment) !== null,
    },
    ...(forbidden && !isUnsure ? [{ code: 'ruled-out', why: forbidden } as const] : []),
    ...(referTo.includes('licensed-applicator') ? [{ code: 'licence-holders-only' } as const] : []),
  ];
}

function aboutWeather(
  { maxCelsius, minCelsius }: Label,
  { context: { almanac, today } }: LabelFor,
): readonly LabelPoint[] {
  const usual = almanac.normalOn(today).maxCelsius;
  if (maxCelsius !== null && usual >= maxCelsius)
    return [{ code: 'too-hot', limit: maxCelsius, usual }];
  if (minCelsius !== null && usual <= minCelsius)
    return [{ code: 'too-cold', limit: minCelsius, usual }];
  return [];
}

function aboutRate({ rate, spread, byAcre }: Label): readonly LabelPoint[] {
  if (byAcre) return [{ code: 'rate-by-acre' }];
  if (rate !== null && rate > ODD_RATE) return [{ code: 'rate-odd' }];
  return rate === null && spread === null ? [{ code: 'rate-not-read' }] : [];
}

/** What the job takes: by the sprayer that was named, the area that was said, and what a litre covers. */
export function labelJob({ rate, tank, covers, spread }: Label, area: number | null): LabelJob {
  const mix = area !== null && covers !== null && covers > 0 ? area / covers : null;
  return {
    tank,
    eachFilling: rate === null ? null : rate * (tank ?? 1),
    area,
    mix,
    product: mix === null || rate === null ? null : mix * rate,
    fillings: mix === null || tank === null ? null : Math.ceil(mix / tank - 1e-9),
    granules: area === null || spread === null ? null : area * spread,
  };
}

/**
 * Judges a label that was read out: whether it is for this culprit and this plant, whether the rules of safety let what it
 * holds be used here, what its signal word asks for, and what the job takes. The gravest point decides.
 */
export function judgeLabel(label: Label, about: LabelFor): JudgedLabel {
  const treatment = treatmentOf(label, about);
  const isFood = (about.context.traits.edible ?? 'none') !== 'none';
  const points: readonly LabelPoint[] = [
    ...aboutIngredient(treatment, about),
    ...(label.restricted ? [{ code: 'licence-holders-only' } as const] : []),
    ...aboutPest(label, about),
    ...aboutPlant(label, about),
    label.signal === null ? { code: 'signal-not-read' } : { code: 'signal', signal: label.signal },
    ...aboutWeather(label, about),
    ...aboutRate(label),
    ...(isFood && label.daysToHarvest === null ? [{ code: 'harvest-not-read' } as const] : []),
  ];
  const stands = points.map(standOf);
  const stand = stands.includes('refused') ? 'refused' : stands.includes('look') ? 'look' : 'fits';
  const area =
    about.context.job.sizes.flatMap((size) =>
      size.kind === 'area' ? [size.squareMetres] : [],
    )[0] ?? null;
  const distinct = points.filter(
    (one, i) => points.findIndex((other) => JSON.stringify(other) === JSON.stringify(one)) === i,
  );
  return {
    label,
    points: distinct,
    stand,
    job: labelJob(label, area),
    treatment: treatment?.id ?? null,
  };
}
