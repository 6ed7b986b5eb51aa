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

const frontDoorRules = PACKAGES.map((to) => ({
  name: `${to}-front-door`,
  comment: `${to} is entered by its index.ts alone`,
  severity: 'error',
  from: { pathNot: [`^${to}/`, TESTS] },
  // Programs that are started as processes have no importers at all.
  to: { path: `^${to}/`, pathNot: `^${to}/src/index\\.ts$` },
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
      to: { dependencyTypes: ['core', 'npm', 'npm-dev'], pathNot: '^node_modules/(jstat|date-fns|d3-random)/' },
    },
    {
      name: 'core-front-doors',
      comment: 'inside the core a folder is entered by its index.ts',
      severity: 'error',
      from: { path: '^core/src/([^/]+)/', pathNot: TESTS },
      to: { path: '^core/src/([^/]+)/', pathNot: ['^core/src/$1/', '^core/src/[^/]+/index\\.ts$'] },
    },
    { name: 'no-cycles', severity: 'error', from: {}, to: { circular: true } },
    // An address that only the bundler resolves is no module.
    { name: 'no-unknown', severity: 'error', from: {}, to: { couldNotResolve: true, pathNot: '\\?url$' } },
    { name: 'no-undeclared', severity: 'error', from: {}, to: { dependencyTypes: ['npm-no-pkg', 'npm-unknown'] } },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(^|/)dist/' },
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
