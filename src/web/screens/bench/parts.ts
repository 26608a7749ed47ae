import { styled } from 'styled-components';

/** The page of one piece of work on the Bench. */
export const Sheet = styled.article`
  display: grid;
  gap: 22px;
  align-content: start;
  padding: 22px 32px 40px;
  background: var(--surface);
  overflow: auto;
  & h1 {
    font-size: 24px;
  }
  & h2 {
    font-size: 14px;
    color: var(--quiet);
  }
`;
/** A sentence with blanks in it. */
export const Sentence = styled.p`
  max-width: 62ch;
  font-size: 19px;
  line-height: 2.1;
`;
/** What the blanks come to. */
export const Comes = styled.div`
  max-width: 62ch;
  padding: 14px 0;
  border-top: 2px solid var(--ink);
  border-bottom: 1px solid var(--hairline);
  font-size: 19px;
  line-height: 1.6;
  & strong {
    font-weight: 600;
    font-variant-numeric: tabular-nums;
  }
`;
/** What a result rests on. */
export const Rests = styled.div`
  max-width: 76ch;
  & p {
    font-size: 15px;
  }
`;
const box = `
  padding: 2px 6px;
  border: 0;
  border-bottom: 2px solid var(--teal);
  border-radius: 3px 3px 0 0;
  background: var(--teal-wash);
  color: var(--ink);
  font: inherit;
  line-height: 1.4;
`;
/** A blank that is filled in. */
export const Blank = styled.input`
  ${box}
  width: ${({ size }) => (size ?? 6) + 1}ch;
  &[aria-invalid='true'] {
    border-bottom-color: var(--ochre);
    background: var(--ochre-wash);
  }
`;
/** A blank that is one of some words. */
export const Choice = styled.select`
  ${box}
`;
/** Why a blank is not understood. */
export const Fault = styled.p`
  color: var(--ochre);
  font-size: 15px;
`;
