import { fail, ok, type Result } from '../util/result.ts';

/**
 * What a number measures, with the unit that the core counts it in: metres, square metres, litres, kilograms, grams,
 * millimetres of water, minutes, days, weeks, percent, a count, litres an hour, decisiemens a metre, pH, money.
 */
export type Dimension =
  | 'length'
  | 'area'
  | 'volume'
  /** Litres of mulch, soil and the like. */
  | 'loose'
  | 'mass'
  | 'water'
  | 'minutes'
  | 'days'
  | 'weeks'
  | 'percent'
  | 'count'
  | 'flow'
  | 'salinity'
  | 'pH'
  | 'money'
  /** Grams to the square metre. */
  | 'spread'
  /** Millilitres to the litre. */
  | 'dilution';

/** A number that is asked for, with the least and most that make sense, in the unit of its dimension. */
export interface NumberInput {
  readonly kind: 'number';
  readonly dimension: Dimension;
  readonly least: number;
  readonly most: number;
}
/** One of some words. */
export interface ChoiceInput<C extends string = string> {
  readonly kind: 'choice';
  readonly choices: readonly C[];
}
export type Input = NumberInput | ChoiceInput;
export type Inputs = Readonly<Record<string, Input>>;

/** The values of inputs: a number in the unit of its dimension, or the chosen word. */
export type ValuesOf<I extends Inputs> = {
  readonly [K in keyof I]: I[K] extends ChoiceInput<infer C> ? C : number;
};

/** One thing that was worked out: a number, or a span of numbers, in the unit of its dimension. */
export interface Worked {
  readonly id: string;
  readonly from: number;
  readonly to: number;
  readonly dimension: Dimension;
}

/** Why nothing can be worked out. */
export type MeasureFault =
  | { readonly code: 'missing'; readonly input: string }
  | {
      readonly code: 'out-of-range';
      readonly input: string;
      readonly dimension: Dimension;
      readonly least: number;
      readonly most: number;
    }
  | { readonly code: 'no-choice'; readonly input: string; readonly choices: readonly string[] }
  /** One input must be less than another. */
  | { readonly code: 'not-less'; readonly input: string; readonly than: string };

/** A calculator: pure, in SI units. */
export interface Calculator {
  readonly id: string;
  readonly inputs: Inputs;
  /** Fails where a value is missing, out of its range or no choice; never throws. */
  readonly run: (
    values: Readonly<Record<string, number | string>>,
  ) => Result<readonly Worked[], MeasureFault>;
}

/** A number of a dimension between two values in its unit: metres, litres and so on. */
export const number = (dimension: Dimension, least: number, most: number): NumberInput => ({
  kind: 'number',
  dimension,
  least,
  most,
});
/** One of some words; a value that is none of them is an error. */
export const choice = <C extends string>(...choices: readonly C[]): ChoiceInput<C> => ({
  kind: 'choice',
  choices,
});
/** A result that is one number, in the unit of its dimension. */
export const exactly = (id: string, value: number, dimension: Dimension): Worked => ({
  id,
  from: value,
  to: value,
  dimension,
});
/** A result that is a span of numbers, in the unit of its dimension. */
export const between = (id: string, from: number, to: number, dimension: Dimension): Worked => ({
  id,
  from,
  to,
  dimension,
});

function faultOf(name: string, input: Input, value: unknown): MeasureFault | null {
  if (value === undefined || value === '') return { code: 'missing', input: name };
  if (input.kind === 'choice') {
    const { choices } = input;
    return choices.some((one) => one === value)
      ? null
      : { code: 'no-choice', input: name, choices };
  }
  const { dimension, least, most } = input;
  const fits = typeof value === 'number' && value >= least && value <= most;
  return fits ? null : { code: 'out-of-range', input: name, dimension, least, most };
}

/**
 * Makes a calculator of its inputs and its formula. The formula sees only values that are present, in their range and
 * among their choices; it returns what it worked out, or a fault.
 */
export function calculator<const I extends Inputs>(
  id: string,
  inputs: I,
  formula: (values: ValuesOf<I>) => readonly Worked[] | MeasureFault,
): Calculator {
  return {
    id,
    inputs,
    run: (values) => {
      for (const [name, input] of Object.entries(inputs)) {
        const fault = faultOf(name, input, values[name]);
        if (fault) return fail(fault);
      }
      // Every value was checked against its input just above.
      const worked = formula(values as ValuesOf<I>);
      return 'code' in worked ? fail(worked) : ok(worked);
    },
  };
}
