import { styled } from 'styled-components';

/** A page to read: its name, what it is, and parts with headings. */
export const HeadedPage = styled.main`
  padding: 20px 24px 40px;
  overflow: auto;
  & h1 {
    font-size: 24px;
    padding-bottom: 4px;
  }
  & h2 {
    padding: 22px 0 8px;
    font-size: 18px;
  }
  & > p {
    max-width: 720px;
    padding-bottom: 10px;
  }
`;
