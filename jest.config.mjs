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
const esModules = 'uuid|idb|d3-random|@tanstack/(react-table|table-core|react-store|store)|@fleam'
const ignoreBut = (packages) => [`/node_modules/(?!(${packages})/)`]
const shared = { transform, transformIgnorePatterns: ignoreBut(esModules) }

// Large packages are loaded once for a worker, not once for each file. None of them is mocked by a test.
const largePackages =
  '@fastify/[^/]+|date-fns|fast-check|fastify|jstat|mysql2|papaparse|pdfkit|piscina|sequelize|sharp|umzug|zod'
const sharedOnNode = {
  transform: {
    [`/node_modules/(${largePackages})/.*[.]c?js$`]: '<rootDir>/tools/shared-packages/transform.cjs',
    ...transform,
  },
  transformIgnorePatterns: ignoreBut(`${esModules}|${largePackages}`),
  testEnvironment: '<rootDir>/tools/shared-packages/environment.cjs',
}

export default {
  // A page of many fields takes its time to be searched by role, on a busy machine most of all.
  testTimeout: 60_000,
  // Two cores are the usual machine, and all but one of them would be one.
  maxWorkers: '100%',
  projects: [
    {
      ...sharedOnNode,
      displayName: 'unit',
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
      ...sharedOnNode,
      displayName: 'integration',
      testMatch: ['<rootDir>/server/**/*.test.ts'],
      globalSetup: '<rootDir>/server/test/start-database.ts',
      globalTeardown: '<rootDir>/server/test/stop-database.ts',
    },
  ],
}
