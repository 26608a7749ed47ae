import { judgeLabel, productNamed, type Stand } from '../core/advice/labelFit.ts';
import type { AssessedTreatment } from '../core/advice/safetyJudge.ts';
import type { Consultant } from '../core/consult/consult.ts';
import type { Compiled } from '../core/library/compile.ts';
import { readLabel } from '../core/measures/label/readLabel.ts';
import { ok, type Result } from '../core/util/result.ts';
import { cautionText, notDoingText } from '../wording/advice.ts';
import { labelFactTexts, labelJobTexts, labelPointTexts } from '../wording/label.ts';
import type { StoredLabel } from '../contracts/cases.ts';
import type { Problem } from '../contracts/problem.ts';
import { allInSpelling } from '../wording/spelling.ts';
import { readEnquiry } from './answerConsult.ts';

/** A label that was read out, for the enquiry of `body`. */
export interface LabelQuery {
  readonly body: unknown;
  readonly text: string;
}

/** What a label comes to for the job in hand. */
export interface LabelAnswer {
  readonly stand: Stand;
  readonly points: readonly { readonly stand: Stand; readonly text: string }[];
  readonly facts: readonly string[];
  readonly job: readonly string[];
  /** What the rules of safety say of the product that it names; empty where it names none. */
  readonly rules: readonly string[];
  /** The step of the plan that it belongs to; null where the plan has no such product. */
  readonly step: string | null;
  readonly keep: StoredLabel;
}

/** Why a product is refused, or what to mind. */
function rulesText(named: AssessedTreatment | null): readonly string[] {
  if (named === null) return [];
  if (named.forbidden) return [notDoingText(named.forbidden)];
  return [...named.cautions, ...named.planCautions].map(cautionText);
}

const whole = (value: number | null, least: number, most: number): number | null =>
  value === null ? null : Math.min(most, Math.max(least, Math.round(value)));

/** Consults, and judges the label against what leads, the plant, the place and the day. Fails where the enquiry is invalid. */
export function answerLabel(
  library: Compiled,
  consultant: Consultant,
  { body, text }: LabelQuery,
): Result<LabelAnswer, Problem> {
  const read = readEnquiry(library, body);
  if (!read.ok) return read;
  const { enquiry, spelling } = read.value;
  const { advice, context, lead, plants } = consultant(enquiry);
  const plant = enquiry.plant ?? plants[0]?.plant ?? null;
  const planned = advice.steps.flatMap(({ work }) => (work ? [work.treatment.id] : []));
  const about = {
    library,
    context,
    lead,
    plant: plant === null ? null : (library.plants.get(plant)?.name ?? null),
    planned,
  };
  const judged = judgeLabel(readLabel(text), about);
  const { label, stand, treatment } = judged;
  const said = {
    points: labelPointTexts(judged),
    facts: labelFactTexts(label),
    job: labelJobTexts(judged),
    rules: rulesText(productNamed(text, about)),
  };
  return ok({
    stand,
    ...allInSpelling(said, spelling),
    step: treatment !== null && planned.some((one) => one === treatment) ? treatment : null,
    keep: {
      text,
      daysToHarvest: whole(label.daysToHarvest, 0, 365),
      reentryHours: whole(label.reentryHours, 0, 720),
      mostPerYear: whole(label.mostPerYear, 1, 99),
      everyDays: whole(label.everyDays, 1, 365),
    },
  });
}
