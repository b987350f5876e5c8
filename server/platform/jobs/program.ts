import { type ChildProcess, fork } from 'node:child_process'
import { constants, setPriority } from 'node:os'
import { fileURLToPath } from 'node:url'
import { programArgv } from './threads'

type Patience = { patienceMs: number; idleMs: number }

/**
 * Something that is done in a process of its own, one after another: what comes from outside is opened by large libraries
 * in C, and one that falls over must not take anybody's work with it. The process waits a while for more before it goes,
 * since loading its libraries takes seconds.
 *
 * @returns what does it; it gives `undefined` where the process fell over or took too long
 */
export function inProgram<Input, Output>(program: URL, { patienceMs, idleMs }: Patience) {
  let running: ChildProcess | undefined
  let idle: NodeJS.Timeout | undefined
  let inTurn: Promise<unknown> = Promise.resolve()

  const start = (): ChildProcess => {
    const { NODE_OPTIONS: _, ...env } = process.env
    const child = fork(fileURLToPath(program), {
      env,
      execArgv: programArgv,
      serialization: 'advanced',
      stdio: 'ignore',
    })
    child.on('error', () => undefined)
    // People are served first.
    if (child.pid) setPriority(child.pid, constants.priority.PRIORITY_BELOW_NORMAL)
    child.once('exit', () => {
      if (running === child) running = undefined
    })
    child.unref()
    running = child
    return child
  }

  const one = async (input: Input): Promise<Output | undefined> => {
    clearTimeout(idle)
    const child = running ?? start()
    child.channel?.ref()
    const timer = setTimeout(() => child.kill('SIGKILL'), patienceMs)
    const said = await new Promise<Output | undefined>((done) => {
      const fallen = () => done(undefined)
      child.once('exit', fallen)
      child.once('message', (message) => {
        child.off('exit', fallen)
        done(message as Output)
      })
      child.send(input as object, (error) => error && done(undefined))
    })
    clearTimeout(timer)
    child.removeAllListeners('message')
    if (said === undefined) {
      child.kill('SIGKILL')
      running = undefined
      return undefined
    }
    // The timer does not hold up our own end; the process ends with its channel.
    idle = setTimeout(() => child.disconnect(), idleMs).unref()
    child.channel?.unref()
    return said
  }

  return (input: Input): Promise<Output | undefined> => {
    const turn = inTurn.then(() => one(input))
    inTurn = turn.catch(() => undefined)
    return turn
  }
}
