import { spawn } from 'node:child_process'
import { port } from './playwright.config'

/** Starts a fresh demo on ports and data of its own, and stops it after the last test. */
export default async function start() {
  if (process.env.E2E_RUNNING) return

  const demo = spawn(
    process.execPath,
    ['--import', 'tsx', 'scripts/demo.ts', '--fresh', '--port', String(port), '--data', '.check/browser'],
    { stdio: ['ignore', 'pipe', 'pipe'] },
  )
  let said = ''
  await new Promise<void>((ready, fail) => {
    const listen = (chunk: Buffer) => {
      said += chunk.toString()
      if (said.includes('Probatum is up')) ready()
    }
    demo.stdout.on('data', listen)
    demo.stderr.on('data', listen)
    demo.once('exit', () => fail(new Error(`the demo did not come up:\n${said}`)))
  })
  return async () => {
    const gone = new Promise((done) => demo.once('exit', done))
    demo.kill('SIGTERM')
    await gone
  }
}
