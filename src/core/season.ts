import type { Hosting } from './knowledge/hosting.ts';
import type { CauseId, PlantId } from './knowledge/schema/common.ts';
import type { Library } from './knowledge/schema/library.ts';
import type { WindowRule } from './knowledge/schema/window.ts';
import { COMMONNESS } from './knowledge/scale.ts';

/** Something of the season that has its dates: a culprit's stage, when it is seen, or a step against it. */
export interface SeasonEvent {
  readonly cause: CauseId;
  readonly causeName: string;
  readonly name: string;
  readonly rule: WindowRule;
  readonly kind: 'seen' | 'stage' | 'step';
}

/** Without a plant only what is asked about this often is listed. */
const LEAST_COMMON = COMMONNESS.common;

const isDated = (rule: WindowRule | undefined): rule is WindowRule =>
  rule !== undefined && rule.kind !== 'any';

/**
 * The dated events of a plant's troubles, or of the common ones of all plants, in the order of the library. A cause with
 * stages is told by them; one without by when it is seen. Normal looks are left out, and without a plant the steps whose
 * window is not the cause's own.
 */
export function seasonEvents(
  library: Pick<Library, 'causes' | 'treatments'>,
  hosting: Hosting,
  plant: PlantId | null,
): readonly SeasonEvent[] {
  const hosted = plant === null ? null : hosting(plant);
  const treatments = new Map(library.treatments.map((one) => [one.id, one]));
  return library.causes
    .filter(({ category }) => category !== 'normal')
    .filter(({ id, common }) => hosted?.has(id) ?? COMMONNESS[common] >= LEAST_COMMON)
    .flatMap(({ id: cause, name: causeName, seen, stages, treatments: options }) => {
      const event = (name: string, rule: WindowRule, kind: SeasonEvent['kind']): SeasonEvent => ({
        cause,
        causeName,
        name,
        rule,
        kind,
      });
      const staged = stages
        .filter(({ when }) => isDated(when))
        .map(({ name, when }) => event(name, when, 'stage'));
      const shown = isDated(seen) && staged.length === 0 ? [event('seen', seen, 'seen')] : [];
      const steps = options.flatMap(({ use, when }) => {
        const rule = when ?? (plant === null ? undefined : treatments.get(use)?.when);
        return isDated(rule) ? [event(treatments.get(use)?.name ?? use, rule, 'step')] : [];
      });
      return staged.length + shown.length === 0 ? [] : [...staged, ...shown, ...steps];
    });
}
