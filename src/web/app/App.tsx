import { Route, Routes } from 'react-router';
import { styled } from 'styled-components';
import { CasePage } from '../screens/case/CasePage.tsx';
import { Desk } from '../screens/desk/Desk.tsx';
import { Header } from './Header.tsx';
import { NotFound } from './NotFound.tsx';

const Frame = styled.div`
  display: grid;
  grid-template-rows: auto minmax(0, 1fr);
  height: 100%;
`;

/** The frame of every screen. */
export function App() {
  return (
    <Frame>
      <Header />
      <Routes>
        <Route path="/" element={<Desk />} />
        <Route path="/case/:id" element={<CasePage />} />
        <Route path="*" element={<NotFound />} />
      </Routes>
    </Frame>
  );
}
