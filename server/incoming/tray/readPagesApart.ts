import { type ChildProcess, fork } from 'node:child_process'
import { fileURLToPath } from 'node:url'
import { type Coded, coded } from '#core/words/say'
import { programArgv } from '../../platform/jobs/threads'
import type { ReadPage } from './readPages'
import { ScanFault } from './scanFault'

const program = fileURLToPath(new URL('./readPagesProgram.ts', import.meta.url))
const patienceMs = 240_000
/** Loading the libraries takes seconds, so the process waits for another scan before it goes. */
const idleMs = 60_000

/** What the program says of one scan. */
export type Said = { pages: ReadPage[] } | { fault: Coded }

let reader: ChildProcess | undefined
let idle: NodeJS.Timeout | undefined
let inTurn: Promise<unknown> = Promise.resolve()

/**
 * Reads the pages of a scan in a process of its own, one scan after another: what comes through the post is opened by
 * large libraries in C, and one that falls over must not take anybody's work with it.
 *
 * @throws ScanFault with what to tell a person where the scan cannot be read
 */
export function readPagesApart(bytes: Buffer): Promise<ReadPage[]> {
  const turn = inTurn.then(() => readOne(bytes))
  inTurn = turn.catch(() => undefined)
  return turn
}

async function readOne(bytes: Buffer): Promise<ReadPage[]> {
  clearTimeout(idle)
  const child = reader ?? startReader()
  child.channel?.ref()
  const timer = setTimeout(() => child.kill('SIGKILL'), patienceMs)
  const said = await new Promise<Said | undefined>((done) => {
    child.once('message', (message) => done(message as Said))
    child.once('exit', () => done(undefined))
    child.send(bytes, (error) => error && done(undefined))
  })
  clearTimeout(timer)
  child.removeAllListeners('message')
  if (!said) {
    child.kill('SIGKILL')
    reader = undefined
    throw new ScanFault(coded('tray.fault.unreadable'))
  }
  // The timer does not hold up our own end; the process ends with its channel.
  idle = setTimeout(() => child.disconnect(), idleMs).unref()
  child.channel?.unref()
  if ('fault' in said) throw new ScanFault(said.fault)
  return said.pages
}

function startReader(): ChildProcess {
  const { NODE_OPTIONS: _, ...env } = process.env
  const child = fork(program, { env, execArgv: programArgv, serialization: 'advanced', stdio: 'ignore' })
  child.on('error', () => undefined)
  child.once('exit', () => {
    if (reader === child) reader = undefined
  })
  child.unref()
  reader = child
  return child
}
