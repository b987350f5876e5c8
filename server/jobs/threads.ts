import { Piscina } from 'piscina'

let pool: Piscina | undefined

/** Runs heavy computation in a worker thread. `file` exports it by default; what goes in is copied. */
export async function inThread<Input>(file: URL, input: Input): Promise<void> {
  pool ??= new Piscina({ maxThreads: 1, idleTimeout: 120_000, execArgv: ['--import', 'tsx'] })
  await pool.run(input, { filename: file.href })
}

export async function stopThreads() {
  await pool?.destroy()
  pool = undefined
}
