import type { ReactNode } from 'react';
import { styled } from 'styled-components';
import { useTheme } from '../../kit/theme.ts';
import { appTexts } from '../../texts/appTexts.ts';

const Page = styled.main`
  height: 100%;
  overflow: auto;
  padding: 9vh 24px 40px;
`;
const Sheet = styled.div`
  & h1 {
    padding-bottom: 12px;
    font-size: 24px;
  }
  max-width: 460px;
  margin: 0 auto;
  padding: 24px 28px 28px;
  background: var(--surface);
  border-top: 2px solid var(--ink);
`;
const Brand = styled.p`
  display: flex;
  align-items: center;
  gap: 8px;
  padding-bottom: 18px;
  font: 700 18px/1 var(--heading);
  & img {
    width: 22px;
    height: 22px;
  }
`;
/** Fields and buttons below each other. */
export const Stack = styled.form`
  display: grid;
  gap: 12px;
  justify-items: start;
  & > * {
    max-width: 100%;
  }
  & > div:not([class*='caution']) {
    justify-self: stretch;
  }
`;
export const Small = styled.p`
  padding-top: 14px;
  font-size: 14px;
  color: var(--quiet);
`;

/** A page on which somebody comes in. */
export function EntryPage({ children }: { readonly children: ReactNode }) {
  useTheme();
  return (
    <Page>
      <Sheet>
        <Brand>
          <img src="/mark.svg" alt="" />
          {appTexts.sounding}
        </Brand>
        {children}
      </Sheet>
    </Page>
  );
}
