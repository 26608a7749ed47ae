import type { Stance } from './stance.ts';
import { stemSet } from './stem.ts';
import type { Token } from './tokens.ts';

const ASKERS = stemSet(
  'when how should can may must shall could what which where do does is are will',
);
const QUESTION = /^[^\p{L}\p{N}]*\?/u;
/** Who asks about a trouble does not ask how a thing is done. */
const TROUBLE = stemSet(
  'wrong sick sickly ill dying die died dead matter trouble problem disease bug pest kill killed killing save happen happened happening cause identify infested damage damaged hurt ailing unhealthy why',
);

/** Numbers of the sentences that ask: by a word for asking, or by their mark. */
export function askingSentences(text: string, tokens: readonly Token[]): ReadonlySet<number> {
  const asking = new Set<number>();
  tokens.forEach(({ stem, sentence, end }, i) => {
    const isLast = tokens[i + 1]?.sentence !== sentence;
    if (ASKERS.has(stem) || (isLast && QUESTION.test(text.slice(end, end + 4))))
      asking.add(sentence);
  });
  return asking;
}

/**
 * Whether a text asks how or when a thing is done, and names no trouble: "is the end of September a good time for
 * garlic?". What was heard of the plant is not looked at.
 */
export function asksOnly(text: string, tokens: readonly Token[], { planned }: Stance): boolean {
  if (tokens.some(({ stem }) => TROUBLE.has(stem))) return false;
  const opens = tokens.some(
    ({ stem, sentence }, i) => ASKERS.has(stem) && tokens[i - 1]?.sentence !== sentence,
  );
  return opens || text.includes('?') || planned.includes(true);
}
