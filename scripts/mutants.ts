import { spawnSync } from 'node:child_process'
import { resolve } from 'node:path'
import { build } from 'esbuild'

/**
 * `npm run mutants [-- --mutate core/history/*.ts]`: changes the core in small ways and counts which changes no test notices.
 * Each change loads its tests anew, so they run as CommonJS; packages that are modules only are made into that first.
 */
await build({
  entryPoints: { temporal: 'temporal-polyfill', ascii: 'any-ascii', metaphone: 'double-metaphone' },
  bundle: true,
  format: 'cjs',
  platform: 'node',
  outdir: '.mutants',
  outExtension: { '.js': '.cjs' },
})
const { status } = spawnSync(resolve('node_modules/.bin/stryker'), ['run', ...process.argv.slice(2)], {
  stdio: 'inherit',
})
process.exit(status ?? 1)
