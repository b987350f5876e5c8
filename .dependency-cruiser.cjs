/** The floors of the house: each imports only from those below it. */
const only = (name, from, ...allowed) => ({
  name,
  severity: 'error',
  from: { path: `^${from}/`, pathNot: '\\.test\\.tsx?$' },
  to: {
    path: '^(core|contract|server|web|scenario|standins|e2e|scripts|test)/',
    pathNot: `^(${[from, ...allowed].join('|')})/`,
  },
})

const test = '\\.test\\.ts$'

module.exports = {
  forbidden: [
    only('core-stands-alone', 'core'),
    only('contract-on-core', 'contract', 'core'),
    only('server-on-contract-and-core', 'server', 'contract', 'core'),
    only('web-on-contract-and-core', 'web', 'contract', 'core'),
    only('standins-stand-alone', 'standins'),
    only('scenario-on-server', 'scenario', 'server', 'contract', 'core'),
    {
      name: 'core-has-no-node',
      severity: 'error',
      from: { path: '^core/', pathNot: '\\.test\\.ts$' },
      to: { dependencyTypes: ['core'] },
    },
    {
      name: 'platform-knows-no-feature',
      severity: 'error',
      from: { path: '^server/platform/', pathNot: test },
      to: { path: '^server/', pathNot: '^server/platform/' },
    },
    {
      name: 'records-on-platform',
      severity: 'error',
      from: { path: '^server/records/', pathNot: test },
      to: { path: '^server/', pathNot: '^server/(platform|records)/' },
    },
    {
      name: 'readiness-on-records',
      severity: 'error',
      from: { path: '^server/readiness/', pathNot: test },
      to: { path: '^server/', pathNot: '^server/(platform|records|readiness)/' },
    },
    {
      name: 'nothing-reaches-up-to-the-top',
      comment:
        'What puts the application together is used by nothing within it; the desk reads features and none reads it.',
      severity: 'error',
      from: { path: '^server/.+/', pathNot: test },
      to: { path: '^server/[^/]+\\.ts$' },
    },
    {
      name: 'only-the-top-reads-the-desk',
      severity: 'error',
      from: { path: '^server/.+/', pathNot: `^server/desk/|${test}` },
      to: { path: '^server/desk/' },
    },
    { name: 'no-circles-in-core', severity: 'error', from: { path: '^core/' }, to: { circular: true } },
    { name: 'no-circles-in-web', severity: 'error', from: { path: '^web/' }, to: { circular: true } },
    {
      name: 'nothing-unresolved',
      severity: 'error',
      from: {},
      to: { couldNotResolve: true, pathNot: '\\?url$|^virtual:' },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default'],
      extensions: ['.ts', '.tsx', '.js', '.mjs', '.json'],
    },
    tsConfig: { fileName: 'tsconfig.base.json' },
  },
}
