import { entryAt } from '../util/entryAt.ts';
import type { Compiled } from './compile.ts';
import type { CauseId, FindingId, PlantId } from '../schema/common.ts';

/** Two causes of one plant that hardly any finding separates. */
export interface WeakPair {
  readonly plant: PlantId;
  readonly first: CauseId;
  readonly second: CauseId;
  /** How alike their findings are: the cosine of the two lists of strengths, 0 to 1. */
  readonly similarity: number;
}

type Strengths = ReadonlyMap<FindingId, number>;

/** Cosine of two lists of probabilities of findings: 1 when they are proportional, 0 with no finding in common. */
export function profileSimilarity(a: Strengths, b: Strengths): number {
  let [both, ofA, ofB] = [0, 0, 0];
  for (const strength of a.values()) ofA += strength ** 2;
  for (const [finding, strength] of b) {
    ofB += strength ** 2;
    both += strength * (a.get(finding) ?? 0);
  }
  return ofA > 0 && ofB > 0 ? both / Math.sqrt(ofA * ofB) : 0;
}

/** The alikeness of two causes by their numbers, each pair worked out once. */
function similarityTable(strengths: readonly Strengths[]): (a: number, b: number) => number {
  const count = strengths.length;
  const known = new Float64Array(count * count).fill(NaN);
  return (a, b) => {
    const at = a * count + b;
    const found = known[at] ?? NaN;
    if (!Number.isNaN(found)) return found;
    const value = profileSimilarity(entryAt(strengths, a), entryAt(strengths, b));
    known[at] = value;
    return value;
  };
}

/** For each plant that has two causes or more its weakest-separated pair, the weakest first. */
export function weakestPairs(library: Compiled): readonly WeakPair[] {
  const ids = [...library.strengths.keys()];
  const number = new Map(ids.map((id, i) => [id, i]));
  const between = similarityTable([...library.strengths.values()]);
  const weakest = [...library.plants.keys()].flatMap((plant): WeakPair[] => {
    const causes = [...library.hosting(plant).keys()].flatMap((id) => number.get(id) ?? []);
    causes.sort((a, b) => a - b);
    let worst = { first: -1, second: -1, alike: -1 };
    for (const [i, first] of causes.entries())
      for (const second of causes.slice(i + 1)) {
        const alike = between(first, second);
        if (alike > worst.alike) worst = { first, second, alike };
      }
    const [first, second] = [ids[worst.first], ids[worst.second]];
    return first && second ? [{ plant, first, second, similarity: worst.alike }] : [];
  });
  return weakest.sort((a, b) => b.similarity - a.similarity);
}
