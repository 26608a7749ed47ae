import { commonnessOf, type Compiled } from './compile.ts';
import { isAsking } from '../knowledge/careTopics.ts';
import type { FindingId, PlantId } from '../schema/common.ts';
import type { LanguageContext } from '../language/extract.ts';
import { RELIED_ON } from '../schema/reliedOn.ts';
import { stem, stemSet } from '../language/stem.ts';
import { wordsIn } from '../language/tokens.ts';
import { memoize } from '../util/memoize.ts';

/** Kinds of a plant, itself first: all plants that it stands above. */
function kindsOf(library: Compiled): ReadonlyMap<PlantId, readonly PlantId[]> {
  const kinds = new Map<PlantId, PlantId[]>();
  for (const id of library.plants.keys())
    for (const above of library.taxonomy.lineage(id))
      kinds.set(above, [...(kinds.get(above) ?? []), id]);
  return kinds;
}

/** Colours name plants (violet, orange) as well as what is seen, and are no words of care. */
const COLOURS = stemSet('violet orange red white black blue yellow green brown golden silver');

/** Stems in the phrases of care topics, classes left out. */
function careWordsOf(library: Compiled): ReadonlySet<string> {
  const words = [...library.findings.values()]
    .filter(({ id }) => isAsking(id))
    .flatMap(({ phrases }) => wordsIn(phrases.join(' ').replace(/@[a-z-]+|(^|\s)-\S+/g, ' ')));
  return new Set(words.map(stem).filter((one) => !COLOURS.has(one)));
}

const FRUIT = stem('fruit');
/** The plant whose names say where on it something is: "moss in the lawn". */
const LAWN: string = RELIED_ON.plants.lawn;

/** What goes without saying of each plant: of lawns their names, of what is eaten for its fruit that the fruit is meant. */
function understoodOf(library: Compiled): (plant: PlantId) => ReadonlySet<string> {
  const { lineage, traits } = library.taxonomy;
  const lawn = [...library.plants.values()].find(({ id }) => id === LAWN);
  const lawnNames = stemSet((lawn?.names ?? []).filter((name) => !name.includes(' ')).join(' '));
  const fruit = new Set([FRUIT]);
  return (plant) => {
    if (lineage(plant).some((id) => id === lawn?.id)) return lawnNames;
    return traits(plant).edible === 'fruit' ? fruit : new Set();
  };
}

/** Makes the language context of a library: what can be extracted, and what can be meant of which plant. Cached by plant. */
export function makeLanguageContext(library: Compiled): LanguageContext {
  const kinds = kindsOf(library);
  const { lineage, traits } = library.taxonomy;
  const isLawn = (plant: PlantId): boolean => lineage(plant).some((id) => id === LAWN);
  /** A trouble of all plants may show on lawns what it cannot on a tree. */
  const onLawnOnly = (id: FindingId): boolean => {
    const finding = library.findings.get(id);
    return finding?.part === 'turf' && finding.kind !== 'context';
  };
  const always = [...library.findings.values()].filter(({ forAdvice }) => forAdvice);
  const shownOn = memoize((plant: PlantId): ReadonlyMap<FindingId, number> => {
    const shown = new Map<FindingId, number>(always.map(({ id }) => [id, 0]));
    for (const kind of kinds.get(plant) ?? [plant])
      for (const [id, factor] of library.hosting(kind)) {
        const cause = library.causes.get(id);
        const weight = cause ? factor * commonnessOf(cause) : 0;
        for (const [finding, strength] of library.strengths.get(id) ?? [])
          if (isLawn(kind) || !onLawnOnly(finding))
            shown.set(finding, (shown.get(finding) ?? 0) + weight * strength);
      }
    return shown;
  });
  return {
    ...library,
    lineage,
    shownOn,
    understood: understoodOf(library),
    careWords: careWordsOf(library),
    isEaten: (plant) => (traits(plant).edible ?? 'none') !== 'none',
  };
}
