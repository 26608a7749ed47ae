import type { ReactNode } from 'react';
import { createPortal } from 'react-dom';
import { createGlobalStyle } from 'styled-components';

/** On paper the page gives way to what is printed. */
const Printing = createGlobalStyle`
  #on-paper {
    display: none;
  }
  @media print {
    @page {
      margin: 14mm;
    }
    html, body {
      height: auto;
      overflow: visible;
      background: #ffffff;
    }
    #root {
      display: none;
    }
    #on-paper {
      display: block;
    }
    #on-paper article {
      padding: 0;
    }
  }
`;

/** What is printed in place of the page while it is shown; one at a time. */
export function OnPaper({ children }: { readonly children: ReactNode }) {
  return (
    <>
      <Printing />
      {createPortal(<div id="on-paper">{children}</div>, document.body)}
    </>
  );
}
