import { createGlobalStyle } from 'styled-components';

/** Colours and type of both themes, as custom properties. */
export const GlobalStyle = createGlobalStyle`
  :root {
    color-scheme: light;
    --ground: #e8edef;
    --surface: #ffffff;
    --sunk: #f3f6f7;
    --hairline: #c6d1d5;
    --ink: #12303a;
    --quiet: #466069;
    --teal: #0a666b;
    --teal-wash: #dcedec;
    --on-teal: #ffffff;
    --ochre: #7a4f00;
    --ochre-wash: #f6ead0;
    --brick: #9c2f1b;
    --brick-wash: #f7e2dc;
    --plate-ground: #faf8f2;
    --sans: 'Public Sans Variable', system-ui, sans-serif;
    --heading: 'Bricolage Grotesque Variable', 'Public Sans Variable', system-ui, sans-serif;
    --figures: 'IBM Plex Mono', ui-monospace, monospace;
  }
  :root[data-theme='dark'] {
    color-scheme: dark;
    --ground: #0d1a1f;
    --surface: #15262c;
    --sunk: #112026;
    --hairline: #34484f;
    --ink: #e2ebed;
    --quiet: #a3b8be;
    --teal: #6accc8;
    --teal-wash: #1c3d40;
    --on-teal: #08201f;
    --ochre: #e6bd68;
    --ochre-wash: #3b3018;
    --brick: #f39a86;
    --brick-wash: #43231c;
    --plate-ground: #223238;
  }
  * { box-sizing: border-box; }
  html, body, #root { height: 100%; margin: 0; }
  body {
    background: var(--ground);
    color: var(--ink);
    font: 15px/1.45 var(--sans);
  }
  h1, h2, h3, p, ul, ol, dl, dd { margin: 0; padding: 0; }
  ul, ol { list-style: none; }
  h1, h2, h3 { font-family: var(--heading); font-weight: 600; line-height: 1.2; }
  a { color: var(--teal); }
  :focus-visible, [data-focus-visible] { outline: 2px solid var(--teal); outline-offset: 2px; }
  @media (prefers-reduced-motion: reduce) {
    * { transition: none !important; animation: none !important; }
  }
`;
