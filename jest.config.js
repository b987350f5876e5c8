const transform = {
  '^.+\\.tsx?$': [
    '@swc/jest',
    {
      jsc: {
        parser: { syntax: 'typescript', tsx: true },
        transform: { react: { runtime: 'automatic' } },
        target: 'es2022',
        experimental: { keepImportAttributes: true },
      },
    },
  ],
}
const common = { transform, extensionsToTreatAsEsm: ['.ts', '.tsx'], testEnvironment: 'node' }

export default {
  projects: [
    {
      ...common,
      displayName: 'unit',
      setupFiles: ['<rootDir>/test/words.ts'],
      testMatch: ['<rootDir>/{core,contract,web,test}/**/*.test.ts'],
    },
    {
      ...common,
      displayName: 'web',
      testEnvironment: '<rootDir>/test/jsdom.js',
      setupFiles: ['<rootDir>/test/words.ts'],
      setupFilesAfterEnv: ['<rootDir>/test/browser.ts'],
      moduleNameMapper: {
        '^virtual:endpoints$': '<rootDir>/test/virtualEndpoints.ts',
        '^virtual:checks$': '<rootDir>/test/virtualChecks.ts',
      },
      testMatch: ['<rootDir>/web/**/*.test.tsx'],
    },
    {
      ...common,
      displayName: 'server',
      // In bare processes: a module is loaded once for all files, not anew for each.
      ...(process.env.SERVER_TESTS === 'vm' ? {} : { runner: ['jest-light-runner', { runtime: 'child_process' }] }),
      globalSetup: '<rootDir>/test/database.setup.ts',
      globalTeardown: '<rootDir>/test/database.teardown.ts',
      testMatch: ['<rootDir>/{server,standins,scenario}/**/*.test.ts'],
    },
  ],
}
