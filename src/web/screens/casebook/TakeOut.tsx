import { styled } from 'styled-components';
import { queryParams, type CasebookQuery } from '../../../contracts/casebook.ts';
import { casebookTexts } from '../../texts/casebookTexts.ts';

const Bar = styled.section`
  padding-top: 18px;
  & p {
    max-width: 700px;
    padding-top: 4px;
    color: var(--quiet);
    font-size: 14px;
  }
  & a {
    margin-left: 12px;
  }
`;
const FORMATS = ['csv', 'xlsx', 'jsonl', 'geojson', 'dwca'] as const;

/** Ways to take what was found out as a file; the browser saves it while the server sends it. */
export function TakeOut({ query }: { readonly query: CasebookQuery }) {
  const address = (format: string): string =>
    `/api/casebook/export?${queryParams(query, { format })}`;
  return (
    <Bar>
      {casebookTexts.takeOut}
      {FORMATS.map((format) => (
        <a key={format} href={address(format)} download>
          {casebookTexts[format]}
        </a>
      ))}
      <p>{casebookTexts.exportWhat}</p>
    </Bar>
  );
}
