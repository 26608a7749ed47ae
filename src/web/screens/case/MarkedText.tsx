import { useRef } from 'react';
import { TextArea, TextField } from 'react-aria-components';
import { styled } from 'styled-components';

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

interface MarkedTextProps {
  readonly label: string;
  readonly value: string;
  readonly marks: readonly Mark[];
  readonly onChange: (value: string) => void;
}

/** A text box that shows under the words which of them were understood. */
export function MarkedText({ label, value, marks, onChange }: MarkedTextProps) {
  const behind = useRef<HTMLDivElement>(null);
  return (
    <TextField aria-label={label} value={value} onChange={onChange} autoFocus>
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
          placeholder="Type what the caller says, in their words."
          spellCheck={false}
          onScroll={(event) => {
            if (behind.current) behind.current.scrollTop = event.currentTarget.scrollTop;
          }}
        />
      </Frame>
    </TextField>
  );
}
