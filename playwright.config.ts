import { defineConfig } from '@playwright/test';
import { CHROMIUM } from './tests/support/chromium.ts';
import { SESSION_FILE } from './tests/support/sessionFile.ts';

const PORT = 4399;

export default defineConfig({
  testDir: 'tests/e2e',
  globalSetup: './tests/support/signIn.ts',
  // Generous: a shared machine has minutes in which everything takes ten times as long.
  timeout: 180_000,
  expect: { timeout: 40_000 },
  // A test that passes at the second try is listed as flaky.
  retries: 1,
  // Files side by side; each case belongs to one test.
  workers: 2,
  reporter: 'list',
  use: {
    baseURL: `http://127.0.0.1:${PORT}`,
    storageState: SESSION_FILE,
    viewport: { width: 1280, height: 800 },
    launchOptions: {
      executablePath: CHROMIUM,
      args: [
        '--no-sandbox',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
  webServer: {
    command: 'node dist/server/main.js',
    url: `http://127.0.0.1:${PORT}/api/health`,
    env: {
      ...process.env,
      PORT: String(PORT),
      SOUNDING_TODAY: '2026-06-13',
      SOUNDING_DEMO: 'yes',
      SOUNDING_COUNTRY: 'us',
      SOUNDING_HOSTS: 'clinic.test',
      SESSION_SECRETS: 'known to these tests alone and on this machine alone',
    },
    reuseExistingServer: false,
    // The season of the demonstration is answered before the server is ready.
    timeout: 120_000,
  },
});
