import { readPlate } from '../../src/core/schema/plate.ts';
import { library } from '../support/wholeLibrary.ts';
import { drawPlate } from '../../src/web/plates/drawPlate.ts';

function draw(text: string) {
  const reading = readPlate(text);
  if (!reading.ok) throw new Error(`${text}: ${reading.error.word}`);
  return drawPlate(reading.value);
}

const plates = [...library.findings.values()].flatMap(({ id, plate }) =>
  plate === undefined || plate === 'none' ? [] : [[id, plate] as const],
);

it('draws the plates of the library inside their frame, give or take a mark on the edge', () => {
  expect(plates.length).toBeGreaterThan(400);
  for (const [id, plate] of plates)
    for (const { d } of draw(plate)) {
      const [x = 50, y = 50] = (d.match(/-?\d+(\.\d+)?/g) ?? []).map(Number);
      expect([id, x > -14 && x < 114, y > -14 && y < 114]).toEqual([id, true, true]);
    }
});
