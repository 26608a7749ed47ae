import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

export default defineConfig({
  root: 'src/web',
  plugins: [react()],
  // The server puts a fresh one into every page that it sends.
  html: { cspNonce: 'NONCE-OF-THE-PAGE' },
  worker: { format: 'es' },
  build: {
    outDir: '../../dist/web',
    emptyOutDir: true,
    // Nothing is put into pages and sheets as data, so that the policy needs no exception for it.
    assetsInlineLimit: 0,
    chunkSizeWarningLimit: 1500,
  },
  server: { proxy: { '/api': 'http://127.0.0.1:4310' } },
});
