import { styled } from 'styled-components';

/** A table between hairlines. */
export const Table = styled.table`
  width: 100%;
  border-collapse: collapse;
  background: var(--surface);
  border-top: 2px solid var(--ink);
  & th {
    text-align: left;
    font-weight: 500;
    font-size: 13px;
    color: var(--quiet);
    padding: 6px 10px;
    border-bottom: 1px solid var(--hairline);
  }
  & td {
    padding: 7px 10px;
    border-bottom: 1px solid var(--hairline);
    vertical-align: top;
    overflow-wrap: anywhere;
  }
`;
