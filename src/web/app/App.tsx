import { appTexts } from '../texts/appTexts.ts';
import { Route, Routes, useLocation } from 'react-router';
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
import { Header } from './Header.tsx';
import { NotFound } from './NotFound.tsx';

const Frame = styled.div`
  display: grid;
  grid-template-rows: auto minmax(0, 1fr);
  height: 100%;
`;

/** The frame of every screen. */
export function App() {
  const { pathname } = useLocation();
  return (
    <Frame>
      <Header />
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
    </Frame>
  );
}
