/** Which way imports may point: layers only look down, and nobody passes a front door. */
const PACKAGES = ['core', 'contract', 'catalogue', 'server', 'web', 'devices', 'demo']
const MAY_IMPORT = {
  core: [],
  contract: ['core'],
  catalogue: ['core'],
  devices: ['contract', 'core'],
  demo: ['catalogue', 'contract', 'core'],
  server: ['catalogue', 'contract', 'core'],
  web: ['catalogue', 'contract', 'core'],
}
const TESTS = '(\\.test\\.tsx?$|^[a-z0-9]+/test/)'

const layerRules = PACKAGES.map((from) => ({
  name: `${from}-looks-down`,
  comment: `${from} may import ${MAY_IMPORT[from].join(', ') || 'nothing of ours'}`,
  severity: 'error',
  from: { path: `^${from}/`, pathNot: TESTS },
  to: {
    path: `^(${PACKAGES.concat('tools', 'e2e', 'bench')
      .filter((to) => to !== from && !MAY_IMPORT[from].includes(to))
      .join('|')})/`,
  },
}))

/** A package is entered by its index.ts; the core by that of a part, the contract by any of its files. */
const FRONT_DOORS = { core: 'src/[^/]+/index\\.ts', contract: 'src/.+\\.ts' }
const frontDoorRules = PACKAGES.map((to) => ({
  name: `${to}-front-door`,
  comment: `${to} is entered by its front doors alone`,
  severity: 'error',
  from: { pathNot: [`^${to}/`, TESTS] },
  // Programs that are started as processes have no importers at all.
  to: { path: `^${to}/`, pathNot: `^${to}/${FRONT_DOORS[to] ?? 'src/index\\.ts'}$` },
}))

/** Inside the pages each layer knows those before it. */
const WEB_LAYERS = ['data', 'outbox', 'parts', 'rooms', 'app']
const webRules = WEB_LAYERS.slice(0, -1).map((from, at) => ({
  name: `web-${from}-looks-down`,
  comment: `${from} may import ${WEB_LAYERS.slice(0, at).join(', ') || 'no other layer'}`,
  severity: 'error',
  from: { path: `^web/src/${from}/`, pathNot: TESTS },
  to: { path: `^web/src/(${WEB_LAYERS.slice(at + 1).join('|')})/` },
}))

module.exports = {
  forbidden: [
    ...layerRules,
    ...frontDoorRules,
    {
      name: 'core-is-pure',
      comment: 'the computation has no IO and no framework; of packages it takes those that only compute',
      severity: 'error',
      from: { path: '^core/src/', pathNot: TESTS },
      to: {
        dependencyTypes: ['core', 'npm', 'npm-dev'],
        pathNot: '^node_modules/(@date-fns/tz|date-fns|d3-random|ical-generator|jstat|papaparse|zod)/',
      },
    },
    {
      name: 'core-front-doors',
      comment: 'inside the core a folder is entered by its index.ts',
      severity: 'error',
      from: { path: '^core/src/([^/]+)/', pathNot: TESTS },
      to: { path: '^core/src/([^/]+)/', pathNot: ['^core/src/$1/', '^core/src/[^/]+/index\\.ts$'] },
    },
    {
      name: 'server-front-doors',
      comment: 'inside the server a folder is entered by its index.ts',
      severity: 'error',
      from: { path: '^server/src/([^/]+)/', pathNot: TESTS },
      to: { path: '^server/src/([^/]+)/', pathNot: ['^server/src/$1/', '^server/src/[^/]+/index\\.ts$'] },
    },
    {
      name: 'server-starts-at-front-doors',
      comment: 'what puts the server together enters its folders by their index.ts too',
      severity: 'error',
      from: { path: '^server/src/[^/]+$', pathNot: TESTS },
      to: { path: '^server/src/[^/]+/', pathNot: '^server/src/[^/]+/index\\.ts$' },
    },
    {
      name: 'rooms-apart',
      comment: 'a room takes nothing from another: what two of them show lies in parts',
      severity: 'error',
      from: { path: '^web/src/rooms/([^/]+)/', pathNot: TESTS },
      to: { path: '^web/src/rooms/', pathNot: '^web/src/rooms/$1/' },
    },
    ...webRules,
    { name: 'no-cycles', severity: 'error', from: {}, to: { circular: true } },
    // An address that only the bundler resolves is no module.
    { name: 'no-unknown', severity: 'error', from: {}, to: { couldNotResolve: true, pathNot: '\\?url$' } },
    { name: 'no-undeclared', severity: 'error', from: {}, to: { dependencyTypes: ['npm-no-pkg', 'npm-unknown'] } },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(^|/)dist/|^server/test/api-road/' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    combinedDependencies: true,
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default', 'types'],
      extensions: ['.ts', '.tsx', '.js', '.mjs', '.cjs', '.json', '.css'],
    },
  },
}
