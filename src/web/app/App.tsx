import { appTexts } from '../texts/appTexts.ts';
import { Suspense, useEffect, useState } from 'react';
import { UNSAFE_PortalProvider } from 'react-aria/PortalProvider';
import { Route, Routes, useLocation, useNavigate } from 'react-router';
import { styled } from 'styled-components';
import { Desk } from '../screens/desk/Desk.tsx';
import { PanelBoundary } from '../kit/PanelBoundary.tsx';
import { useKeys } from '../kit/useKeys.ts';
import { Header } from './Header.tsx';
import { KeysDialog } from './KeysDialog.tsx';
import { NotFound } from './NotFound.tsx';
import { fetchAllPages, pages } from './pages.ts';

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

const Coming = styled.p`
  padding: 24px;
  color: var(--quiet);
`;

/** The other pages are fetched when the first one has had so long for itself, in milliseconds. */
const REST_AFTER_START_MS = 1500;

/** Popovers and dialogs are rendered inside the main landmark, for navigation by landmarks. */
const landmark = (): HTMLElement => document.querySelector('main') ?? document.body;

/** The frame of every screen. */
export function App() {
  const { pathname } = useLocation();
  const navigate = useNavigate();
  const [keysShown, setKeysShown] = useState(false);
  useEffect(() => {
    const timer = setTimeout(() => void fetchAllPages(), REST_AFTER_START_MS);
    return () => clearTimeout(timer);
  }, []);
  useKeys({ '?': () => setKeysShown(true), 'alt+d': () => void navigate('/') });
  return (
    <UNSAFE_PortalProvider getContainer={landmark}>
      <Frame>
        <Header onKeys={() => setKeysShown(true)} />
        <PanelBoundary name={appTexts.thisPage} resetKey={pathname}>
          <Suspense fallback={<Coming role="status">{appTexts.fetchingThePage}</Coming>}>
            <Routes>
              <Route path="/" element={<Desk />} />
              <Route path="/case/:id" element={<pages.CasePage />} />
              <Route path="/season" element={<pages.Season />} />
              <Route path="/library" element={<pages.Library />}>
                <Route index element={<pages.Sources />} />
                <Route path="cause/:id" element={<pages.CausePage />} />
                <Route path="plant/:id" element={<pages.PlantPage />} />
                <Route path="finding/:id" element={<pages.FindingPage />} />
                <Route path="treatment/:id" element={<pages.TreatmentPage />} />
                <Route path="care/:id" element={<pages.CarePage />} />
                <Route path="place/:id" element={<pages.PlacePage />} />
                <Route path="compare/:first/:second" element={<pages.ComparePage />} />
                <Route path="*" element={<pages.Missing />} />
              </Route>
              <Route path="/casebook" element={<pages.Casebook />} />
              <Route path="/casebook/learned" element={<pages.Learned />} />
              <Route path="/casebook/import" element={<pages.Import />} />
              <Route path="/casebook/:id" element={<pages.CaseFile />} />
              <Route path="/clinic" element={<pages.Clinic />} />
              <Route path="/bench" element={<pages.Bench />} />
              <Route path="/bench/:id" element={<pages.Bench />} />
              <Route path="*" element={<NotFound />} />
            </Routes>
          </Suspense>
        </PanelBoundary>
        <KeysDialog pathname={pathname} open={keysShown} onClose={() => setKeysShown(false)} />
      </Frame>
    </UNSAFE_PortalProvider>
  );
}
