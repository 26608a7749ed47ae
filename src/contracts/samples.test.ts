import { newId } from './ids.ts';
import { sampleNumber } from './samples.ts';

it('numbers a sample by its case and three plain signs, always alike', () => {
  const sample = { id: '7a1e5c0d-0000-4000-8000-0000deadbeef' };
  expect(sampleNumber(482, sample)).toMatch(/^482-[2-9A-HJKMNP-TV-Z]{3}$/);
  expect(sampleNumber(482, sample)).toBe(sampleNumber(482, sample));
});

it('seldom gives two samples of one case the same number', () => {
  const numbers = new Set(Array.from({ length: 200 }, () => sampleNumber(1, { id: newId() })));
  expect(numbers.size).toBeGreaterThan(190);
});
