import type { Compiled } from './compile.ts';
import type { CauseId, FindingId, PlantId } from './schema/common.ts';

/** Two causes of one plant that hardly anything tells apart. */
export interface WeakPair {
  readonly plant: PlantId;
  readonly first: CauseId;
  readonly second: CauseId;
  /** How alike their findings are: the cosine of the two lists of strengths, 0 to 1. */
  readonly alike: number;
}

type Strengths = ReadonlyMap<FindingId, number>;

/** Cosine of two lists of strengths: 1 when the same findings are shown equally often, 0 with none in common. */
export function alikeness(a: Strengths, b: Strengths): number {
  let [both, ofA, ofB] = [0, 0, 0];
  for (const strength of a.values()) ofA += strength ** 2;
  for (const [finding, strength] of b) {
    ofB += strength ** 2;
    both += strength * (a.get(finding) ?? 0);
  }
  return ofA > 0 && ofB > 0 ? both / Math.sqrt(ofA * ofB) : 0;
}

/** For each plant that has two causes or more its weakest-separated pair, the weakest first. */
export function weakestPairs(library: Compiled): readonly WeakPair[] {
  const known = new Map<string, number>();
  const between = (a: CauseId, b: CauseId): number => {
    const key = `${a} ${b}`;
    const found = known.get(key);
    if (found !== undefined) return found;
    const value = alikeness(
      library.strengths.get(a) ?? new Map(),
      library.strengths.get(b) ?? new Map(),
    );
    known.set(key, value);
    return value;
  };
  const weakest = [...library.plants.keys()].flatMap((plant): WeakPair[] => {
    const causes = [...library.hosting(plant).keys()].sort();
    let worst: WeakPair | null = null;
    causes.forEach((first, i) => {
      for (const second of causes.slice(i + 1)) {
        const alike = between(first, second);
        if (!worst || alike > worst.alike) worst = { plant, first, second, alike };
      }
    });
    return worst ? [worst] : [];
  });
  return weakest.sort((a, b) => b.alike - a.alike);
}
