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
  /* On a telephone the cells of a line stand one after the other. */
  @media (max-width: 640px) {
    &,
    & tbody {
      display: block;
    }
    & thead {
      position: absolute;
      clip-path: inset(50%);
    }
    & tr {
      display: flex;
      flex-wrap: wrap;
      padding: 6px 0;
      border-bottom: 1px solid var(--hairline);
    }
    & tbody td {
      max-width: 100%;
      padding: 2px 10px;
      border: 0;
    }
  }
`;

/** A long list: columns of fixed widths, a line marked while it is pointed at. */
export const ListTable = styled(Table)`
  table-layout: fixed;
  & td {
    padding: 9px 10px;
  }
  & tr:hover td {
    background: var(--sunk);
  }
  & a {
    font-weight: 600;
  }
`;
/** A cell of numbers or days. */
export const Figures = styled.td`
  font-family: var(--figures);
  white-space: nowrap;
`;
/** Words that take two lines at most. */
export const TwoLines = styled.div`
  display: -webkit-box;
  -webkit-box-orient: vertical;
  -webkit-line-clamp: 2;
  overflow: hidden;
`;
/** What stands smaller below the first line of a cell. */
export const Beneath = styled.div`
  color: var(--quiet);
  font-size: 14px;
`;
