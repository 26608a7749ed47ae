import type { RequestHandler } from 'express';
import { promisify } from 'node:util';
import { brotliCompress, brotliCompressSync, constants, type BrotliOptions } from 'node:zlib';
import type { Library } from '../../core/schema/library.ts';
import { cachePacked, readCachedPacked } from './libraryCache.ts';

/** Smaller by an eighth than the quick packing; takes some seconds, so it is done beside the server's work and kept. */
const CAREFUL = 11;
/** What is sent until then. */
const QUICK = 5;

const compress = promisify<Buffer, BrotliOptions, Buffer>(brotliCompress);

function packing(library: Library, quality: number): { text: Buffer; options: BrotliOptions } {
  const text = Buffer.from(JSON.stringify(library));
  const params = {
    [constants.BROTLI_PARAM_QUALITY]: quality,
    [constants.BROTLI_PARAM_MODE]: constants.BROTLI_MODE_TEXT,
    [constants.BROTLI_PARAM_SIZE_HINT]: text.length,
  };
  return { text, options: { params } };
}

/** The text that is sent, packed by Brotli as well as it can. */
export function packLibrary(library: Library): Promise<Buffer> {
  const { text, options } = packing(library, CAREFUL);
  return compress(text, options);
}

function packQuickly(library: Library): Buffer {
  const { text, options } = packing(library, QUICK);
  return brotliCompressSync(text, options);
}

/** The packed library: the careful packing once it is there, a quick one until then. */
function packingOf(library: Library): () => Buffer {
  let packed = readCachedPacked(library.version);
  let quick: Buffer | null = null;
  if (!packed)
    packLibrary(library).then(
      (careful) => {
        packed = careful;
        cachePacked(library.version, careful);
      },
      // The quick packing goes on being sent.
      () => undefined,
    );
  return () => packed ?? (quick ??= packQuickly(library));
}

/** Answers with the library, which stays in the browser's cache until its version changes. */
export function sendLibrary(library: Library): RequestHandler {
  const packed = packingOf(library);
  return (request, response) => {
    response.set({
      'cache-control': 'no-cache',
      etag: `W/"${library.version}"`,
      vary: 'accept-encoding',
    });
    if (request.fresh) response.status(304).end();
    else if (request.acceptsEncodings('br') === false) response.json(library);
    else response.set('content-encoding', 'br').type('json').send(packed());
  };
}
