import type { Compiled } from '../library/compile.ts';
import type { CauseId, PlantId } from '../schema/common.ts';
import { causesOfHosts, hostsOf, type HostCauses, type HostProbability } from './hosts.ts';
import { stagedNodes, type StagedNodes } from './nodes.ts';
import { memoize, memoizeByObject } from '../util/memoize.ts';
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
  const { causes, common, plants } = causesOfHosts(library, hosts);
  return {
    hosts,
    causes,
    common,
    plants,
    position: new Map(causes.map((cause, i) => [cause.id, i])),
    pairs: listPairs(causes, hosts.length),
    nodes: stagedNodes(library, causes),
  };
}

/** Plants whose models are cached with a library; each takes about a megabyte. */
const MAX_CACHED = 48;

const modelsOf = memoizeByObject((library: Compiled) =>
  memoize((plant: PlantId | null) => makeHostModel(library, plant), { max: MAX_CACHED }),
);

/**
 * The host model of a plant, of the kinds of a group, or with `plant` null of every kind in the library, with the
 * prior probability of each kind. The 48 models used last are cached.
 */
export function hostModelOf(library: Compiled, plant: PlantId | null): HostModel {
  return modelsOf(library)(plant);
}
