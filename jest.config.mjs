/** Unit tests stand beside the code; those that need PostgreSQL live in src/server and take DATABASE_URL. */
export default {
  testEnvironment: 'node',
  roots: ['<rootDir>/src', '<rootDir>/demo', '<rootDir>/tools'],
  testMatch: ['**/*.test.ts', '**/*.test.tsx'],
  // One worker for a core: the default leaves one idle.
  maxWorkers: '100%',
  // A busy machine is no fault; only what never ends is.
  testTimeout: 60_000,
  // Threads of the server run a bundle, as they do in the application.
  globalSetup: '<rootDir>/tools/before-tests.mjs',
  setupFiles: ['<rootDir>/tools/own-files.ts'],
  moduleNameMapper: { '^@/(.*)$': '<rootDir>/src/$1', '^@demo/(.*)$': '<rootDir>/demo/$1' },
  transform: { '^.+\\.(t|j|mj)sx?$': ['@swc/jest', { jsc: { target: 'es2022' } }] },
  transformIgnorePatterns: [
    '/node_modules/(?!(culori|color-name|fractional-indexing|@csstools|parse5|entities|htmlparser2|domhandler|domutils|domelementtype|dom-serializer)/)',
  ],
}
