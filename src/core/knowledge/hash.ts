const OFFSET_BASIS = 0xcbf29ce484222325n;
const PRIME = 0x100000001b3n;
const MASK = 0xffffffffffffffffn;

/**
 * FNV-1a hash, 64 bit, of the UTF-16 code units of a text, as 16 hex digits (G. Fowler, L. C. Noll,
 * K.-P. Vo, 1991). Marks a version of the library; it is no protection against forgery.
 */
export function hashText(text: string): string {
  let hash = OFFSET_BASIS;
  for (let i = 0; i < text.length; i++) {
    hash = ((hash ^ BigInt(text.charCodeAt(i))) * PRIME) & MASK;
  }
  return hash.toString(16).padStart(16, '0');
}
