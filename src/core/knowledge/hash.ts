/** FNV-1a, 32 bits (G. Fowler, L. C. Noll, K.-P. Vo, 1991); the second half starts from another basis. */
const PRIME = 0x01000193;
const BASES = [0x811c9dc5, 0x9e3779b9] as const;

/**
 * A 64-bit hash of a text as 16 hexadecimal digits. It distinguishes versions; it does not protect against forged
 * texts. Accepts any string, invalid surrogates included.
 */
export function hashText(text: string): string {
  return BASES.map((basis) => {
    let hash: number = basis;
    for (let i = 0; i < text.length; i++) hash = Math.imul(hash ^ text.charCodeAt(i), PRIME);
    return (hash >>> 0).toString(16).padStart(8, '0');
  }).join('');
}
