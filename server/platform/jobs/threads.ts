import { Piscina } from 'piscina'

/** What a program of ours is started with: from its source it has to be read by tsx first, compiled it has not. */
export const programArgv = import.meta.url.endsWith('.ts') ? ['--import', 'tsx'] : []

const common = { maxThreads: 1, execArgv: programArgv }

const pools = new Map<string, Piscina>()
let guarded: Piscina | undefined
let last: Promise<unknown> = Promise.resolve()

/**
 * Runs heavy computation in a worker thread. `file` exports it by default; what goes in and out is copied.
 *
 * @param threads how many of this program run at once, at most
 */
export async function inThread<Input, Output = void>(file: URL, input: Input, threads = 1): Promise<Output> {
  const pool =
    pools.get(file.href) ?? new Piscina({ ...common, maxThreads: threads, filename: file.href, idleTimeout: 120_000 })
  pools.set(file.href, pool)
  return (await pool.run(input)) as Output
}

type Guard<Output> = { seconds: number; otherwise: Output }

/**
 * Runs in a thread of its own what somebody from outside has sent: with limits of time and memory, one after the other, so
 * that the time of each is its own.
 *
 * @returns what it gives, or `otherwise` where it went over a limit
 */
export function inGuardedThread<Input, Output>(file: URL, input: Input, guard: Guard<Output>): Promise<Output> {
  const run = () => runGuarded(file, input, guard)
  const mine = last.then(run, run)
  last = mine.catch(() => undefined)
  return mine
}

async function runGuarded<Input, Output>(file: URL, input: Input, { seconds, otherwise }: Guard<Output>) {
  guarded ??= new Piscina({ ...common, idleTimeout: 600_000, resourceLimits: { maxOldGenerationSizeMb: 384 } })
  // A thread that was ended is followed by one that begins with loading its program: that is not counted.
  await guarded.run('get ready', { filename: file.href }).catch(() => undefined)
  try {
    return (await guarded.run(input, { filename: file.href, signal: AbortSignal.timeout(seconds * 1000) })) as Output
  } catch (error) {
    const { name, code } = error as { name?: string; code?: string }
    if (name === 'AbortError' || name === 'TimeoutError' || code === 'ERR_WORKER_OUT_OF_MEMORY') return otherwise
    throw error
  }
}

export async function stopThreads() {
  await Promise.all([...pools.values(), guarded].map((pool) => pool?.destroy()))
  pools.clear()
  guarded = undefined
}
