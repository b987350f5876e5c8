import { createHash } from 'node:crypto'
import {
  createReadStream,
  createWriteStream,
  existsSync,
  mkdirSync,
  renameSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs'
import { join } from 'node:path'
import { PassThrough, Transform } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import { createGzip } from 'node:zlib'
import type { Config } from '../platform/config'
import { clientArguments, countingDump } from './dump'
import { running } from './programs'

/** What lies beside a backup and says what is in it; nothing of it is about a person. */
export type Manifest = {
  format: 1
  made: string
  program: string
  /** SHA-256 of the file as it lies there, and of what is in it once it is decrypted and unpacked. */
  fileSha256: string
  dumpSha256: string
  bytes: number
  rows: Record<string, number>
}

/** What a database remembers of the backup that was written last. */
export type LastBackup = { at: string; bytes: number; rows: number }

export const manifestOf = (file: string) => file.replace(/\.sql\.gz\.age$/, '.json')

type Wanted = { folder: string; recipient: string; now: Date }

/**
 * Writes everything that is in the database into one encrypted file: one consistent moment of it, while the application goes
 * on. The file has its name only once it has been read back from the disk and is what was written.
 *
 * @param wanted.recipient the public key of age (age-encryption.org/v1) it is encrypted to; without the other half nobody reads it
 * @throws Error in a sentence where any part of it failed; no file is left then
 */
export async function backUp(config: Pick<Config, 'databaseUrl'>, { folder, recipient, now }: Wanted) {
  mkdirSync(folder, { recursive: true, mode: 0o700 })
  const name = `probatum-${now.toISOString().slice(0, 19).replace(/:/g, '-')}Z`
  const file = join(folder, `${name}.sql.gz.age`)
  if (existsSync(file)) throw new Error(`There is a backup of this second already: ${file}.`)
  const unfinished = `${file}.part`
  try {
    const dump = await writeDump(config.databaseUrl, unfinished, recipient)
    const fileSha256 = await hashOfFile(unfinished)
    if (fileSha256 !== dump.fileSha256)
      throw new Error('What lies on the disk is not what was written there; the disk cannot be trusted.')
    const manifest: Manifest = {
      format: 1,
      made: now.toISOString(),
      program: process.env.PROBATUM_VERSION ?? 'source',
      bytes: statSync(unfinished).size,
      ...dump,
    }
    renameSync(unfinished, file)
    writeFileSync(manifestOf(file), `${JSON.stringify(manifest, null, 2)}\n`, { mode: 0o600 })
    return { file, manifest }
  } finally {
    rmSync(unfinished, { force: true })
  }
}

async function writeDump(databaseUrl: string, to: string, recipient: string) {
  const { database, given, env } = clientArguments(databaseUrl)
  const dump = running(
    'mariadb-dump',
    [
      ...given,
      '--single-transaction',
      '--skip-lock-tables',
      '--quick',
      '--hex-blob',
      '--max-allowed-packet=512M',
      database,
    ],
    { env, stdio: ['ignore', 'pipe', 'pipe'] },
  )
  const age = running('age', ['--recipient', recipient], { stdio: ['pipe', 'pipe', 'pipe'] })
  const { through, counts } = countingDump()
  const [plain, sealed] = [hashing(), hashing()]
  await Promise.all([
    pipeline(dump.child.stdout!, through, plain.through, createGzip({ level: 6 }), age.child.stdin!),
    pipeline(age.child.stdout!, sealed.through, createWriteStream(to, { mode: 0o600, flush: true })),
    dump.ended,
    age.ended,
  ]).catch(async (error: unknown) => {
    // What broke says so; that the others then have nothing to read or write to is no news.
    await Promise.allSettled([age.ended, dump.ended]).then((ends) => {
      const [first] = ends.flatMap((end) => (end.status === 'rejected' ? [end.reason] : []))
      throw first ?? error
    })
  })
  if (!counts.complete) throw new Error('The dump broke off before its end.')
  return { rows: counts.rows, dumpSha256: plain.digest(), fileSha256: sealed.digest() }
}

/** Lets bytes through and hashes them. */
export function hashing(): { through: Transform; digest: () => string } {
  const hash = createHash('sha256')
  const through = new Transform({
    transform(chunk: Buffer, _encoding, done) {
      hash.update(chunk)
      done(null, chunk)
    },
  })
  return { through, digest: () => hash.digest('hex') }
}

export async function hashOfFile(file: string): Promise<string> {
  const { through, digest } = hashing()
  await pipeline(createReadStream(file), through, new PassThrough().resume())
  return digest()
}

/** The installation's own key, encrypted into a file of its own: it is not in the database, and should not lie beside it. */
export async function backUpKeys(
  { secretFile }: Pick<Config, 'secretFile'>,
  { folder, recipient, now }: Wanted,
): Promise<string> {
  if (!existsSync(secretFile)) throw new Error(`There is no key in ${secretFile}.`)
  mkdirSync(folder, { recursive: true, mode: 0o700 })
  const file = join(folder, `probatum-keys-${now.toISOString().slice(0, 19).replace(/:/g, '-')}Z.age`)
  const age = running('age', ['--recipient', recipient, '--output', file, secretFile], {
    stdio: ['ignore', 'ignore', 'pipe'],
  })
  await age.ended
  return file
}
