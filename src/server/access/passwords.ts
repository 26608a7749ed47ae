import { hash, verify } from '@node-rs/argon2';

/** Argon2id with 19 MiB, two passes and one lane: the least that OWASP's Password Storage Cheat Sheet (2023) names. */
const COST = { memoryCost: 19_456, timeCost: 2, parallelism: 1 };

/** The hash of a password, with its salt and its cost. */
export function hashPassword(password: string): Promise<string> {
  return hash(password, COST);
}

let nobody: Promise<string> | null = null;

/** Whether a password is the one of a hash. Without a hash it takes as long and is never the one. */
export async function isPassword(kept: string | null, password: string): Promise<boolean> {
  nobody ??= hashPassword('nobody has this one');
  const fits = await verify(kept ?? (await nobody), password);
  return kept !== null && fits;
}
