/** Unit tests stand beside the code; ES modules run as they are. */
export default {
  roots: ['<rootDir>/core', '<rootDir>/fetching', '<rootDir>/server', '<rootDir>/cli', '<rootDir>/web'],
  testMatch: ['**/*.test.ts', '**/*.test.tsx'],
  testPathIgnorePatterns: ['/node_modules/', '/dist/'],
  extensionsToTreatAsEsm: ['.ts', '.tsx'],
  transform: {
    '^.+\\.tsx?$': [
      '@swc/jest',
      {
        jsc: {
          target: 'es2022',
          parser: { syntax: 'typescript', tsx: true },
          transform: { react: { runtime: 'automatic' } },
        },
        module: { type: 'es6' },
      },
    ],
  },
  setupFiles: ['<rootDir>/scripts/lib/unit-globals.mjs'],
  // Left alone, one core of two would have nothing to do.
  maxWorkers: '100%',
  // A busy machine is slow, not wrong.
  testTimeout: 300_000,
};
