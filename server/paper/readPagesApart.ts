import { spawn } from 'node:child_process'
import { fileURLToPath } from 'node:url'
import { deserialize } from 'node:v8'
import type { ReadPage } from './readPages'

const program = fileURLToPath(new URL('./readPagesProgram.ts', import.meta.url))
const patienceMs = 240_000

/** What the program says at its end. */
export type Said = { pages: ReadPage[] } | { fault: string }

/**
 * Reads the pages of a scan in a process of its own: what comes through the post is opened by large libraries in C, and
 * one that falls over must not take anybody's work with it.
 *
 * @throws Error in words for a person where the scan cannot be read
 */
export async function readPagesApart(bytes: Buffer): Promise<ReadPage[]> {
  const { NODE_OPTIONS: _, ...env } = process.env
  const child = spawn(process.execPath, ['--import', 'tsx', program], { env, stdio: ['pipe', 'pipe', 'ignore'] })
  const timer = setTimeout(() => child.kill('SIGKILL'), patienceMs)
  const chunks: Buffer[] = []
  child.stdout.on('data', (chunk: Buffer) => chunks.push(chunk))
  child.stdin.on('error', () => undefined)
  child.stdin.end(bytes)
  const code = await new Promise<number | null>((done, fail) => {
    child.once('error', fail)
    child.once('close', done)
  })
  clearTimeout(timer)
  if (code !== 0) throw new Error('The scan could not be read. Scan it again, or in parts.')
  const said = deserialize(Buffer.concat(chunks)) as Said
  if ('fault' in said) throw new Error(said.fault)
  return said.pages
}
