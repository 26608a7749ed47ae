import { resolve } from 'node:path';
import { loadLibrary } from '../../src/server/knowledge/loadLibrary.ts';

const loaded = loadLibrary(resolve('knowledge'));
if (!loaded.ok) throw new Error('the library has faults: run npm run check:knowledge');

/** The library as it ships, compiled. */
export const library = loaded.value;
