import { z } from 'zod';
import { plantIdSchema, type PlantId } from './common.ts';

/** Fields of something that is for some kinds of plant only. */
export const forKinds = {
  /** Kinds of plant it is for; for all where absent. */
  only: z.array(plantIdSchema).min(1).optional(),
  /** Kinds of plant it is not for. */
  except: z.array(plantIdSchema).min(1).optional(),
};

/** What {@link forKinds} reads. */
export interface ForKinds {
  readonly only?: readonly PlantId[] | undefined;
  readonly except?: readonly PlantId[] | undefined;
}

/** Whether something is for a plant, given with all groups above it; none for an unknown plant, which gets what all plants get. */
export function suits({ only, except }: ForKinds, kinds: readonly PlantId[]): boolean {
  const isAmong = (list: readonly PlantId[]): boolean => list.some((one) => kinds.includes(one));
  return (only === undefined || isAmong(only)) && !isAmong(except ?? []);
}
