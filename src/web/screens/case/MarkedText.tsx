import { caseTexts } from '../../texts/caseTexts.ts';
import { useLayoutEffect, useRef, useState, type CompositionEvent } from 'react';
import { TextArea, TextField } from 'react-aria-components';
import { styled } from 'styled-components';
import { storableText } from '../../../contracts/storableText.ts';
import { typedEdit, type TextEdits } from '../../../contracts/textEdits.ts';
import { CharactersLeft } from '../../kit/fields.tsx';
import { placeThrough } from '../../store/cases/arrivals.ts';
import type { Typing } from '../../store/cases/changes.ts';

/** A stretch of the text that was understood, and how. */
export interface Mark {
  readonly start: number;
  readonly end: number;
  readonly tone: 'said' | 'denied' | 'doubted' | 'plant' | 'value';
}

const Frame = styled.div`
  position: relative;
  border: 1px solid var(--hairline);
  border-radius: 3px;
  background: var(--surface);
  &:focus-within {
    border-color: var(--teal);
    box-shadow: inset 0 0 0 1px var(--teal);
  }
  & > div,
  & textarea {
    font: 16px/1.55 var(--sans);
    letter-spacing: normal;
    padding: 8px 10px;
    white-space: pre-wrap;
    overflow-wrap: break-word;
    height: 210px;
    @media (max-width: 640px) {
      height: 140px;
    }
    width: 100%;
    border: 0;
    margin: 0;
    display: block;
  }
`;
const Behind = styled.div`
  position: absolute;
  inset: 0;
  overflow: hidden;
  color: transparent;
  pointer-events: none;
  & mark {
    color: transparent;
    background: var(--teal-wash);
    border-bottom: 2px solid var(--teal);
  }
  & mark[data-tone='denied'] {
    background: transparent;
    border-bottom: 2px dashed var(--quiet);
  }
  & mark[data-tone='doubted'] {
    background: transparent;
    border-bottom: 2px dotted var(--teal);
  }
  & mark[data-tone='value'] {
    background: transparent;
    border-bottom: 1px solid var(--ink);
  }
  & mark[data-tone='plant'] {
    background: var(--ochre-wash);
    border-bottom: 2px solid var(--ochre);
  }
`;
const Typing = styled(TextArea)`
  position: relative;
  resize: none;
  background: transparent;
  color: var(--ink);
  overflow: auto;
  outline: none;
`;

/** Cuts the text at the marks; where marks overlap the earlier one keeps its part and the later one has the rest. */
function pieces(
  text: string,
  marks: readonly Mark[],
): { text: string; tone: Mark['tone'] | null }[] {
  const out: { text: string; tone: Mark['tone'] | null }[] = [];
  let at = 0;
  for (const { start: first, end, tone } of [...marks].sort((a, b) => a.start - b.start)) {
    const start = Math.max(first, at);
    if (end <= start || end > text.length) continue;
    out.push({ text: text.slice(at, start), tone: null }, { text: text.slice(start, end), tone });
    at = end;
  }
  out.push({ text: text.slice(at), tone: null });
  return out;
}

/** What led from one text to another, step by step. */
type EditsBetween = (before: string, after: string) => readonly TextEdits[];

interface MarkedTextProps {
  readonly label: string;
  readonly value: string;
  readonly marks: readonly Mark[];
  /** Most characters. */
  readonly max: number;
  readonly onType: (typing: Omit<Typing, 'plantId'>) => void;
  readonly editsBetween: EditsBetween;
}

/** What the box shows and where in it somebody is writing. */
interface Drawn {
  readonly value: string;
  /** End of the last insertion of this page; null when there was none. */
  readonly writtenTo: number | null;
}

/** A selection keeps the words that it holds, and takes in none that arrive at its ends. */
function selectionThrough(
  steps: readonly TextEdits[],
  start: number,
  end: number,
): [start: number, end: number] {
  const to = placeThrough(steps, end, 'before');
  return [start === end ? to : Math.min(to, placeThrough(steps, start, 'behind')), to];
}

/** Keeps the caret between the same words, and knows whether somebody goes on writing, when words of others arrive. */
function useSteadyCaret(value: string, editsBetween: EditsBetween) {
  const box = useRef<HTMLTextAreaElement>(null);
  const drawn = useRef<Drawn>({ value, writtenTo: null });
  // As they stand before this drawing: setting a value moves the caret to the end.
  const { selectionStart, selectionEnd } = box.current ?? { selectionStart: 0, selectionEnd: 0 };
  useLayoutEffect(() => {
    const { value: before, writtenTo } = drawn.current;
    if (before === value) return;
    // Who has only gone to the end means the end; who is writing there, or has words selected, does not.
    const isAtEnd =
      selectionStart === before.length &&
      selectionEnd === before.length &&
      writtenTo !== selectionStart;
    const steps = editsBetween(before, value);
    drawn.current = {
      value,
      writtenTo: writtenTo === null ? null : placeThrough(steps, writtenTo, 'before'),
    };
    if (!box.current || document.activeElement !== box.current) return;
    if (isAtEnd) box.current.setSelectionRange(value.length, value.length);
    else box.current.setSelectionRange(...selectionThrough(steps, selectionStart, selectionEnd));
    // Only a new value moves the caret.
  }, [value]);
  useLayoutEffect(() => {
    // Who opens a case goes on behind what is there.
    box.current?.setSelectionRange(box.current.value.length, box.current.value.length);
  }, []);
  /** Takes in what this page typed itself, and tells whether it goes on from the last insertion. */
  const write = (before: string, after: string): Omit<Typing, 'plantId'> => {
    const edits = typedEdit(before, after, box.current?.selectionStart ?? after.length);
    const [edit] = edits;
    if (!edit) return { before, edits, continues: false };
    const continues = edit.remove === '' && edit.at === drawn.current.writtenTo;
    drawn.current = { value: after, writtenTo: edit.at + edit.insert.length };
    return { before, edits, continues };
  };
  return { box, write };
}

/** Words that an input method is putting together; they count when it is done. */
interface Composing {
  readonly before: string;
  readonly text: string;
}

/** A text box that shows under the words which of them were understood. */
export function MarkedText({ label, value, marks, max, onType, editsBetween }: MarkedTextProps) {
  const behind = useRef<HTMLDivElement>(null);
  const { box, write } = useSteadyCaret(value, editsBetween);
  const [composing, setComposing] = useState<Composing | null>(null);
  const typed = (before: string, after: string): void => onType(write(before, storableText(after)));
  const type = (after: string): void => {
    if (composing) setComposing({ ...composing, text: after });
    else typed(value, after);
  };
  const compose = ({ currentTarget }: CompositionEvent<HTMLTextAreaElement>): void => {
    if (composing) typed(composing.before, currentTarget.value);
    setComposing(null);
  };
  return (
    <TextField aria-label={label} value={composing?.text ?? value} onChange={type} autoFocus>
      <Frame>
        <Behind ref={behind} aria-hidden>
          {pieces(value, marks).map((piece, i) =>
            piece.tone ? (
              <mark key={i} data-tone={piece.tone}>
                {piece.text}
              </mark>
            ) : (
              <span key={i}>{piece.text}</span>
            ),
          )}
        </Behind>
        <Typing
          id="words"
          ref={box}
          maxLength={max}
          onCompositionStart={() => setComposing({ before: value, text: value })}
          onCompositionEnd={compose}
          placeholder={caseTexts.wordsPlaceholder}
          spellCheck={false}
          onScroll={(event) => {
            if (behind.current) behind.current.scrollTop = event.currentTarget.scrollTop;
          }}
        />
      </Frame>
      <CharactersLeft used={value.length} max={max} />
    </TextField>
  );
}
