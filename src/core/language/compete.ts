import type { FindingId } from '../knowledge/schema/common.ts';
import type { Finding } from '../knowledge/schema/finding.ts';

/** A reading of some words of a text as a finding. */
export interface Reading {
  readonly finding: FindingId;
  readonly kind: Finding['kind'];
  /** Places of its words in the token list. */
  readonly positions: readonly number[];
  /** Those of them that tell it from others: no word for a part of the plant, no denial. */
  readonly telling: readonly number[];
}

/** What happened and what is seen may be told with the same words. */
const isSameSort = (a: Reading, b: Reading): boolean =>
  (a.kind === 'context') === (b.kind === 'context');

const stretchOf = ({ positions }: Reading): number =>
  Math.max(...positions) - Math.min(...positions);

/** More telling words first, then more words, then what the plant shows more commonly, then words closer together. */
function byWeight(common: ReadonlyMap<FindingId, number> | null) {
  return (a: Reading, b: Reading): number =>
    b.telling.length - a.telling.length ||
    b.positions.length - a.positions.length ||
    (common?.get(b.finding) ?? 0) - (common?.get(a.finding) ?? 0) ||
    stretchOf(a) - stretchOf(b);
}

/**
 * Each telling word speaks for one finding and those it implies: the readings with most words take theirs first,
 * and what is left must still own more than half of its telling words. Keeps the order of what stays.
 */
export function withoutClaimedWords<R extends Reading>(
  readings: readonly R[],
  implied: (id: FindingId) => readonly FindingId[],
  common: ReadonlyMap<FindingId, number> | null,
): readonly R[] {
  const claims = new Map<number, R[]>();
  const related = (a: FindingId, b: FindingId): boolean =>
    a === b || implied(a).includes(b) || implied(b).includes(a);
  const isClaimed = (place: number, reading: R): boolean =>
    (claims.get(place) ?? []).some(
      (owner) => isSameSort(owner, reading) && !related(owner.finding, reading.finding),
    );
  const kept = new Set<R>();
  for (const reading of [...readings].sort(byWeight(common))) {
    const own = reading.telling.filter((place) => !isClaimed(place, reading));
    if (reading.telling.length > 0 && 2 * own.length <= reading.telling.length) continue;
    kept.add(reading);
    for (const place of reading.telling) claims.set(place, [...(claims.get(place) ?? []), reading]);
  }
  return readings.filter((reading) => kept.has(reading));
}
