import type { RequestHandler } from 'express';
import { promisify } from 'node:util';
import { brotliCompress, brotliCompressSync, constants, type BrotliOptions } from 'node:zlib';
import type { Library } from '../../core/knowledge/schema/library.ts';
import { keepPacked, readKeptPacked } from './keptLibrary.ts';

/** Smaller by an eighth than the quick packing; takes some seconds, so it is done beside the server's work and kept. */
const CAREFUL = 11;
/** What is sent until then. */
const QUICK = 5;

const compress = promisify<Buffer, BrotliOptions, Buffer>(brotliCompress);

const textOf = (library: Library): Buffer => Buffer.from(JSON.stringify(library));

function options(text: Buffer, quality: number): BrotliOptions {
  return {
    params: {
      [constants.BROTLI_PARAM_QUALITY]: quality,
      [constants.BROTLI_PARAM_MODE]: constants.BROTLI_MODE_TEXT,
      [constants.BROTLI_PARAM_SIZE_HINT]: text.length,
    },
  };
}

/** The text that is sent, packed by Brotli as well as it can. */
export function packLibrary(library: Library): Promise<Buffer> {
  const text = textOf(library);
  return compress(text, options(text, CAREFUL));
}

/** The packed library: the careful packing once it is there, a quick one until then. */
function packingOf(library: Library): () => Buffer {
  let packed = readKeptPacked(library.version);
  let quick: Buffer | null = null;
  if (!packed)
    packLibrary(library).then(
      (careful) => {
        packed = careful;
        keepPacked(library.version, careful);
      },
      // The quick packing goes on being sent.
      () => undefined,
    );
  return () => {
    if (packed) return packed;
    const text = textOf(library);
    quick ??= brotliCompressSync(text, options(text, QUICK));
    return quick;
  };
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
