import type { RequestHandler, Response } from 'express';
import helmet from 'helmet';
import { randomBytes } from 'node:crypto';
import type { ServerResponse } from 'node:http';

/** Stands in the built page wherever the nonce of a sending belongs. */
export const NONCE_MARK = 'NONCE-OF-THE-PAGE';

const HALF_A_YEAR_SECONDS = 15_552_000;
const nonces = new WeakMap<ServerResponse, string>();

/** The nonce of a response, the same however often it is asked. */
export function nonceOf(response: Response | ServerResponse): string {
  const known = nonces.get(response);
  if (known !== undefined) return known;
  const made = randomBytes(16).toString('base64');
  nonces.set(response, made);
  return made;
}

/** The headers that keep a page to its own files: no script, sheet, frame or form but ours. */
export function policy(): RequestHandler {
  return helmet({
    contentSecurityPolicy: {
      useDefaults: false,
      directives: {
        'default-src': ["'none'"],
        'script-src': ["'self'"],
        'style-src': ["'self'", (_request, response) => `'nonce-${nonceOf(response)}'`],
        'img-src': ["'self'"],
        'font-src': ["'self'"],
        'connect-src': ["'self'"],
        'worker-src': ["'self'"],
        'manifest-src': ["'self'"],
        'base-uri': ["'none'"],
        'form-action': ["'self'"],
        'frame-ancestors': ["'none'"],
      },
    },
    // Browsers heed it where the page came by HTTPS.
    strictTransportSecurity: { maxAge: HALF_A_YEAR_SECONDS, includeSubDomains: false },
    referrerPolicy: { policy: 'no-referrer' },
    // On a plain address of a clinic's own network browsers only warn of these.
    crossOriginOpenerPolicy: false,
    originAgentCluster: false,
  });
}
