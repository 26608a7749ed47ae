import { ToggleButton } from 'react-aria-components';
import { css, styled } from 'styled-components';

/** A list on the left and what was chosen from it on the right; one above the other where there is no room. */
export const SplitPage = styled.main`
  display: grid;
  grid-template-columns: 300px minmax(0, 1fr);
  min-height: 0;
  @media (max-width: 760px) {
    grid-template-columns: minmax(0, 1fr);
    grid-template-rows: 38% minmax(0, 1fr);
  }
`;

/** The links of such a list. */
export const listedLinks = css`
  & a {
    display: block;
    padding: 4px 14px 4px 8px;
    border-left: 3px solid transparent;
    color: var(--ink);
    text-decoration: none;
  }
  & a:hover {
    background: var(--teal-wash);
  }
  & a[aria-current='page'] {
    border-left-color: var(--teal);
    background: var(--teal-wash);
    font-weight: 600;
  }
`;

/** A word that is switched on and off. */
export const Switch = styled(ToggleButton)`
  padding: 3px 8px;
  border: 0;
  border-bottom: 2px solid transparent;
  background: transparent;
  color: var(--ink);
  font: inherit;
  cursor: pointer;
  &[data-selected] {
    border-bottom-color: var(--teal);
    font-weight: 600;
  }
`;
