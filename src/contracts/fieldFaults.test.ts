import { z } from 'zod';
import { problemFrom } from './problem.ts';
import { faultText } from '../wording/libraryFaults.ts';
import { REFERENCE_PLACE } from '../test/miniLibrary.ts';
import { findingIdSchema, wordOf } from '../core/schema/common.ts';
import { fieldFaultOf } from '../core/schema/fieldFault.ts';
import { placeSchema } from '../core/schema/place.ts';
import { plateSchema } from '../core/schema/plate.ts';
import { windowSchema } from '../core/schema/window.ts';

/** The words for what is wrong with a value. */
function faultOf(schema: z.ZodType, value: unknown): string | null {
  const [issue] = schema.safeParse(value).error?.issues ?? [];
  const fault = issue && fieldFaultOf(issue);
  return fault ? faultText(fault) : null;
}

it.each([
  [windowSchema, 'May', /^"May" is no window: write any, .*05-20\.\.06-10/],
  [wordOf({ low: 1, high: 2 }), 'some', /^one of: low, high$/],
  [plateSchema, 'leaf, blu', /^"blu" cannot stand here; use one of: /],
  [findingIdSchema, 'Leaf rust', /^an id is lower-case words/],
  [
    placeSchema,
    { ...REFERENCE_PLACE, minCelsius: REFERENCE_PLACE.maxCelsius },
    /^each monthly minimum is below/,
  ],
])('says what may stand in a field', (schema: z.ZodType, value, text) => {
  expect(faultOf(schema, value)).toMatch(text);
});

it("leaves an issue of Zod's own alone", () => {
  expect(faultOf(z.number(), 'three')).toBeNull();
});

it('is worded for a request too', () => {
  const { error } = z.object({ plant: findingIdSchema }).safeParse({ plant: 'Field maple' });
  if (!error) throw new Error('a label is no id');
  const { field, message } = problemFrom(error);
  expect(field).toBe('plant');
  expect(message).toMatch(/^an id is lower-case words/);
});
