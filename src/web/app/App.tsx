import { appTexts } from '../texts/appTexts.ts';
import { useState } from 'react';
import { UNSAFE_PortalProvider } from 'react-aria/PortalProvider';
import { Route, Routes, useLocation, useNavigate } from 'react-router';
import { styled } from 'styled-components';
import { Bench } from '../screens/bench/Bench.tsx';
import { CasePage } from '../screens/case/CasePage.tsx';
import { Casebook } from '../screens/casebook/Casebook.tsx';
import { CaseFile } from '../screens/casebook/CaseFile.tsx';
import { Import } from '../screens/casebook/Import.tsx';
import { Learned } from '../screens/casebook/Learned.tsx';
import { Clinic } from '../screens/clinic/Clinic.tsx';
import { Desk } from '../screens/desk/Desk.tsx';
import { CausePage, Missing } from '../screens/library/CausePage.tsx';
import { ComparePage } from '../screens/library/ComparePage.tsx';
import { Library } from '../screens/library/Library.tsx';
import { CarePage, FindingPage, PlacePage, TreatmentPage } from '../screens/library/OtherPages.tsx';
import { PlantPage } from '../screens/library/PlantPage.tsx';
import { Sources } from '../screens/library/Sources.tsx';
import { Season } from '../screens/season/Season.tsx';
import { PanelBoundary } from '../kit/PanelBoundary.tsx';
import { useKeys } from '../kit/useKeys.ts';
import { Header } from './Header.tsx';
import { KeysDialog } from './KeysDialog.tsx';
import { NotFound } from './NotFound.tsx';

const Frame = styled.div`
  display: grid;
  grid-template: auto minmax(0, 1fr) / minmax(0, 1fr);
  height: 100%;
  /* Where there is little room the page scrolls as a whole. */
  @media (max-width: 1000px), (max-height: 560px) {
    grid-template-rows: auto auto;
    height: auto;
  }
`;

/** Popovers and dialogs are rendered inside the main landmark, for navigation by landmarks. */
const landmark = (): HTMLElement => document.querySelector('main') ?? document.body;

/** The frame of every screen. */
export function App() {
  const { pathname } = useLocation();
  const navigate = useNavigate();
  const [keysShown, setKeysShown] = useState(false);
  useKeys({ '?': () => setKeysShown(true), 'alt+d': () => void navigate('/') });
  return (
    <UNSAFE_PortalProvider getContainer={landmark}>
      <Frame>
        <Header onKeys={() => setKeysShown(true)} />
        <PanelBoundary name={appTexts.thisPage} resetKey={pathname}>
          <Routes>
            <Route path="/" element={<Desk />} />
            <Route path="/case/:id" element={<CasePage />} />
            <Route path="/season" element={<Season />} />
            <Route path="/library" element={<Library />}>
              <Route index element={<Sources />} />
              <Route path="cause/:id" element={<CausePage />} />
              <Route path="plant/:id" element={<PlantPage />} />
              <Route path="finding/:id" element={<FindingPage />} />
              <Route path="treatment/:id" element={<TreatmentPage />} />
              <Route path="care/:id" element={<CarePage />} />
              <Route path="place/:id" element={<PlacePage />} />
              <Route path="compare/:first/:second" element={<ComparePage />} />
              <Route path="*" element={<Missing />} />
            </Route>
            <Route path="/casebook" element={<Casebook />} />
            <Route path="/casebook/learned" element={<Learned />} />
            <Route path="/casebook/import" element={<Import />} />
            <Route path="/casebook/:id" element={<CaseFile />} />
            <Route path="/clinic" element={<Clinic />} />
            <Route path="/bench" element={<Bench />} />
            <Route path="/bench/:id" element={<Bench />} />
            <Route path="*" element={<NotFound />} />
          </Routes>
        </PanelBoundary>
        <KeysDialog pathname={pathname} open={keysShown} onClose={() => setKeysShown(false)} />
      </Frame>
    </UNSAFE_PortalProvider>
  );
}
