import { styled } from 'styled-components';

/** A key of the keyboard, shown beside what it does. */
export const Key = styled.kbd`
  font: 500 13px/1 var(--figures);
  padding: 2px 4px;
  border: 1px solid currentColor;
  border-radius: 3px;
  /* A telephone or tablet without a keyboard has no use for it. */
  @media (hover: none) and (pointer: coarse) {
    display: none;
  }
`;
