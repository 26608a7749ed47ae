import { keysOf } from '../util/typedKeys.ts';
import { SUSCEPTIBILITY } from '../schema/scale.ts';
import type { Cause } from '../schema/cause.ts';
import type { CauseId, PlantId } from '../schema/common.ts';
import type { Taxonomy } from './taxonomy.ts';

/** The causes that a plant can have, each with a factor above 0 on how common it is. */
export type Hosting = (plant: PlantId) => ReadonlyMap<CauseId, number>;

type Listed = readonly { readonly cause: CauseId; readonly factor: number }[];

function causesByHost(causes: readonly Cause[]): ReadonlyMap<PlantId, Listed> {
  const lists = new Map<PlantId, { cause: CauseId; factor: number }[]>();
  for (const { id: cause, hosts } of causes) {
    for (const host of keysOf(hosts)) {
      const list = lists.get(host) ?? [];
      list.push({ cause, factor: SUSCEPTIBILITY[hosts[host] ?? 'immune'] });
      lists.set(host, list);
    }
  }
  return lists;
}

/**
 * Susceptibility factors of every plant to its causes, at least 0; ratios of factors are ratios of prior probability.
 * Of several hosts in a plant's lineage the nearest decides. Cached by plant.
 */
export function buildHosting(causes: readonly Cause[], taxonomy: Taxonomy): Hosting {
  const byHost = causesByHost(causes);
  const known = new Map<PlantId, ReadonlyMap<CauseId, number>>();
  return (plant) => {
    const found = known.get(plant);
    if (found) return found;
    const nearest = new Map<CauseId, number>();
    for (const host of taxonomy.lineage(plant))
      for (const { cause, factor } of byHost.get(host) ?? [])
        if (!nearest.has(cause)) nearest.set(cause, factor);
    const taken = new Map([...nearest].filter(([, factor]) => factor > 0));
    known.set(plant, taken);
    return taken;
  };
}
