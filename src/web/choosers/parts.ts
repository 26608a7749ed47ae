import { ListBoxItem } from 'react-aria-components';
import { styled } from 'styled-components';
import { TextBox } from '../kit/fields.tsx';

/** The box that is typed into. */
export const Search = styled(TextBox)`
  margin-top: 6px;
`;
/** Takes the focus, so that the list can be scrolled by keys too: its names never have it. */
export const Scrolled = styled.div.attrs({ tabIndex: 0, role: 'group' })`
  max-height: 240px;
  overflow: auto;
  margin: 8px 0;
`;
/** One line that can be chosen. */
export const Item = styled(ListBoxItem)`
  padding: 4px 8px;
  cursor: pointer;
  &[data-focused],
  &[data-hovered] {
    background: var(--teal-wash);
  }
  & i {
    color: var(--quiet);
    font-size: 13px;
  }
`;
