/** Words that gardeners use for the same thing; each line is folded to its first word before anything is compared. */
const ALIKE: readonly string[] = [
  'brown brownish browny',
  'yellow yellowish yellowy yellowed',
  'red reddish',
  'purple purplish purply purpley',
  'white whitish',
  'black blackish blackened',
  'green greenish greeny',
  'gray grayish greyish',
  'orange orangey orangish',
  'pink pinkish pinky',
  'blue bluish blueish bluey',
  'tan beige',
  'silver silvery',
  'dust dusty',
  'powder powdery',
  'flour floury',
  'soot sooty',
  'fuzz fuzzy furry',
  'fluff fluffy',
  'cotton cottony',
  'wool woolly wooly',
  'wax waxy',
  'web webby webbed',
  'speck speckle speckled speckly fleck flecked freckle freckled',
  'edge margin',
  'chew munch munched munching nibble nibbled chomp chomped chomping gnaw gnawed',
  'mushroom toadstool',
  'pot container planter',
  'soggy squelchy squelch squelches waterlogged sodden saturated swampy marshy',
  'tiny teeny teensy minuscule microscopic itty bitty wee',
  'huge enormous massive gigantic',
  'shrivel wither withered withering wizened shrunken',
  'mush mushy squishy squashy',
  'stink stinks stinky reek reeks stench',
  'branch limb bough',
  'trunk bole',
  'rabbit bunny',
  'kid child children toddler grandson granddaughter grandchild grandchildren grandkids',
  'neighbor neighbour',
  'plow plough',
  'pulp pulpy',
];

/** The word that stands for each of those above. */
export const SAME_AS: ReadonlyMap<string, string> = new Map(
  ALIKE.flatMap((line) => {
    const [first = '', ...others] = line.split(' ');
    return others.map((word) => [word, first] as const);
  }),
);
