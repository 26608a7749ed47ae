import type { Hosting } from '../knowledge/hosting.ts';
import { isSeasonless } from '../schema/cause.ts';
import { suits } from '../schema/kinds.ts';
import type { CauseId, PlantId } from '../schema/common.ts';
import type { Library } from '../schema/library.ts';
import type { Traits } from '../schema/plant.ts';
import type { WindowRule } from '../schema/window.ts';
import { COMMONNESS } from '../schema/scale.ts';

/** A name of the library, or one of the turns of a plant's or a cause's year. */
export type EventName =
  | { readonly code: 'library'; readonly text: string }
  | { readonly code: 'leaf-out' | 'flowering' | 'leaf-fall' | 'seen' };

/** Something of the season that has its dates: a culprit's stage, when it is seen, or a step against it. */
export interface SeasonEvent {
  /** Id and name of the cause, or of the plant whose own year it is. */
  readonly about: CauseId | PlantId;
  readonly aboutName: string;
  readonly name: EventName;
  readonly rule: WindowRule;
  readonly kind: 'seen' | 'stage' | 'step' | 'plant';
}

/** The plant whose season is shown. */
export interface SeasonPlant {
  readonly id: PlantId;
  readonly name: string;
  readonly traits: Traits;
  /** The plant and all groups above it. */
  readonly kinds: readonly PlantId[];
}

/** Without a plant only what is asked about this often is listed. */
const MIN_COMMON = COMMONNESS.common;

/** Days that leafing out and leaf fall take: our own estimates. */
const TURN_DAYS = { 'leaf-out': 14, 'leaf-fall': 21 } as const;

/** The turns of a plant's own year; those of leaves where it has wood and sheds them. */
function plantEvents({ id: about, name: aboutName, traits }: SeasonPlant): readonly SeasonEvent[] {
  const turn = (stage: keyof typeof TURN_DAYS): WindowRule => ({
    kind: 'plant',
    from: { stage, days: 0 },
    to: { stage, days: TURN_DAYS[stage] },
  });
  const event = (code: Exclude<EventName['code'], 'library'>, rule: WindowRule): SeasonEvent => ({
    about,
    aboutName,
    name: { code },
    rule,
    kind: 'plant',
  });
  const sheds = traits.woody === true && traits.evergreen !== true && traits.indoors !== true;
  return [
    ...(sheds ? [event('leaf-out', turn('leaf-out'))] : []),
    ...(traits.bloom ? [event('flowering', traits.bloom)] : []),
    ...(sheds ? [event('leaf-fall', turn('leaf-fall'))] : []),
  ];
}

const named = (text: string): EventName => ({ code: 'library', text });

const isDated = (rule: WindowRule | undefined): rule is WindowRule =>
  rule !== undefined && rule.kind !== 'any';

/**
 * The turns of a plant's own year and the dated events of its troubles, or of the common ones of all plants, in the order of the library. A cause with
 * stages is dated by them; one without by when it is seen. Normal looks are left out, and without a plant the steps whose
 * window is not the cause's own.
 */
export function seasonEvents(
  library: Pick<Library, 'causes' | 'treatments'>,
  hosting: Hosting,
  plant: SeasonPlant | null,
): readonly SeasonEvent[] {
  const hosted = plant === null ? null : hosting(plant.id);
  const treatments = new Map(library.treatments.map((one) => [one.id, one]));
  const troubles = library.causes
    .filter(({ category }) => category !== 'normal')
    .filter(({ category }) => !isSeasonless(category, plant?.traits.indoors))
    .filter(({ id, common }) => hosted?.has(id) ?? COMMONNESS[common] >= MIN_COMMON)
    .flatMap(({ id: cause, name: causeName, seen, stages, treatments: options }) => {
      const event = (
        name: EventName,
        rule: WindowRule,
        kind: SeasonEvent['kind'],
      ): SeasonEvent => ({
        about: cause,
        aboutName: causeName,
        name,
        rule,
        kind,
      });
      const staged = stages
        .filter(({ when }) => isDated(when))
        .map(({ name, when }) => event(named(name), when, 'stage'));
      const shown =
        isDated(seen) && staged.length === 0 ? [event({ code: 'seen' }, seen, 'seen')] : [];
      const steps = options.flatMap((option) => {
        const { use, when } = option;
        if (!suits(option, plant?.kinds ?? [])) return [];
        const rule = when ?? (plant === null ? undefined : treatments.get(use)?.when);
        return isDated(rule) ? [event(named(treatments.get(use)?.name ?? use), rule, 'step')] : [];
      });
      return staged.length + shown.length === 0 ? [] : [...staged, ...shown, ...steps];
    });
  return [...(plant ? plantEvents(plant) : []), ...troubles];
}
