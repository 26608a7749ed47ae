import type { Span } from './tokens.ts';

const QUOTED = /^\s*[>|]/;
const QUOTES_FOLLOW = /^\s*on\b.{3,120}\bwrote:\s*$/i;
const REST_IS_OLD = /^\s*[-_]{2,}\s*(original|forwarded) message/i;
const HEADER = /^\s*(from|to|cc|bcc|sent|date):\s/i;
const SIGNATURE = /^\s*--\s*$/;
const SENT_FROM = /^\s*(sent|get) (from|outlook for)\b.{0,60}$/i;
const GREETING = /^\s*(hi|hello|hey|dear|good (morning|afternoon|evening))\b.{0,36}[,!.]?\s*$/i;
const CLOSING =
  /^\s*(many |kind |best |warm )?(thanks|thank you|regards|wishes|best|sincerely|cheers|yours( truly)?)[,!. ]*$/i;
/** A name, a town and a telephone number at most stand below a closing. */
const LINES_BELOW_CLOSING = 5;

/** Where names, telephone numbers and addresses stand inside a line. */
const PERSONAL: readonly RegExp[] = [
  /[\w.+-]{1,64}@[\w-]{1,64}(?:\.[\w-]{1,24}){1,4}/g,
  /\+?\(?\d{1,4}\)?(?:[ .-]\d{2,5}){2,5}\b/g,
  /\b\d{1,5}(?: [A-Z][a-z]{1,20}){1,3} (?:Street|St|Road|Rd|Avenue|Ave|Lane|Ln|Drive|Dr|Court|Ct|Way|Boulevard|Blvd)\b\.?/g,
  /\bmy name is [A-Z][a-z]{1,20}(?: [A-Z][a-z]{1,20})?/gi,
  /\b[Tt]his is [A-Z][a-z]{1,20}(?: [A-Z][a-z]{1,20})? (?=(?:calling|from|in|here|over)\b)/g,
];
/** Longer lines are searched for names only so far, so that no paste can stall the page. */
const MAX_LINE = 2000;

interface Line extends Span {
  readonly text: string;
}

function linesOf(text: string): readonly Line[] {
  let start = 0;
  return text.split('\n').map((line) => {
    const here = { start, end: start + line.length, text: line };
    start += line.length + 1;
    return here;
  });
}

/** Number of the first line that belongs to the signature or to an older message; all lines when there is none. */
function whereTheLetterEnds(lines: readonly Line[]): number {
  const marked = lines.findIndex(({ text }) => SIGNATURE.test(text) || REST_IS_OLD.test(text));
  const end = marked === -1 ? lines.length : marked;
  let below = 0;
  for (let i = end - 1; i >= 0 && below <= LINES_BELOW_CLOSING; i--) {
    const text = lines[i]?.text ?? '';
    if (CLOSING.test(text)) return i;
    if (text.trim() !== '') below++;
  }
  return end;
}

const hasNoContent = ({ text }: Line): boolean =>
  [QUOTED, QUOTES_FOLLOW, HEADER, SENT_FROM, GREETING].some((pattern) => pattern.test(text));

/**
 * Spans of a pasted letter or thread that say nothing about the plant: quoted lines, headers, greeting, signature,
 * names, telephone numbers, addresses. Half-open intervals of UTF-16 characters, 0-indexed, in text order; they may
 * touch but do not overlap. Time is linear in the number of characters.
 */
export function boilerplateSpans(text: string): readonly Span[] {
  const lines = linesOf(text);
  const end = whereTheLetterEnds(lines);
  return lines.flatMap((line, i): readonly Span[] => {
    if (i >= end || hasNoContent(line)) return [{ start: line.start, end: line.end }];
    const searched = line.text.slice(0, MAX_LINE);
    const found = PERSONAL.flatMap((pattern) =>
      [...searched.matchAll(pattern)].map(({ index, 0: words }) => ({
        start: line.start + index,
        end: line.start + index + words.length,
      })),
    );
    return withoutOverlaps(found);
  });
}

/** A text without what {@link boilerplateSpans} leaves out, each stretch of blanks as one. */
export function withoutBoilerplate(text: string): string {
  let [at, heard] = [0, ''];
  for (const { start, end } of boilerplateSpans(text)) {
    heard += text.slice(at, start);
    at = end;
  }
  return (heard + text.slice(at)).replace(/\s+/g, ' ').trim();
}

function withoutOverlaps(spans: readonly Span[]): readonly Span[] {
  const kept: Span[] = [];
  for (const span of [...spans].sort((a, b) => a.start - b.start || b.end - a.end))
    if (span.start >= (kept.at(-1)?.end ?? 0)) kept.push(span);
  return kept;
}
