import type { Compiled } from '../knowledge/compile.ts';
import type { Cause } from '../knowledge/schema/cause.ts';
import type { CauseId, FindingId, PlantId } from '../knowledge/schema/common.ts';
import { causesOfHosts, hostsOf, type HostCauses, type HostShare } from './hosts.ts';
import { listPairs, type Pairs } from './prior.ts';

/** A cause that shows a finding, by its position, and how often it does in its season. */
export interface Link {
  readonly at: number;
  readonly strength: number;
}

/** What the causes of the host show, by finding. */
function linksOf(library: Compiled, causes: readonly Cause[]): ReadonlyMap<FindingId, Link[]> {
  const links = new Map<FindingId, Link[]>();
  causes.forEach((cause, at) => {
    for (const [id, strength] of library.strengths.get(cause.id) ?? []) {
      const list = links.get(id);
      if (list) list.push({ at, strength });
      else links.set(id, [{ at, strength }]);
    }
  });
  return links;
}

/** What the networks of a plant have in common at every place and date. */
export interface Frame extends HostCauses {
  readonly hosts: readonly HostShare[];
  readonly position: ReadonlyMap<CauseId, number>;
  readonly pairs: Pairs;
  readonly links: ReadonlyMap<FindingId, readonly Link[]>;
}

function makeFrame(library: Compiled, plant: PlantId | null): Frame {
  const hosts = hostsOf(library, plant);
  const { causes, common, indoors } = causesOfHosts(library, hosts);
  return {
    hosts,
    causes,
    common,
    indoors,
    position: new Map(causes.map((cause, i) => [cause.id, i])),
    pairs: listPairs(causes, hosts.length),
    links: linksOf(library, causes),
  };
}

/** Plants whose frames are kept with a library; each takes about half a megabyte. */
const MOST_KEPT = 48;
const frames = new WeakMap<Compiled, Map<PlantId | null, Frame>>();

/** The frame of a plant, of the kinds of a group, or with `plant` null of every kind; those last used are kept. */
export function frameOf(library: Compiled, plant: PlantId | null): Frame {
  const kept = frames.get(library) ?? new Map<PlantId | null, Frame>();
  frames.set(library, kept);
  const frame = kept.get(plant) ?? makeFrame(library, plant);
  kept.delete(plant);
  kept.set(plant, frame);
  const [oldest] = kept.keys();
  if (kept.size > MOST_KEPT && oldest !== undefined) kept.delete(oldest);
  return frame;
}
