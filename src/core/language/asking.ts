import type { AssertionStatus } from './assertion.ts';
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

/** After "when" and "how" these ask; what else follows is about a time: "when cut". */
const HELPS = stemSet(
  'do does did should can could may might will would is are to soon far much many often long deep',
);
const OPEN = new Set(['when', 'how']);

/** Whether a word is the first of its sentence and asks. */
const asksFirst = (tokens: readonly Token[], i: number): boolean =>
  ASKERS.has(tokens[i]?.stem ?? '') && tokens[i - 1]?.sentence !== tokens[i]?.sentence;

/** Numbers of the sentences that ask: by their first word, by "when should", by what is planned, or by their mark. */
export function askingSentences(
  text: string,
  tokens: readonly Token[],
  { planned }: AssertionStatus,
): ReadonlySet<number> {
  const asking = new Set<number>();
  tokens.forEach(({ stem, sentence, end }, i) => {
    const first = asksFirst(tokens, i) && !OPEN.has(stem);
    const opens = OPEN.has(stem) && HELPS.has(tokens[i + 1]?.stem ?? '');
    const isLast = tokens[i + 1]?.sentence !== sentence;
    const marked = isLast && QUESTION.test(text.slice(end, end + 4));
    if (first || opens || marked || planned[i] === true) asking.add(sentence);
  });
  return asking;
}

/**
 * Whether a text only asks how or when something is done ("is the end of September a good time for garlic?"), judged
 * from the sentence forms alone. True means that the probability of a trouble comes from priors only.
 */
export function asksOnly(
  text: string,
  tokens: readonly Token[],
  { planned }: AssertionStatus,
): boolean {
  if (tokens.some(({ stem }) => TROUBLE.has(stem))) return false;
  const opens = tokens.some((_, i) => asksFirst(tokens, i));
  return opens || text.includes('?') || planned.includes(true);
}
