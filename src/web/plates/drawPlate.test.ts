import {
  AMOUNTS,
  COLOURS,
  FIGURES,
  FORMS,
  MARKS,
  PLACES,
  readPlate,
  REGIONS,
  SIZES,
} from '../../core/schema/plate.ts';
import { drawPlate } from './drawPlate.ts';

function draw(text: string) {
  const reading = readPlate(text);
  if (!reading.ok) throw new Error(`${text}: ${reading.error.word}`);
  return drawPlate(reading.value);
}

const sound = (text: string): boolean =>
  draw(text).every(({ d }) => !/NaN|Infinity|undefined/.test(d));

it.each(FIGURES)('draws a %s in every form, with every mark and in every place', (figure) => {
  const plain = draw(figure).length;
  expect(plain).toBeGreaterThan(0);
  expect(FORMS.filter((form) => !sound(`${figure}, ${form}`))).toEqual([]);
  const marks = MARKS.map((mark) => `${figure}, ${mark} few`);
  expect(marks.filter((text) => !sound(text) || draw(text).length <= plain)).toEqual([]);
  expect(PLACES.filter((place) => !sound(`${figure}, patches few ${place}`))).toEqual([]);
});

it('shows every word of a plate', () => {
  for (const region of REGIONS.filter((one) => one !== 'centre'))
    expect(draw(`shoot, ${region} purple`)).not.toEqual(draw('shoot'));
  expect(draw('flower, centre purple')).not.toEqual(draw('flower'));
  for (const colour of COLOURS.filter((one) => one !== 'green'))
    expect(draw(`leaf, ${colour}`)).not.toEqual(draw('leaf'));
  const sizes = SIZES.map((size) => JSON.stringify(draw(`leaf, spots ${size}`)));
  expect(new Set(sizes).size).toBe(SIZES.length);
  const counts = AMOUNTS.map((amount) => draw(`leaf, spots ${amount}`).length);
  expect([...counts].sort((a, b) => a - b)).toEqual(counts);
});

it('draws the same plate the same way each time', () => {
  const text = 'leaf, powder medium many, mines few, webbing some';
  expect(draw(text)).toEqual(draw(text));
});
