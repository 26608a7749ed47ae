import { stem } from '../language/stem.ts';
import { wordsIn } from '../language/tokens.ts';
import type { Category, Cause } from '../schema/cause.ts';
import { contentOf, speaksOf } from './sameThing.ts';

/** What may be at work, with its probability, 0 to 1. */
export interface PossibleCause {
  readonly cause: Cause;
  readonly probability: number;
}

/** What a theory is answered with. */
export interface TheoryReply {
  readonly code: 'theory';
  /** The words that name it, as they were said; empty where they name it otherwise. */
  readonly said: string;
  readonly cause: string;
  readonly probability: number;
  /** Nothing is likelier. */
  readonly leads: boolean;
  /** What is likelier, where something is likely enough to be named; null otherwise. */
  readonly rather: string | null;
}

/** Below this the leader is not named without its rivals. */
export const NAMED = 0.5;

/** Ways of saying what the names of causes put otherwise: "did I drown it", "is it thirsty". */
const SENSES: readonly { readonly said: RegExp; readonly names: RegExp }[] = [
  {
    said: /drown|overwater|too much water|water\w* (it |them )?too (much|often)|too wet/i,
    names: /too much water|wet soil|overwater|waterlog|without drainage/i,
  },
  {
    said: /thirst|underwater|(too|enough) (little )?water|water\w* (it |them )?(too little|enough)|too dry/i,
    names: /lack of water|drought|underwater|thirst/i,
  },
  {
    said: /too much (sun|light)|sun ?burn|scorch|too hot/i,
    names: /sunburn|sun scorch|scorch|sunscald/i,
  },
  { said: /weed ?killer|herbicide/i, names: /herbicide|weed ?killer|glyphosate/i },
];

/** The words of a theory that stand in a name of its cause, with "a" before them: "a virus". */
function saidWords(words: string, names: readonly string[]): string {
  const named = new Set(names.flatMap(wordsIn).map(stem));
  const own = wordsIn(words).filter((word) => word.length > 3 && named.has(stem(word)));
  const article = new RegExp(String.raw`\b(an?) ${own[0] ?? ''}`, 'i').exec(words)?.[1];
  return [...(article === undefined ? [] : [article]), ...own].join(' ').toLowerCase();
}

/** Words for whole kinds of trouble: "is that a virus", "some kind of bug". */
const KINDS: readonly { readonly said: RegExp; readonly categories: readonly Category[] }[] = [
  { said: /\bvirus/i, categories: ['virus'] },
  { said: /\bfung(us|al|i)\b/i, categories: ['fungus', 'oomycete'] },
  { said: /\bbacteria/i, categories: ['bacterium'] },
  { said: /\b(bugs?|insects?|pests?)\b/i, categories: ['insect', 'mite'] },
  { said: /\bnematodes?\b/i, categories: ['nematode'] },
];

/** A theory of a whole kind of trouble, by all causes of that kind together; null where no kind is named. */
function kindIn(ranked: readonly PossibleCause[], words: string): TheoryReply | null {
  const kind = KINDS.find(({ said }) => said.test(words));
  if (!kind) return null;
  const isOfKind = ({ cause }: PossibleCause): boolean => kind.categories.includes(cause.category);
  const name = /\b(?:an? )?\w+$/i.exec(words.slice(0, endOf(words, kind.said)))?.[0] ?? words;
  const probability = ranked.filter(isOfKind).reduce((sum, one) => sum + one.probability, 0);
  const [first] = ranked;
  return {
    code: 'theory',
    said: name.toLowerCase(),
    cause: name.toLowerCase(),
    probability,
    leads: first !== undefined && isOfKind(first),
    rather: first && !isOfKind(first) && first.probability >= NAMED ? first.cause.name : null,
  };
}

function endOf(words: string, pattern: RegExp): number {
  const match = pattern.exec(words);
  const end = match ? match.index + match[0].length : words.length;
  return end + (/^\w*/.exec(words.slice(end))?.[0].length ?? 0);
}

/**
 * The answer to what a trouble was taken for, by its sense, the words of the names of causes, or the kind of trouble that
 * it names. Returns null where none is in it. Probabilities are from 0 to 1.
 */
export function theoryIn(ranked: readonly PossibleCause[], words: string): TheoryReply | null {
  const content = contentOf(words);
  const sense = SENSES.find(({ said }) => said.test(words));
  const isMeant = (name: string): boolean => sense?.names.test(name) ?? speaksOf(name, content);
  const meant = ranked.find(({ cause }) => [cause.name, ...cause.aliases].some(isMeant));
  if (!meant) return kindIn(ranked, words);
  const { cause, probability } = meant;
  const [first] = ranked;
  return {
    code: 'theory',
    said: sense ? '' : saidWords(words, [cause.name, ...cause.aliases]),
    cause: cause.name,
    probability,
    leads: meant === first,
    rather: first && meant !== first && first.probability >= NAMED ? first.cause.name : null,
  };
}
