/** Words and events of which the run keeps account. */
export class Ledger {
  /** Case of every word that was typed; each word is typed once. */
  readonly typed = new Map<string, string>();
  /** Case of every event that was acknowledged to its sender, by its id. */
  readonly acknowledged = new Map<string, string>();
  #next = 0;

  /** A word that nobody has typed yet, for a case; none is the beginning of another. */
  word(caseId: string): string {
    const word = `w${String(this.#next++).padStart(5, '0')}z`;
    this.typed.set(word, caseId);
    return word;
  }

  /** Words that are typed together are one word only when all of it was typed. */
  forget(word: string): void {
    this.typed.delete(word);
  }
}

/** Waits, in milliseconds. */
export const pause = (ms: number): Promise<void> =>
  new Promise((resolve) => setTimeout(resolve, ms));

/** Tries until it works or the time is over; then throws what went wrong last. */
export async function untilDone<T>(work: () => Promise<T>, limitMs: number): Promise<T> {
  const begun = Date.now();
  for (;;) {
    try {
      return await work();
    } catch (error) {
      if (Date.now() - begun > limitMs) throw error;
      await pause(150);
    }
  }
}
