import type { Finding, Part } from '../schema/finding.ts';
import { stemSet } from './stem.ts';
import type { Token } from './tokens.ts';

/** Regions of a plant that people keep apart in speech. */
type Region = 'leaf' | 'blade' | 'shoot' | 'wood' | 'root' | 'flower' | 'fruit' | 'turf';

const NOUNS: readonly (readonly [Region, string])[] = [
  ['leaf', 'leaf leaves foliage frond leaflet needle'],
  ['blade', 'blade'],
  ['shoot', 'shoot branch twig'],
  ['wood', 'stem stalk cane trunk bark'],
  ['root', 'root bulb rhizome tuber corm clove'],
  ['flower', 'flower bloom blossom petal bud'],
  ['fruit', 'fruit berry berries pod nut husk hull cone'],
  ['turf', 'lawn grass turf sod'],
];
const REGION_OF: ReadonlyMap<string, Region> = new Map(
  NOUNS.flatMap(([region, words]) => [...stemSet(words)].map((one) => [one, region])),
);

/** Where a finding of each part may be reported; null for what is not on a part. */
const TOLD_ON: Readonly<Record<Part, readonly Region[] | null>> = {
  leaf: ['leaf', 'blade', 'shoot'],
  needle: ['leaf', 'blade', 'shoot', 'wood'],
  stem: ['wood', 'shoot'],
  trunk: ['wood', 'shoot'],
  root: ['root'],
  bulb: ['root'],
  flower: ['flower', 'shoot'],
  fruit: ['fruit', 'flower'],
  turf: ['turf', 'blade'],
  whole: null,
  soil: null,
  around: null,
  history: null,
};

/** How far the word for the part may stand before and after what is said of it. */
const LOOK_BACK = 10;
const LOOK_AHEAD = 6;
/** And how far into the sentence before, of which "they" may speak. */
const FURTHEST_BACK = 30;

/** Words after which something else is described. */
const JOINS = stemSet('and but while which or');

function regionOf(token: Token | undefined): Region | null {
  if (!token) return null;
  return REGION_OF.get(token.stem) ?? null;
}

/** True for a word that names a part of a plant. */
export const namesPart = (token: Token | undefined): boolean => regionOf(token) !== null;

/** Words that put what stands before them on a part: "holes on the trunk", "streaks all down the bark". */
const PLACES = stemSet('on in of along around over up down under inside at');
/** Words that may stand between these and the part. */
const POINTING = stemSet(
  'all the my our its it their both every each these those same lower upper main',
);

/** The part that a place just after a stretch of words names: "... holes on the trunk". */
function placedOn(tokens: readonly Token[], last: number): Region | null {
  const sentence = tokens[last]?.sentence;
  let placed = false;
  for (let i = last + 1; i <= last + LOOK_AHEAD; i++) {
    const token = tokens[i];
    if (token?.sentence !== sentence || token === undefined || token.pauseBefore) return null;
    const region = regionOf(token);
    // What is all over the lawn may be of another plant.
    if (region) return placed && region !== 'turf' ? region : null;
    if (PLACES.has(token.stem)) placed = true;
    else if (!POINTING.has(token.stem)) return null;
  }
  return null;
}

const THEY = stemSet("they they're these those");

/** "The leaves are spotted. They drop": the first part that the sentence before names, where this one begins with "they". */
function meantBefore(tokens: readonly Token[], at: number): Region | null {
  const sentence = tokens[at]?.sentence;
  let start = at;
  while (start > 0 && at - start < LOOK_BACK && tokens[start - 1]?.sentence === sentence) start--;
  if (!THEY.has(tokens[start]?.stem ?? '')) return null;
  const before = tokens[start - 1]?.sentence;
  let meant: Region | null = null;
  for (let i = start - 1; i >= start - FURTHEST_BACK && tokens[i]?.sentence === before; i--)
    meant = regionOf(tokens[i]) ?? meant;
  return meant;
}

/** The part that is spoken of at a stretch of words: where it is placed, or the nearest before it in the sentence, or else just after it without a pause. */
function spokenOf(
  tokens: readonly Token[],
  first: number,
  last: number,
  namesFruit: boolean,
): Region | null {
  const sentence = tokens[first]?.sentence;
  const placed = placedOn(tokens, last);
  if (placed) return placed;
  for (let i = first - 1; i >= first - LOOK_BACK && tokens[i]?.sentence === sentence; i--) {
    const region = regionOf(tokens[i]);
    if (region) return region;
  }
  const meant = meantBefore(tokens, first);
  if (meant) return meant;
  if (namesFruit) return 'fruit';
  for (let i = last + 1; i <= last + LOOK_AHEAD && tokens[i]?.sentence === sentence; i++) {
    const token = tokens[i];
    if (token?.pauseBefore === true || JOINS.has(token?.stem ?? '')) return null;
    const region = regionOf(tokens[i]);
    if (region) return region;
  }
  return null;
}

/** How words tell of a finding. */
interface PartContext {
  /** Not heard where its part is not named. */
  readonly needsPart?: boolean;
  /** One of the words names what is eaten: "tomatoes split". */
  readonly namesFruit?: boolean;
}

/** Insects and growths sit on leaves and wood alike, and people do not say which. */
const isAnywhere = ({ kind, part }: Finding): boolean =>
  kind === 'sign' && (part === 'leaf' || part === 'stem');

/**
 * Whether words that could tell of a finding are said of its part of the plant: "gray spots" of canes are none on
 * leaves. No other part may stand between its words.
 */
export function fitsPart(
  finding: Finding,
  tokens: readonly Token[],
  positions: readonly number[],
  { needsPart = false, namesFruit = false }: PartContext = {},
): boolean {
  const allowed = finding.kind === 'context' ? null : TOLD_ON[finding.part];
  // One word alone ("holes") needs its part; more words name an insect or a growth well enough.
  if (allowed === null || (isAnywhere(finding) && positions.length > 1 && !needsPart)) return true;
  let [first, last, named] = [Infinity, -Infinity, false];
  for (const position of positions) {
    first = Math.min(first, position);
    last = Math.max(last, position);
    named ||= namesPart(tokens[position]);
  }
  for (let i = first + 1; i < last; i++) {
    const region = positions.includes(i) ? null : regionOf(tokens[i]);
    if (region !== null && !allowed.includes(region)) return false;
  }
  if (named) return true;
  const region = spokenOf(tokens, first, last, namesFruit);
  return region === null ? !needsPart : allowed.includes(region);
}
