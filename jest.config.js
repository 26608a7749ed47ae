/** Jest in ESM; TypeScript through swc. The database tests start a server of their own (scripts/test.mjs sets DATABASE_URL). */
export default {
  testEnvironment: 'node',
  // Generous: a shared machine has minutes in which everything takes ten times as long.
  testTimeout: 60_000,
  maxWorkers: '100%',
  extensionsToTreatAsEsm: ['.ts', '.tsx'],
  transform: {
    '^.+\\.tsx?$': [
      '<rootDir>/scripts/lib/jestTransform.mjs',
      {
        jsc: {
          target: 'es2022',
          parser: { syntax: 'typescript', tsx: true },
          transform: { react: { runtime: 'automatic' } },
        },
      },
    ],
  },
  setupFiles: ['<rootDir>/src/test/setup.ts'],
  roots: ['<rootDir>/src', '<rootDir>/tests'],
  testMatch: ['**/*.test.ts', '**/*.test.tsx'],
  testPathIgnorePatterns: ['/node_modules/', '/tests/e2e/'],
};
