import type { Cause } from '../schema/cause.ts';
import type { FindingId } from '../schema/common.ts';
import type { Finding, Part } from '../schema/finding.ts';
import type { SampleKind } from '../schema/sampleKind.ts';
import { BACKGROUND, FREQUENCY } from '../schema/scale.ts';
import { sum } from '../util/maths.ts';

/** A kind of sample that is named for a cause stands before all that suit its sort. */
const NAMED = 2;

/** By how much the findings of a cause on each part are expected to tell it from no cause, in nats. */
function worthByPart(
  { findings: shown }: Pick<Cause, 'findings'>,
  findings: ReadonlyMap<FindingId, Finding>,
): ReadonlyMap<Part, number> {
  const worth = new Map<Part, number>();
  for (const [id, finding] of findings) {
    const often = shown[id];
    if (often === undefined) continue;
    const frequency = FREQUENCY[often];
    const nats = frequency * Math.log(frequency / BACKGROUND[finding.background]);
    if (nats > 0) worth.set(finding.part, (worth.get(finding.part) ?? 0) + nats);
  }
  return worth;
}

/** How well a kind of sample suits a cause, from 0, for not at all, to {@link NAMED}. */
function suitability(
  { for: { categories, parts, causes } }: SampleKind,
  cause: Pick<Cause, 'id' | 'category'>,
  worth: ReadonlyMap<Part, number>,
): number {
  if (causes.includes(cause.id)) return NAMED;
  if (!categories.includes(cause.category)) return 0;
  if (parts.length === 0) return 1;
  const total = sum([...worth.values()]);
  return total === 0 ? 0 : sum(parts.map((part) => worth.get(part) ?? 0)) / total;
}

/**
 * Kinds of sample that can decide about a cause, the best first: those that hold the part of the plant where the findings
 * tell most of it. Empty where no sample does, as for a question of care.
 */
export function samplesFor(
  cause: Pick<Cause, 'id' | 'category' | 'findings'>,
  {
    findings,
    sampleKinds,
  }: {
    readonly findings: ReadonlyMap<FindingId, Finding>;
    readonly sampleKinds: readonly SampleKind[];
  },
): readonly SampleKind[] {
  const worth = worthByPart(cause, findings);
  return sampleKinds
    .map((kind) => ({ kind, suits: suitability(kind, cause, worth) }))
    .filter(({ suits }) => suits > 0)
    .sort((a, b) => b.suits - a.suits || (a.kind.id < b.kind.id ? -1 : 1))
    .map(({ kind }) => kind);
}
