import { Link } from 'react-router';
import { styled } from 'styled-components';

const Page = styled.main`
  padding: 48px 32px;
`;

/** An address that leads nowhere. */
export function NotFound() {
  return (
    <Page>
      <h1>Nothing at this address</h1>
      <p>
        Go back to the <Link to="/">Desk</Link>, where all open cases are listed.
      </p>
    </Page>
  );
}
