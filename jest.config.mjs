/** One transform for all projects: TypeScript and JSX through SWC, to CommonJS. */
const transform = {
  '^.+\\.(ts|tsx|js|mjs)$': [
    '@swc/jest',
    {
      jsc: {
        parser: { syntax: 'typescript', tsx: true },
        transform: { react: { runtime: 'automatic' } },
        target: 'es2023',
      },
    },
  ],
}
// Packages that ship as ES modules only are transformed too.
const transformIgnorePatterns = [
  '/node_modules/(?!(uuid|idb|d3-random|@tanstack/(react-table|table-core|react-store|store)|@fleam)/)',
]
const shared = { transform, transformIgnorePatterns }

export default {
  // A page of many fields takes its time to be searched by role, on a busy machine most of all.
  testTimeout: 60_000,
  // Two cores are the usual machine, and all but one of them would be one.
  maxWorkers: '100%',
  projects: [
    {
      ...shared,
      displayName: 'unit',
      testEnvironment: 'node',
      testMatch: ['<rootDir>/{core,catalogue,contract,devices,demo,tools}/**/*.test.ts'],
    },
    {
      ...shared,
      displayName: 'web',
      testEnvironment: 'jsdom',
      testMatch: ['<rootDir>/web/**/*.test.{ts,tsx}'],
      setupFiles: ['<rootDir>/web/test/set-up.ts'],
      moduleNameMapper: { '\\.s?css$': '<rootDir>/web/test/no-style.ts' },
    },
    {
      ...shared,
      displayName: 'integration',
      testEnvironment: 'node',
      testMatch: ['<rootDir>/server/**/*.test.ts'],
      globalSetup: '<rootDir>/server/test/start-database.ts',
      globalTeardown: '<rootDir>/server/test/stop-database.ts',
    },
  ],
}
