/** The tests of the core alone, as the mutants are tried with them: as CommonJS, since each mutant loads them anew. */
export default {
  transform: {
    '^.+\\.ts$': [
      '@swc/jest',
      { jsc: { parser: { syntax: 'typescript' }, target: 'es2022' }, module: { type: 'commonjs' } },
    ],
  },
  moduleNameMapper: {
    '^#core/(.*)$': '<rootDir>/core/$1',
    '^temporal-polyfill$': '<rootDir>/.mutants/temporal.cjs',
    '^any-ascii$': '<rootDir>/.mutants/ascii.cjs',
    '^double-metaphone$': '<rootDir>/.mutants/metaphone.cjs',
  },
  testEnvironment: '@stryker-mutator/jest-runner/jest-env/node',
  setupFiles: ['<rootDir>/test/words.ts'],
  testMatch: ['<rootDir>/core/**/*.test.ts'],
  testPathIgnorePatterns: ['/core/words/catalogue.test.ts'],
}
