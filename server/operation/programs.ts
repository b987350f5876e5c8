import { type ChildProcess, type SpawnOptions, spawn } from 'node:child_process'

/** A program that is under way, and the promise that it ends well. */
export function running(
  command: string,
  given: readonly string[],
  options: SpawnOptions,
): { child: ChildProcess; ended: Promise<void> } {
  const child = spawn(command, given, options)
  let complaint = ''
  child.stderr?.on('data', (text: Buffer) => {
    complaint = `${complaint}${text}`.slice(-2000)
  })
  const ended = new Promise<void>((done, fail) => {
    child.once('error', (error: NodeJS.ErrnoException) =>
      fail(error.code === 'ENOENT' ? new Error(`There is no program ${command} on this machine; install it.`) : error),
    )
    child.once('close', (code) =>
      code === 0 ? done() : fail(new Error(`${command} ended with ${code}: ${complaint.trim() || 'it said nothing'}`)),
    )
  })
  // Whoever waits for it learns of it; nobody who does not is thrown over.
  ended.catch(() => undefined)
  return { child, ended }
}
