import config from './jest.config.js'

const [unit] = config.projects

/** The tests of the core alone, as the mutants are tried with them. */
export default {
  ...unit,
  displayName: undefined,
  testEnvironment: '@stryker-mutator/jest-runner/jest-env/node',
  testMatch: ['<rootDir>/core/**/*.test.ts'],
  testPathIgnorePatterns: ['/core/words/catalogue.test.ts'],
}
