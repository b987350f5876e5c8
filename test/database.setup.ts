import { mkdirSync } from 'node:fs'
import { type OwnDatabase, startOwnDatabase } from '../scripts/ownDatabase'

declare global {
  var probatumTestDatabase: OwnDatabase | undefined
}

/** One database server for all server tests; each test file makes its own database in it. */
export default async function setup() {
  mkdirSync('.check', { recursive: true })
  // A run that had to be killed may have left its own behind.
  const folder = process.env.SERVER_TESTS === 'vm' ? '.check/server-tests-apart' : '.check/server-tests'
  const port = Number(process.env.CHECK_PORT ?? 4200) + 6
  globalThis.probatumTestDatabase = await startOwnDatabase(folder, port)
  process.env.TEST_DATABASE_URL = globalThis.probatumTestDatabase.url
}
