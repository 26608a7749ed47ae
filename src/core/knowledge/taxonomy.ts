import { memoize } from '../util/memoize.ts';
import type { PlantId } from '../schema/common.ts';
import type { Plant, Traits } from '../schema/plant.ts';

/** Plants with their ancestors and descendants worked out once. */
export interface Taxonomy {
  /** The plant and all groups above it, nearest first. Empty for an unknown id. */
  readonly lineage: (id: PlantId) => readonly PlantId[];
  /** All plants below a group, without the group. */
  readonly below: (id: PlantId) => readonly PlantId[];
  /** Traits with those of the groups above filled in; the nearest wins. */
  readonly traits: (id: PlantId) => Traits;
}

/** Breadth-first walk upwards, so that nearer groups come first; a cycle is walked once. */
function climb(start: PlantId, byId: ReadonlyMap<PlantId, Plant>): PlantId[] {
  const order: PlantId[] = [];
  const queue: PlantId[] = [start];
  for (let id = queue.shift(); id !== undefined; id = queue.shift()) {
    if (order.includes(id) || !byId.has(id)) continue;
    order.push(id);
    queue.push(...(byId.get(id)?.parents ?? []));
  }
  return order;
}

/**
 * Builds the {@link Taxonomy} of a library's plants. Unknown parents are ignored here; {@link checkLibrary} reports
 * them as invalid.
 */
export function buildTaxonomy(plants: readonly Plant[]): Taxonomy {
  const byId = new Map(plants.map((plant) => [plant.id, plant]));
  const lineages = new Map(plants.map(({ id }) => [id, climb(id, byId)]));
  const descendants = new Map<PlantId, PlantId[]>();
  for (const [id, line] of lineages) {
    for (const ancestor of line.slice(1)) {
      descendants.set(ancestor, [...(descendants.get(ancestor) ?? []), id]);
    }
  }
  const lineage = (id: PlantId): readonly PlantId[] => lineages.get(id) ?? [];
  return {
    lineage,
    below: (id) => descendants.get(id) ?? [],
    traits: memoize((id) =>
      [...lineage(id)]
        .reverse()
        .reduce<Traits>((all, one) => ({ ...all, ...byId.get(one)?.traits }), {}),
    ),
  };
}
