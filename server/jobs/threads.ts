import { Piscina } from 'piscina'

let pool: Piscina | undefined

/** Runs heavy computation in a worker thread. `file` exports it by default; what goes in and out is copied. */
export async function inThread<T>(file: URL, input: object): Promise<T> {
  pool ??= new Piscina({ maxThreads: 1, idleTimeout: 120_000, execArgv: ['--import', 'tsx'] })
  return (await pool.run(input, { filename: file.href })) as T
}

export async function stopThreads() {
  await pool?.destroy()
  pool = undefined
}
