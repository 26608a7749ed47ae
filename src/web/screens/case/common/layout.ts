import { styled } from 'styled-components';

/** The columns of the case page; each scrolls on its own, the page does not. */
export const Columns = styled.div`
  display: grid;
  grid-template-columns: minmax(270px, 360px) 80px minmax(300px, 1fr) minmax(340px, 430px);
  min-height: 0;
  background: var(--surface);
  @media (max-width: 1000px) {
    display: flex;
    flex-direction: column;
    /* The next question and the advice come before the other causes. */
    & > :nth-child(3):not(:last-child) {
      order: 1;
    }
  }
`;

/** Scrolls by the arrow keys too, as a column may hold nothing else that takes the focus. */
export const Column = styled.section.attrs({ tabIndex: 0 })`
  display: flex;
  flex-direction: column;
  min-height: 0;
  overflow: auto;
  padding: 12px 16px;
  border-right: 1px solid var(--hairline);
  &:last-child {
    border-right: 0;
  }
`;

export const ColumnTitle = styled.h2`
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 2px 10px;
  font-size: 16px;
  white-space: nowrap;
  padding-bottom: 8px;
`;

export const Quietly = styled.span`
  color: var(--quiet);
  font-size: 13px;
  font-weight: 400;
`;

/** Two columns of a wide panel. */
export const Halves = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 0 28px;
  align-items: start;
  & h3 {
    padding: 2px 0 6px;
    font-size: 15px;
  }
  @media (max-width: 1000px) {
    grid-template-columns: minmax(0, 1fr);
  }
`;
