import type { AssertionStatus } from './assertion.ts';
import type { Request, RequestKind } from './requests.ts';
import { stem, stemSet } from './stem.ts';
import type { Token } from './tokens.ts';

const ASKERS = stemSet(
  'when how should can may must shall could what which where do does is are will',
);
const QUESTION = /^[^\p{L}\p{N}]*\?/u;
/** Who asks about a trouble does not ask how a thing is done. */
const TROUBLE = stemSet(
  'wrong sick sickly ill dying die died dead matter trouble problem disease bug pest kill killed killing save happen happened happening cause identify infested damage damaged hurt ailing unhealthy why',
);

const DEAD = stemSet('dead dying died');
/** What is dead by nature, and taken off: "the dead blooms". */
const SPENT = stemSet(
  'bloom blossom flower head stalk stem wood limb branch frond top foliage growth cane spike',
);

function reportsTroubleAt(tokens: readonly Token[], i: number): boolean {
  const { stem: word = '' } = tokens[i] ?? {};
  return TROUBLE.has(word) && !(DEAD.has(word) && SPENT.has(tokens[i + 1]?.stem ?? ''));
}

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
  tokens.forEach(({ stem: word, sentence, end }, i) => {
    const first = asksFirst(tokens, i) && !OPEN.has(word);
    const opens = OPEN.has(word) && HELPS.has(tokens[i + 1]?.stem ?? '');
    const isLast = tokens[i + 1]?.sentence !== sentence;
    const marked = isLast && QUESTION.test(text.slice(end, end + 4));
    if (first || opens || marked || planned[i] === true) asking.add(sentence);
  });
  return asking;
}

/** Of what is asked for, that which asks how something is done, or whether. */
const OF_DOING: ReadonlySet<RequestKind> = new Set([
  'may-do',
  'how',
  'how-much',
  'when',
  'what-product',
  'replace',
]);

/** "Any tips for leeks", "I'd like to take a cutting": a wish asks without asking. */
const WISHES: readonly (readonly string[])[] = [
  ['any', 'tip'],
  ['any', 'advice'],
  ['any', 'idea'],
  ['some', 'advice'],
  ['tell', 'me'],
  ['advice', 'on'],
  ['advice', 'about'],
  ['help', 'with'],
  ['look', 'for'],
  ['want', 'to'],
  ['would', 'like'],
  ["i'd", 'like'],
  ['i', 'want'],
  ['we', 'want'],
  ['think', 'of'],
  ['think', 'about'],
  ['hope', 'to'],
  ['plan', 'to'],
  ['know', 'how'],
  ['know', 'when'],
  ['wonder', 'how'],
  ['wonder', 'when'],
  ['wonder', 'if'],
  ['trick', 'to'],
].map((words) => words.map(stem));

const wishesAt = (tokens: readonly Token[], i: number): boolean =>
  WISHES.some((words) => words.every((word, k) => tokens[i + k]?.stem === word));

/** Share of the words, from 0 to 1, that stand in sentences that ask or wish; 0 where there are no words. */
export function askedShare(
  text: string,
  tokens: readonly Token[],
  assertion: AssertionStatus,
  requests: readonly Request[],
): number {
  if (tokens.length === 0) return 0;
  const asking = new Set(askingSentences(text, tokens, assertion));
  tokens.forEach(({ sentence, start }, i) => {
    const isAsked = requests.some(({ kind, span }) => OF_DOING.has(kind) && span.start === start);
    if (isAsked || wishesAt(tokens, i)) asking.add(sentence);
  });
  return tokens.filter(({ sentence }) => asking.has(sentence)).length / tokens.length;
}

/**
 * Whether a text only asks how or when something is done ("is the end of September a good time for garlic?"), judged
 * from the sentence forms and the requests in them. True means that the probability of a trouble comes from priors only.
 */
export function asksOnly(
  text: string,
  tokens: readonly Token[],
  { planned }: AssertionStatus,
  requests: readonly Request[],
): boolean {
  if (tokens.some((_, i) => reportsTroubleAt(tokens, i))) return false;
  const opens = tokens.some((_, i) => asksFirst(tokens, i));
  const marked = text.includes('?') || planned.includes(true);
  const wishes = tokens.some((_, i) => wishesAt(tokens, i));
  return opens || marked || wishes || requests.some(({ kind }) => OF_DOING.has(kind));
}
