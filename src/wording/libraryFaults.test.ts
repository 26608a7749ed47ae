import { faultText, issueLine } from './libraryFaults.ts';

it('says what to do about a fault of an entry', () => {
  expect(faultText({ code: 'unknown-id', id: 'moss', section: 'plants' })).toBe(
    '"moss" is not among the plants',
  );
  expect(faultText({ code: 'too-few-findings', least: 3 })).toBe('name at least 3 findings');
});

it('gives how alike two causes are in percent', () => {
  const alike = { code: 'too-alike', other: 'rust', plant: 'fern', alike: 0.956, most: 0.93 };
  expect(faultText({ ...alike, code: 'too-alike' })).toBe(
    'is 96 % alike to rust on fern; at most 93 % may be',
  );
});

it('names file, entry and field before the fault', () => {
  const at = { file: 'causes/rust.yaml', id: 'rust', field: 'hosts' };
  expect(issueLine({ ...at, fault: { code: 'no-host' } })).toBe(
    'causes/rust.yaml: rust: hosts: name at least one host',
  );
});
