import { brotliDecompressSync } from 'node:zlib';
import { readMini } from '../../test/miniLibrary.ts';
import { packLibrary } from './sendLibrary.ts';

it('packs a library so that it can be unpacked to the same', async () => {
  const { library } = readMini([], []);
  const packed = await packLibrary(library);
  expect(JSON.parse(brotliDecompressSync(packed).toString())).toEqual(
    JSON.parse(JSON.stringify(library)),
  );
});
