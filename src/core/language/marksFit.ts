import { stemSet } from './stem.ts';
import type { Token } from './tokens.ts';

const COLOURS = stemSet(
  'yellow yellowish golden gold orange orangey red reddish rusty pink purple purplish blue bluish green greenish brown brownish tan beige black blackish dark gray grayish grey silver silvery white whitish cream creamy pale',
);

/** What has a colour of its own, apart from the part of the plant it is on. */
const COLOURED_THINGS = stemSet(
  'spot spots speck specks fleck dot dots blotch blotches patch ring rings halo halos streak streaks stripe stripes line lines band bands mottling squiggle swirl trail squiggles edge edges border margin rim tip tips vein veins bump bumps lump blister pustule scab crust powder dust fuzz fur mold mould mildew growth ooze sap gum slime frass sawdust worm grub bug beetle fly caterpillar larva egg scale thread spore aphid mite thrips maggot spider ladybug wasp ant moth butterfly insect mushroom',
);

/** Words that may stand between a colour and its thing. */
const BETWEEN = stemSet(
  'and or to little small tiny big large round raised sunken concentric irregular angular winding wavy wiggly squiggly fuzzy fluffy powdery sticky hard soft dead dried wet looking colored coloured ish',
);
const FURTHEST = 4;

/** The thing that a colour is said of where it stands before its name: in "leaves with brown streaks" the streaks. */
function thingOf(tokens: readonly Token[], colour: number): number | null {
  for (let i = colour + 1; i <= colour + FURTHEST; i++) {
    const token = tokens[i];
    if (!token || token.pauseBefore || token.sentence !== tokens[colour]?.sentence) return null;
    if (COLOURED_THINGS.has(token.stem)) return i;
    if (!COLOURS.has(token.stem) && !BETWEEN.has(token.stem)) return null;
  }
  return null;
}

/** Creatures, and marks that a creature may bear as well as a leaf. */
const CREATURES = stemSet(
  'bug beetle fly caterpillar larva worm grub moth butterfly ladybug spider snail slug insect wasp',
);
const MARKINGS = stemSet('spot dot stripe band speck');
const BEARS = stemSet('with has have having that are is');

/** Whether a mark describes a creature: the spots in "brown beetles with black spots". */
function isOfCreature(tokens: readonly Token[], mark: number): boolean {
  let bears = false;
  for (let i = mark - 1; i >= mark - FURTHEST; i--) {
    const token = tokens[i];
    if (!token || token.sentence !== tokens[mark]?.sentence) return false;
    if (CREATURES.has(token.stem)) return bears;
    if (BEARS.has(token.stem)) bears = true;
    else if (!COLOURS.has(token.stem) && !BETWEEN.has(token.stem)) return false;
  }
  return false;
}

/**
 * Whether words keep the colours and marks they tell of: each colour is said of a thing among the words, or of no thing
 * that has a name here, and where they describe nothing else no mark is a creature's. `telling` are those of the words that
 * tell more than which part is meant.
 */
export function fitsMarks(
  tokens: readonly Token[],
  positions: readonly number[],
  telling: readonly number[],
): boolean {
  let [onlyMarks, ofCreature] = [true, false];
  for (const i of telling) {
    const word = tokens[i]?.stem ?? '';
    if (COLOURS.has(word)) {
      const thing = thingOf(tokens, i);
      if (thing !== null && !positions.includes(thing)) return false;
    } else {
      onlyMarks &&= MARKINGS.has(word);
      ofCreature ||= onlyMarks && isOfCreature(tokens, i);
    }
  }
  return !onlyMarks || !ofCreature;
}
