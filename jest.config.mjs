/** Unit tests stand beside what they test; `server` needs the PostgreSQL that the test script starts. */
const shared = {
  setupFiles: ['<rootDir>/tests/property-seed.ts'],
  testEnvironment: 'node',
  modulePathIgnorePatterns: ['<rootDir>/\\.data/', '<rootDir>/\\.next/'],
  extensionsToTreatAsEsm: ['.ts', '.tsx'],
  transform: {
    '^.+\\.tsx?$': [
      '@swc/jest',
      {
        module: { type: 'es6' },
        jsc: {
          target: 'es2022',
          experimental: { keepImportAttributes: true },
          parser: { syntax: 'typescript', tsx: true },
          transform: { react: { runtime: 'automatic' } },
        },
      },
    ],
  },
  moduleNameMapper: { '^@/(.*)$': '<rootDir>/src/$1' },
};

const config = {
  // every core: a suite that waits for one of two takes twice as long
  maxWorkers: '100%',
  // a loaded machine is slow, not wrong
  testTimeout: 30_000,
  projects: [
    { ...shared, displayName: 'core', runner: '<rootDir>/tests/core-runner.mjs', testMatch: ['<rootDir>/{src/core,scripts}/**/*.test.ts'] },
    { ...shared, displayName: 'screens', testMatch: ['<rootDir>/src/{ui,job,stations}/**/*.test.ts?(x)'] },
    { ...shared, displayName: 'server', testMatch: ['<rootDir>/src/{server,app}/**/*.test.ts'] },
  ],
};

export default config;
