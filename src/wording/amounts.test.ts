import { sizeText } from './amounts.ts';

const span = { start: 0, end: 1 };

it.each([
  [{ kind: 'height', metres: 9.144 }, '9.1 m (30 ft) tall'],
  [{ kind: 'height', metres: 0.4 }, '40 cm (16 in) tall'],
  [{ kind: 'trunk', metres: 0.038 }, 'Trunk 3.8 cm (1.5 in) thick'],
  [{ kind: 'pot', metres: 0.1524 }, 'Pot 15 cm (6 in) wide'],
  [{ kind: 'pot-volume', litres: 18.93 }, 'Pot of 19 L (5 gal)'],
  [{ kind: 'area', squareMetres: 2023 }, '2023 m² (21776 sq ft)'],
  [{ kind: 'count', number: 5 }, '5 plants'],
] as const)('words %o', (size, text) => {
  expect(sizeText({ ...size, span })).toBe(text);
});
