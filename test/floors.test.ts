import { spawnSync } from 'node:child_process'
import { cpSync, mkdirSync, mkdtempSync, symlinkSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join, resolve } from 'node:path'

/** A house of two files: the first on one floor, importing the second on another. */
function houseWith(from: string, to: string): string {
  const folder = mkdtempSync(join(tmpdir(), 'floors-'))
  for (const name of ['.dependency-cruiser.cjs', 'tsconfig.base.json', 'package.json']) cpSync(name, join(folder, name))
  symlinkSync(resolve('node_modules'), join(folder, 'node_modules'))
  for (const [path, text] of [
    [from, `import { thing } from '#${to.replace(/\.ts$/, '')}'\nexport const other = thing\n`],
    [to, 'export const thing = 1\n'],
  ] as const) {
    mkdirSync(join(folder, path, '..'), { recursive: true })
    writeFileSync(join(folder, path), text)
  }
  return folder
}

const cruise = (folder: string) =>
  spawnSync(
    process.execPath,
    [resolve('node_modules/dependency-cruiser/bin/dependency-cruise.mjs'), '--config', '.dependency-cruiser.cjs', '.'],
    { cwd: folder, encoding: 'utf8' },
  )

test.each([
  ['core/dates/a.ts', 'contract/b.ts', 'core-stands-alone'],
  ['contract/a.ts', 'server/http/b.ts', 'contract-on-core'],
  ['web/a.ts', 'server/http/b.ts', 'web-on-contract-and-core'],
  ['server/http/a.ts', 'scenario/b.ts', 'server-on-contract-and-core'],
  ['standins/a.ts', 'core/dates/b.ts', 'standins-stand-alone'],
])('%s may not import %s', (from, to, rule) => {
  const { status, stdout } = cruise(houseWith(from, to))
  expect(stdout).toContain(rule)
  expect(status).not.toBe(0)
})

test('downwards is allowed', () => {
  const { status, stdout } = cruise(houseWith('server/http/a.ts', 'core/dates/b.ts'))
  expect(stdout).toContain('no dependency violations')
  expect(status).toBe(0)
})
