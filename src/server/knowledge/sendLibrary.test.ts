import { brotliDecompressSync } from 'node:zlib';
import { resolve } from 'node:path';
import { readCheckedLibrary } from './loadLibrary.ts';
import { packLibrary } from './sendLibrary.ts';

it('packs a library so that it can be unpacked to the same', async () => {
  const read = readCheckedLibrary(resolve('knowledge'));
  if (!read.ok) throw new Error('run npm run check:knowledge');
  const few = { ...read.value, causes: read.value.causes.slice(0, 5), findings: [] };
  const packed = await packLibrary(few);
  expect(JSON.parse(brotliDecompressSync(packed).toString())).toEqual(
    JSON.parse(JSON.stringify(few)),
  );
});
