import { createHash, randomBytes } from 'node:crypto';

/** A secret that nobody can guess, for a link. */
export const newToken = (): string => randomBytes(32).toString('base64url');

/** What is kept of a secret. */
export const hashToken = (token: string): string =>
  createHash('sha256').update(token).digest('base64url');
