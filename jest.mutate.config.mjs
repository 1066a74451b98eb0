/** The core’s own tests, for each mutant those that reach it; without the slow searches through random plans. */
import config from './jest.config.mjs';

const core = config.projects.find((project) => project.displayName === 'core');
const rooms = process.env.KEEN_TRESTLE_MUTATE === 'plan' ? 'src/core' : 'src/core/{rigging,shoring,cranes,beams,strength,calc,goldens}';
const mutate = {
  ...core,
  displayName: undefined,
  rootDir: import.meta.dirname,
  testEnvironment: '@stryker-mutator/jest-runner/jest-env/node',
  testMatch: [`<rootDir>/${rooms}/**/*.test.ts`],
  testPathIgnorePatterns: ['mutated\\.test', 'strike-dense\\.test'],
};

export default mutate;
