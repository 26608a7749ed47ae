import { styled } from 'styled-components';

/** A year from left to right, twelve equal parts. */
export const TimelineRow = styled.div`
  position: relative;
  height: 30px;
  background-image: repeating-linear-gradient(
    to right,
    var(--hairline) 0 1px,
    transparent 1px calc(100% / 12)
  );
`;
/** The names of twelve months over lanes. */
export const MonthNames = styled.div`
  display: grid;
  grid-template-columns: repeat(12, minmax(0, 1fr));
  /* Where a month is narrower than its name, its first letters stand for it. */
  & > * {
    overflow: hidden;
  }
  font-size: 13px;
  color: var(--quiet);
`;
/** When something is open: solid for a trouble, hatched for what is done about it. */
export const Span = styled.span`
  position: absolute;
  top: 9px;
  height: 12px;
  border: 1px solid var(--ink);
  background: var(--ink);
  &[data-kind='plant'] {
    border-width: 2px;
    background: var(--surface);
  }
  &[data-kind='step'] {
    border-color: var(--teal);
    background: repeating-linear-gradient(115deg, var(--teal) 0 3px, var(--teal-wash) 3px 6px);
  }
`;
/** Where its start and its end may fall. */
export const Doubt = styled.span`
  position: absolute;
  top: 14px;
  height: 2px;
  background: var(--quiet);
`;
/** The line of today. */
export const Today = styled.span`
  position: absolute;
  top: 0;
  bottom: 0;
  border-left: 2px solid var(--ochre);
`;
