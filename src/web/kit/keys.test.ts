import { nameOfKey } from './keys.ts';

it.each([
  [{ key: 'N', code: 'KeyN', altKey: false }, 'n'],
  [{ key: '?', code: 'Slash', altKey: false }, '?'],
  [{ key: 'ü', code: 'KeyY', altKey: true }, 'alt+y'],
  [{ key: '1', code: 'Digit1', altKey: true }, 'alt+1'],
])('names %j', (event, name) => {
  expect(nameOfKey(event)).toBe(name);
});
