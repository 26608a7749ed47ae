import { appTexts } from '../texts/appTexts.ts';
import { commonTexts } from '../texts/commonTexts.ts';
import { Link } from 'react-router';
import { styled } from 'styled-components';

const Page = styled.main`
  padding: 48px 32px;
`;

/** An address that leads nowhere. */
export function NotFound() {
  return (
    <Page>
      <h1>{appTexts.nothingAtThisAddress}</h1>
      <p>
        {appTexts.goBackToThe} <Link to="/">{commonTexts.desk}</Link>
        {appTexts.whereCasesAre}
      </p>
    </Page>
  );
}
