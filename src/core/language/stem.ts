import { SAME_AS } from './synonymClasses.ts';

/** Spellings and forms that the rules below would miss; values are the plain forms. */
const IRREGULAR = new Map<string, string>(
  Object.entries({
    leaves: 'leaf',
    leafs: 'leaf',
    lvs: 'leaf',
    w: 'with',
    lf: 'leaf',
    lves: 'leaf',
    flwr: 'flower',
    flwrs: 'flower',
    flrs: 'flower',
    brn: 'brown',
    blk: 'black',
    yel: 'yellow',
    ylw: 'yellow',
    wht: 'white',
    grn: 'green',
    btm: 'bottom',
    frt: 'fruit',
    wtr: 'water',
    wtrd: 'water',
    wk: 'week',
    wks: 'week',
    yr: 'year',
    yrs: 'year',
    hvy: 'heavy',
    lt: 'light',
    grey: 'gray',
    mould: 'mold',
    mouldy: 'moldy',
    colour: 'color',
    coloured: 'color',
    discoloured: 'discolor',
    discolored: 'discolor',
    centre: 'center',
    centres: 'center',
    dying: 'die',
    dies: 'die',
    died: 'die',
    eaten: 'eat',
    ate: 'eat',
    fell: 'fall',
    fallen: 'fall',
    fallin: 'fall',
    shrivelled: 'shrivel',
    shriveled: 'shrivel',
    curly: 'curl',
    overnite: 'overnight',
    mice: 'mouse',
    roses: 'rose',
    grew: 'grow',
    grown: 'grow',
    splitting: 'split',
    rotten: 'rot',
    rotted: 'rot',
    rotting: 'rot',
    rots: 'rot',
    went: 'go',
    gone: 'go',
    goes: 'go',
    going: 'go',
    froze: 'freeze',
    frozen: 'freeze',
    chopped: 'chop',
    dug: 'dig',
    digging: 'dig',
    cut: 'cut',
    torn: 'tear',
    stunted: 'stunt',
    berries: 'berry',
    cherries: 'cherry',
    bunches: 'bunch',
    tomatoe: 'tomato',
    tomatoes: 'tomato',
    tomatos: 'tomato',
    potatoes: 'potato',
    citrus: 'citrus',
    cactus: 'cactus',
    cacti: 'cactus',
    ficus: 'ficus',
    hibiscus: 'hibiscus',
    iris: 'iris',
    grass: 'grass',
    moss: 'moss',
    fungus: 'fungus',
    fungi: 'fungus',
    roots: 'root',
    this: 'this',
    was: 'was',
    has: 'has',
    is: 'is',
    its: 'its',
    always: 'always',
    yes: 'yes',
    us: 'us',
    during: 'during',
    spring: 'spring',
    string: 'string',
    thing: 'thing',
    nothing: 'nothing',
    something: 'something',
    anything: 'anything',
    everything: 'everything',
    evening: 'evening',
    morning: 'morning',
    ring: 'ring',
    rings: 'ring',
    seed: 'seed',
    weed: 'weed',
    feed: 'feed',
    fed: 'feed',
    reed: 'reed',
    red: 'red',
    bed: 'bed',
    need: 'need',
    webbing: 'web',
    droppings: 'droppings',
    webs: 'web',
  }),
);

/** Words that would become another word without their last e (cane, can), with their forms. */
const WHOLE = new Map<string, string>(
  Object.entries({
    bite: 'bites biting',
    cane: 'canes',
    care: 'cares caring cared',
    fire: 'fires',
    hope: 'hopes hoping hoped',
    mite: 'mites',
    note: 'notes noting noted',
    pine: 'pines',
    plane: 'planes',
    plume: 'plumes',
    rate: 'rates',
    sage: 'sages',
    scare: 'scares scared scaring',
    slime: 'slimes slimed',
    stripe: 'stripes striped',
    tape: 'tapes taped',
    tube: 'tubes',
    twine: 'twines',
    planted: '',
    dime: 'dimes',
    winding: '',
    marbled: '',
    prunes: '',
    topped: '',
  }).flatMap(([word, forms]) =>
    [word, ...forms.split(' ').filter(Boolean)].map((form) => [form, word] as const),
  ),
);

const VOWEL = /[aeiouy]/;
const DOUBLED = /([bdgkmnprt])\1$/;

function withoutSuffix(word: string): string {
  if (word.length > 4 && word.endsWith('ies')) return `${word.slice(0, -3)}y`;
  if (word.length > 4 && /(?:s|x|z|ch|sh)es$/.test(word)) return word.slice(0, -2);
  if (word.length > 3 && word.endsWith('s') && !/[sui]s$/.test(word.slice(-2)))
    return word.slice(0, -1);
  if (word.length > 5 && word.endsWith('ing') && VOWEL.test(word.slice(0, -3))) {
    return word.slice(0, -3).replace(DOUBLED, '$1');
  }
  if (word.length > 4 && word.endsWith('ed') && VOWEL.test(word.slice(0, -2))) {
    return word.slice(0, -2).replace(DOUBLED, '$1');
  }
  return word;
}

function workOut(word: string): string {
  const bare = word.replace(/['’]s$/, '').replace(/['’]/g, '');
  const whole = WHOLE.get(bare);
  if (whole !== undefined) return whole;
  const form = IRREGULAR.get(bare) ?? withoutSuffix(bare);
  const shorter = SAME_AS.get(bare) ?? SAME_AS.get(form) ?? form;
  return shorter.length > 3 && shorter.endsWith('e') ? shorter.slice(0, -1) : shorter;
}

/** Words are said again and again, so that most are worked out once; no more are kept than a long text may hold. */
const KEPT = 20_000;
const known = new Map<string, string>();

/**
 * Folds the forms of a word to one stem: plural, -ing, -ed, a final e, and British spellings of common
 * garden words. The stem is for comparing only; it need not be a word. Input in lower case.
 */
export function stem(word: string): string {
  const found = known.get(word);
  if (found !== undefined) return found;
  const made = workOut(word);
  if (known.size >= KEPT) known.clear();
  known.set(word, made);
  return made;
}

/** Stems of the words of a blank-separated list. */
export function stemSet(words: string): ReadonlySet<string> {
  return new Set(words.split(' ').map(stem));
}
