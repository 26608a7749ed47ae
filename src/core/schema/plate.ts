import { z } from 'zod';
import { fail, ok, type Result } from '../util/result.ts';
import { fieldIssue } from './fieldFault.ts';

/** What is drawn. */
export const FIGURES = [
  'leaf',
  'shoot',
  'needles',
  'bundle',
  'stem',
  'trunk',
  'tree',
  'flower',
  'fruit',
  'root',
  'bulb',
  'turf',
  'ground',
  'creature',
] as const;
/** How it is bent, or what kind of creature it is. */
export const FORMS = [
  'curled',
  'cupped',
  'rolled',
  'twisted',
  'narrow',
  'blade',
  'puckered',
  'wilted',
  'lobed',
  'torn',
  'folded',
  'broken',
  'twos',
  'fives',
  'beetle',
  'bug',
  'caterpillar',
  'grub',
  'fly',
  'hopper',
] as const;
/** Parts of a figure that can have a colour of their own. */
export const REGIONS = [
  'veins',
  'edge',
  'tip',
  'base',
  'half',
  'centre',
  'lower',
  'upper',
] as const;
/** What can be seen on a figure. */
export const MARKS = [
  'spots',
  'rings',
  'angular',
  'streaks',
  'stipple',
  'patches',
  'mines',
  'holes',
  'notches',
  'lace',
  'powder',
  'pustules',
  'webbing',
  'bumps',
  'fluff',
  'threads',
  'drops',
  'soot',
  'galls',
  'cracks',
  'canker',
  'insects',
  'larvae',
  'eggs',
  'exits',
  'frass',
  'crust',
  'bands',
  'mushrooms',
  'brackets',
  'tufts',
  'slime',
  'bags',
  'horns',
  'circling',
  'gnawed',
] as const;
/** Colours by name; the drawing has a tint for each. */
export const COLOURS = [
  'green',
  'dark-green',
  'pale-green',
  'yellow',
  'brown',
  'tan',
  'black',
  'white',
  'gray',
  'orange',
  'red',
  'purple',
  'pink',
  'blue',
  'silver',
  'cream',
  'olive',
  'amber',
] as const;
/** Of a mark: from a pinprick to a thumbnail on a leaf. */
export const SIZES = ['tiny', 'small', 'medium', 'large'] as const;
/** How many marks a figure carries. */
export const AMOUNTS = ['one', 'few', 'some', 'many'] as const;
/** Where on its piece a mark stands. */
export const PLACES = [
  'all-over',
  'at-edge',
  'on-veins',
  'between-veins',
  'at-tip',
  'at-base',
  'on-side',
  'in-middle',
] as const;
/** Of holes in bark. */
export const SHAPES = ['round', 'oval', 'd-shaped'] as const;

export type PlateFigure = (typeof FIGURES)[number];
export type PlateForm = (typeof FORMS)[number];
export type PlateRegion = (typeof REGIONS)[number];
export type PlateColour = (typeof COLOURS)[number];
export type PlatePlace = (typeof PLACES)[number];

/** Something on the figure: spots, holes, powder, insects. */
export interface PlateMark {
  readonly kind: (typeof MARKS)[number];
  readonly colour?: PlateColour;
  /** Colour round it: a halo or a rim. */
  readonly rim?: PlateColour;
  readonly size: (typeof SIZES)[number];
  readonly amount: (typeof AMOUNTS)[number];
  readonly place: PlatePlace;
  readonly shape: (typeof SHAPES)[number];
}

/** Parameters from which the plate of a finding is drawn. */
export interface Plate {
  readonly figure: PlateFigure;
  readonly form?: PlateForm;
  readonly colour?: PlateColour;
  readonly regions: readonly { readonly region: PlateRegion; readonly colour: PlateColour }[];
  readonly marks: readonly PlateMark[];
}

/** A word that cannot stand where it stands, and those that could. */
export interface UnreadableWord {
  readonly word: string;
  readonly expected: readonly string[];
}

type Reading = Result<Plate, UnreadableWord>;

const oneOf = <T extends string>(list: readonly T[], word: string): T | undefined =>
  list.find((one) => one === word);

const MARK_WORDS: readonly string[] = [...COLOURS, ...SIZES, ...AMOUNTS, ...PLACES, ...SHAPES];

function readMark(kind: PlateMark['kind'], words: readonly string[]): PlateMark {
  const [colour, rim] = words.flatMap((word) => oneOf(COLOURS, word) ?? []);
  const pick = <T extends string>(list: readonly T[], otherwise: T): T =>
    words.map((word) => oneOf(list, word)).find((word) => word !== undefined) ?? otherwise;
  return {
    kind,
    ...(colour && { colour }),
    ...(rim && { rim }),
    size: pick(SIZES, 'small'),
    amount: pick(AMOUNTS, 'some'),
    place: pick(PLACES, 'all-over'),
    shape: pick(SHAPES, 'round'),
  };
}

function readClause(plate: Plate, clause: string): Reading {
  const [head = '', ...rest] = clause.split(/\s+/);
  const region = oneOf(REGIONS, head);
  if (region) {
    const colour = oneOf(COLOURS, rest.join(' '));
    return colour
      ? ok({ ...plate, regions: [...plate.regions, { region, colour }] })
      : fail({ word: rest.join(' '), expected: COLOURS });
  }
  const kind = oneOf(MARKS, head);
  if (kind) {
    const unknown = rest.find((word) => !MARK_WORDS.includes(word));
    return unknown === undefined
      ? ok({ ...plate, marks: [...plate.marks, readMark(kind, rest)] })
      : fail({ word: unknown, expected: MARK_WORDS });
  }
  const [form, colour] = [oneOf(FORMS, clause), oneOf(COLOURS, clause)];
  return (form ?? colour)
    ? ok({ ...plate, ...(form && { form }), ...(colour && { colour }) })
    : fail({ word: clause, expected: [...REGIONS, ...MARKS, ...FORMS, ...COLOURS] });
}

/**
 * Reads the parameters of a plate: the figure first, then what is seen on it, separated by commas, as in `leaf,
 * yellow, veins green, spots black yellow small many at-edge`. A second colour of a mark is its rim. An invalid word
 * gives an error that lists the valid ones.
 */
export function readPlate(text: string): Reading {
  const [first = '', ...clauses] = text.split(',').map((clause) => clause.trim());
  const figure = oneOf(FIGURES, first);
  if (!figure) return fail({ word: first, expected: FIGURES });
  let plate: Plate = { figure, regions: [], marks: [] };
  for (const clause of clauses) {
    const reading = readClause(plate, clause);
    if (!reading.ok) return reading;
    plate = reading.value;
  }
  return ok(plate);
}

/** Text of a plate in the library, checked; `none` where words say it all. */
export const plateSchema = z.string().superRefine((text, context) => {
  const reading = text === 'none' ? null : readPlate(text);
  if (reading?.ok === false)
    context.addIssue(
      fieldIssue({
        code: 'plate-word',
        word: reading.error.word,
        expected: [...reading.error.expected],
      }),
    );
});

/** The plate on a plant whose leaves are like blades: a leaf that is flat and of no form is drawn as one. */
export function onNarrowLeaf(plate: string): string {
  const reading = readPlate(plate);
  const isFlatLeaf =
    reading.ok && reading.value.figure === 'leaf' && reading.value.form === undefined;
  return isFlatLeaf ? plate.replace(/^leaf(?=,|$)/, 'leaf, blade') : plate;
}
