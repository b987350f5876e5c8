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
      name: 'other-features-through-their-use-cases',
      comment:
        'A model is its feature’s own. Read models (desk, status, readiness, jobs, proof, people) and what moves whole files (privacy, doubles, imports) may look at several.',
      severity: 'error',
      from: {
        path: '^server/([^/]+)/',
        pathNot:
          '(\\.test\\.ts$|^server/(desk|hiring|jobs|database|verification|applications|claims|vacancies|skills|privacy|people|doubles|paper|imports)/)',
      },
      to: { path: '^server/[^/]+/model\\.ts$', pathNot: '^server/$1/' },
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
