import type { Compiled } from '../library/compile.ts';
import type { CauseId, PlantId } from '../schema/common.ts';
import { causesOfHosts, hostsOf, type HostCauses, type HostProbability } from './hosts.ts';
import { stagedNodes, type StagedNodes } from './nodes.ts';
import { listPairs, type Pairs } from './pairs.ts';

/** What the networks of a plant have in common at every place and date. */
export interface HostModel extends HostCauses {
  readonly hosts: readonly HostProbability[];
  readonly position: ReadonlyMap<CauseId, number>;
  readonly pairs: Pairs;
  readonly nodes: StagedNodes;
}

function makeHostModel(library: Compiled, plant: PlantId | null): HostModel {
  const hosts = hostsOf(library, plant);
  const { causes, common, indoors } = causesOfHosts(library, hosts);
  return {
    hosts,
    causes,
    common,
    indoors,
    position: new Map(causes.map((cause, i) => [cause.id, i])),
    pairs: listPairs(causes, hosts.length),
    nodes: stagedNodes(library, causes),
  };
}

/** Plants whose frames are kept with a library; each takes about a megabyte. */
const MAX_KEPT = 48;
const frames = new WeakMap<Compiled, Map<PlantId | null, HostModel>>();

/**
 * The host model of a plant, of the kinds of a group, or with `plant` null of every kind in the library, with the
 * prior probability of each kind. The 64 models used last are cached.
 */
export function hostModelOf(library: Compiled, plant: PlantId | null): HostModel {
  const kept = frames.get(library) ?? new Map<PlantId | null, HostModel>();
  frames.set(library, kept);
  const frame = kept.get(plant) ?? makeHostModel(library, plant);
  kept.delete(plant);
  kept.set(plant, frame);
  const [oldest] = kept.keys();
  if (kept.size > MAX_KEPT && oldest !== undefined) kept.delete(oldest);
  return frame;
}
