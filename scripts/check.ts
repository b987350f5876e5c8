import { spawn, spawnSync } from 'node:child_process'
import { once } from 'node:events'
import { mkdirSync, readFileSync, rmSync } from 'node:fs'
import { resolve } from 'node:path'

/** Counts of one part; a part without a runner of tests counts as one. */
type Counts = { passed: number; failed: number; skipped: number }

type Part = { name: string; run: () => Counts | Promise<Counts> }

const reports = resolve('.check/reports')
/** What says nothing for so long hangs: it is ended, and has failed. A slow machine only takes longer. */
const longestSilenceMs = 6 * 60_000
const bin = (name: string) => resolve('node_modules/.bin', name)

/** Commands that do not touch one another, side by side. */
function plain(name: string, ...commands: [string, ...string[]][]): Part {
  return {
    name,
    run: async () => {
      const ended = await Promise.all(
        commands.map(async ([command, ...given]) => {
          const [code] = await once(spawn(bin(command), given, { stdio: 'inherit' }), 'exit')
          return code
        }),
      )
      const fine = ended.every((code) => code === 0)
      return { passed: Number(fine), failed: Number(!fine), skipped: 0 }
    },
  }
}

function jest(
  name: string,
  projects: string[],
  { only = [], env: more = {} }: { only?: string[]; env?: Record<string, string> } = {},
): Part {
  return {
    name,
    run: async () => {
      const report = resolve(reports, `${name}.json`)
      const run = (kind: 'vm' | 'bare', port = process.env.CHECK_PORT) =>
        untilSilent(
          bin('jest'),
          [
            '--selectProjects',
            ...projects,
            ...(only.length > 0 ? ['--testPathPatterns', ...only] : []),
            '--testTimeout=30000',
            '--maxWorkers=2',
            '--forceExit',
            '--json',
            `--outputFile=${report}`,
          ],
          {
            ...process.env,
            ...more,
            ...(port ? { CHECK_PORT: port } : {}),
            SERVER_TESTS: kind,
            // Tests in bare processes read TypeScript by tsx (jest.config.js), and are told what to do however late they begin.
            NODE_OPTIONS: `${kind === 'bare' ? '--import=tsx --import=./test/keepWorkerData.js' : '--experimental-vm-modules'} --disable-warning=ExperimentalWarning`,
          },
        )
      let ended = await run(projects.includes('server') ? 'bare' : 'vm')
      // Bare processes have no time limit for a test. What did not end is run once more where there is one.
      if (ended.hung && projects.includes('server')) {
        console.log(`${name}: did not end; once more, each file by itself.`)
        ended = await run('vm', String(Number(process.env.CHECK_PORT ?? 4200) + 50))
      }
      const { status } = ended
      const result = readJson(report) as
        | { numPassedTests: number; numFailedTests: number; numPendingTests: number; numRuntimeErrorTestSuites: number }
        | undefined
      if (!result) return { passed: 0, failed: 1, skipped: 0 }
      const failed = result.numFailedTests + result.numRuntimeErrorTestSuites
      // A runner that fails without a failed test has failed all the same.
      return {
        passed: result.numPassedTests,
        failed: failed === 0 && status !== 0 ? 1 : failed,
        skipped: result.numPendingTests,
      }
    },
  }
}

/** Runs what says each thing it has done, and passes on what it says; ends it where it says nothing any more. */
async function untilSilent(command: string, given: string[], env: NodeJS.ProcessEnv) {
  const running = spawn(command, given, { stdio: ['ignore', 'ignore', 'pipe'], env })
  let hung = false
  const watch = setTimeout(() => {
    hung = true
    running.kill('SIGKILL')
  }, longestSilenceMs)
  running.stderr.on('data', (said: Buffer) => {
    process.stderr.write(said)
    watch.refresh()
  })
  const [status] = await once(running, 'exit')
  clearTimeout(watch)
  return { status: status as number | null, hung }
}

/** A program of ours that ends well or does not. */
function program(name: string, ...given: [string, ...string[]]): Part {
  return {
    name,
    run: () => {
      const fine = spawnSync(process.execPath, ['--import', 'tsx', ...given], { stdio: 'inherit' }).status === 0
      return { passed: Number(fine), failed: Number(!fine), skipped: 0 }
    },
  }
}

/** Tests in a browser, against a demo of their own. */
const browser = (name: string, env: Record<string, string> = {}): Part => ({
  name,
  run: () => {
    const report = resolve(reports, 'browser.json')
    const { status } = spawnSync(
      bin('playwright'),
      ['test', '-c', 'e2e/playwright.config.ts', '--reporter=list,json'],
      { stdio: 'inherit', env: { ...process.env, ...env, PLAYWRIGHT_JSON_OUTPUT_NAME: report } },
    )
    const stats = (
      readJson(report) as
        | { stats?: { expected: number; unexpected: number; flaky: number; skipped: number } }
        | undefined
    )?.stats
    if (!stats) return { passed: 0, failed: 1, skipped: 0 }
    const failed = stats.unexpected + stats.flaky
    return { passed: stats.expected, failed: failed === 0 && status !== 0 ? 1 : failed, skipped: stats.skipped }
  },
})

/** What takes long and gates nothing: `./check long`. */
const slow: Part[] = [
  // Kills server and database while what is due at night is done, and while people write.
  program('night of faults', 'scripts/faults.ts', 'enquiries', '--data', '.check/faults'),
  program('payments and faults', 'scripts/faults.ts', 'payments', '--data', '.check/faults'),
  program('many faults', 'scripts/faults.ts', '--sessions', '48', '--kills', '6', '--data', '.check/faults'),
  // Every story, also the long ones, and every place for everybody.
  browser('every walk', { CHECK_LONG: 'yes' }),
  jest('any input', ['server'], { only: ['anyInput'], env: { ANY_INPUT: '40' } }),
  program('readme', 'scripts/tryReadme.ts'),
  program('upgrade', 'scripts/tryUpgrade.ts'),
  program('codes shown', 'scripts/codesShown.ts'),
  program('mutants', 'scripts/mutants.ts'),
  program('bench', 'bench/main.ts', 'desk', '100000'),
]

const floors = ['core', 'contract', 'server', 'web', 'scenario', 'standins']

const parts: Part[] = [
  plain('lint', ['biome', 'check', '--error-on-warnings', '.']),
  plain(
    'types',
    ['tsc', '-p', 'core/tsconfig.json'],
    ['tsc', '-p', 'tsconfig.json'],
    ['tsc', '-p', 'web/tsconfig.json'],
  ),
  plain(
    'deps',
    ['depcruise', '--config', '.dependency-cruiser.cjs', ...floors],
    ['depcruise', '--config', '.dependency-cruiser-folders.cjs', 'server'],
  ),
  plain('knip', ['knip']),
  jest('unit', ['unit', 'web']),
  jest('server', ['server']),
  program('faults', 'scripts/faults.ts', '--sessions', '12', '--kills', '1', '--data', '.check/faults'),
  browser('browser'),
]

const wanted = process.argv[2] ?? 'all'
const chosen =
  wanted === 'all' ? parts : wanted === 'long' ? slow : [...parts, ...slow].filter(({ name }) => wanted === name)
if (chosen.length === 0) {
  console.error(
    `There is no part "${wanted}". Parts: all, long, ${[...parts, ...slow].map(({ name }) => name).join(', ')}.`,
  )
  process.exit(2)
}
rmSync(reports, { recursive: true, force: true })
mkdirSync(reports, { recursive: true })

const total: Counts = { passed: 0, failed: 0, skipped: 0 }
for (const { name, run } of chosen) {
  const begun = Date.now()
  console.log(`\n── ${name}`)
  const counts = await run()
  for (const key of ['passed', 'failed', 'skipped'] as const) total[key] += counts[key]
  console.log(
    `${name}: ${counts.passed} passed, ${counts.failed} failed, ${counts.skipped} skipped, ${Math.round((Date.now() - begun) / 1000)} s`,
  )
}
console.log(`\n${total.passed} passed, ${total.failed} failed, ${total.skipped} skipped`)
process.exit(total.failed > 0 || total.passed === 0 ? 1 : 0)

function readJson(path: string): unknown {
  try {
    return JSON.parse(readFileSync(path, 'utf8'))
  } catch {
    return undefined
  }
}
