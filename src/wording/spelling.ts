/** Spellings of English in which texts can be read; the library and the catalogs are written in that of the United States. */
export const SPELLINGS = ['us', 'gb'] as const;
export type Spelling = (typeof SPELLINGS)[number];

/** Words that are spelled otherwise in Britain, in small letters. A test compares the library with two dictionaries. */
const BRITISH: Readonly<Record<string, string>> = {
  ...{ color: 'colour', colors: 'colours', colored: 'coloured', coloring: 'colouring' },
  ...{ colorless: 'colourless', discolored: 'discoloured', discolor: 'discolour' },
  ...{ favor: 'favour', favors: 'favours', favored: 'favoured', flavor: 'flavour' },
  ...{ neighbor: 'neighbour', neighbors: 'neighbours', neighboring: 'neighbouring' },
  ...{ arbor: 'arbour', armored: 'armoured', harbor: 'harbour', odor: 'odour', tumor: 'tumour' },
  ...{ vapor: 'vapour', vigor: 'vigour', savory: 'savoury', labor: 'labour' },
  ...{ center: 'centre', centers: 'centres', centered: 'centred', fiber: 'fibre' },
  ...{ meter: 'metre', meters: 'metres', centimeter: 'centimetre', centimeters: 'centimetres' },
  ...{ millimeter: 'millimetre', millimeters: 'millimetres' },
  ...{ kilometer: 'kilometre', kilometers: 'kilometres' },
  ...{ liter: 'litre', liters: 'litres', milliliter: 'millilitre', milliliters: 'millilitres' },
  ...{ gray: 'grey', grays: 'greys', grayish: 'greyish', mold: 'mould', molds: 'moulds' },
  ...{ moldy: 'mouldy', molt: 'moult', smolder: 'smoulder', plow: 'plough' },
  ...{ aluminum: 'aluminium', sulfur: 'sulphur', sulfate: 'sulphate', sulfide: 'sulphide' },
  ...{
    catalog: 'catalogue',
    brier: 'briar',
    briers: 'briars',
    edema: 'oedema',
    spirea: 'spiraea',
    spireas: 'spiraeas',
    math: 'maths',
  },
  ...{ defense: 'defence', offense: 'offence', advisor: 'adviser', advisors: 'advisers' },
  ...{ fertilizer: 'fertiliser', fertilizers: 'fertilisers', fertilize: 'fertilise' },
  ...{ galvanized: 'galvanised', organize: 'organise', organization: 'organisation' },
  ...{ recognize: 'recognise', sterilize: 'sterilise', skeletonize: 'skeletonise' },
  ...{ labeled: 'labelled', unlabeled: 'unlabelled', shriveled: 'shrivelled' },
  ...{ tunneled: 'tunnelled', spiraling: 'spiralling', leveling: 'levelling' },
  ...{ traveling: 'travelling', aging: 'ageing', license: 'licence' },
  ...{ draft: 'draught', drafts: 'draughts', drafty: 'draughty' },
};

const ANY_WORD = new RegExp(`\\b(?:${Object.keys(BRITISH).join('|')})\\b`, 'gi');

/** A word written as large as the one that it stands for: "Gray" gives "Grey". */
function asLarge(word: string, as: string): string {
  if (as === as.toUpperCase()) return word.toUpperCase();
  return as.charAt(0) === as.charAt(0).toUpperCase()
    ? word.charAt(0).toUpperCase() + word.slice(1)
    : word;
}

/** A text of the library or the catalogs in a spelling; not for ids, nor for what somebody said. */
export function inSpelling(text: string, spelling: Spelling): string {
  if (spelling === 'us') return text;
  return text.replace(ANY_WORD, (word) => asLarge(BRITISH[word.toLowerCase()] ?? word, word));
}

/** Fields that are no text to read, or the words of somebody. */
const AS_THEY_ARE = new Set([
  'asked',
  'words',
  'bench',
  'plate',
  'version',
  'scientificName',
  'scientific',
]);

/** Ids are small letters joined by hyphens. */
const isText = (value: string): boolean => /[\s\p{Lu}]/u.test(value);

/** A plain value, such as an answer, with all its texts in a spelling; ids and what somebody said stay as they are. */
export function allInSpelling<T>(value: T, spelling: Spelling): T {
  if (spelling === 'us') return value;
  const text = JSON.stringify(value, (key: string, one: unknown) =>
    typeof one === 'string' && !AS_THEY_ARE.has(key) && isText(one)
      ? inSpelling(one, spelling)
      : one,
  );
  return JSON.parse(text) as T;
}
