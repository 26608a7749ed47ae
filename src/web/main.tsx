import '@fontsource-variable/public-sans';
import '@fontsource-variable/bricolage-grotesque';
import '@fontsource/ibm-plex-mono/400.css';
import '@fontsource/ibm-plex-mono/500.css';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { Provider } from 'react-redux';
import { BrowserRouter, Route, Routes } from 'react-router';
import { App } from './app/App.tsx';
import { GlobalStyle } from './kit/GlobalStyle.ts';
import { Gate } from './screens/entry/Gate.tsx';
import { Join } from './screens/entry/Join.tsx';
import { startSession } from './store/sessionActions.ts';
import { store } from './store/store.ts';

void startSession(store);

const root = document.getElementById('root');
if (root) {
  createRoot(root).render(
    <StrictMode>
      <Provider store={store}>
        <GlobalStyle />
        <BrowserRouter>
          <Routes>
            <Route path="/join" element={<Join />} />
            <Route
              path="*"
              element={
                <Gate>
                  <App />
                </Gate>
              }
            />
          </Routes>
        </BrowserRouter>
      </Provider>
    </StrictMode>,
  );
}
