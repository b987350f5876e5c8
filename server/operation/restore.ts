import { createHash } from 'node:crypto'
import { createReadStream, existsSync, readFileSync } from 'node:fs'
import { pipeline } from 'node:stream/promises'
import { createGunzip } from 'node:zlib'
import { QueryTypes, type Sequelize } from 'sequelize'
import { verifyTrail } from '../audit/verify'
import { streamBytes } from '../records/documents/bytes'
import { Blob } from '../records/documents/model'
import { hashing, type Manifest, manifestOf } from './backUp'
import { clientArguments } from './dump'
import { running } from './programs'

export function readManifest(file: string): Manifest {
  const path = manifestOf(file)
  if (!existsSync(path))
    throw new Error(`Beside ${file} there is no ${path}; without it nobody can say whether all of it came back.`)
  return JSON.parse(readFileSync(path, 'utf8')) as Manifest
}

/**
 * Puts a backup into an empty database.
 *
 * @param identity the file with the secret half of the key it was encrypted to
 * @throws Error in a sentence where the database is not empty, the key does not fit, or the file is not what it was
 */
export async function restore(
  sequelize: Sequelize,
  databaseUrl: string,
  { file, identity }: { file: string; identity: string },
) {
  const tables = await tablesIn(sequelize)
  if (tables.length > 0)
    throw new Error(`The database is not empty (${tables.length} tables). Make a new one, and name it in DATABASE_URL.`)
  const manifest = readManifest(file)
  const { database, given, env } = clientArguments(databaseUrl)
  const age = running('age', ['--decrypt', '--identity', identity], { stdio: ['pipe', 'pipe', 'pipe'] })
  const client = running('mariadb', [...given, '--max-allowed-packet=512M', database], {
    env,
    stdio: ['pipe', 'ignore', 'pipe'],
  })
  const [sealed, plain] = [hashing(), hashing()]
  await Promise.all([
    pipeline(createReadStream(file), sealed.through, age.child.stdin!),
    pipeline(age.child.stdout!, createGunzip(), plain.through, client.child.stdin!),
    age.ended,
    client.ended,
  ]).catch(async (error: unknown) => {
    age.child.kill()
    client.child.kill()
    const [why] = await Promise.allSettled([age.ended])
    throw why?.status === 'rejected' && /no identity matched|incorrect|failed/.test(String(why.reason))
      ? new Error(
          `The key in ${identity} does not fit this backup, or the file is damaged: ${(why.reason as Error).message}`,
        )
      : error
  })
  if (sealed.digest() !== manifest.fileSha256 || plain.digest() !== manifest.dumpSha256)
    throw new Error('The file is not the one that was written: its hash is another.')
  return manifest
}

const tablesIn = async (sequelize: Sequelize): Promise<string[]> =>
  (
    await sequelize.query<{ name: string }>(
      'SELECT TABLE_NAME AS name FROM information_schema.TABLES WHERE TABLE_SCHEMA = DATABASE()',
      { type: QueryTypes.SELECT },
    )
  ).map(({ name }) => name)

export type Compared = {
  tables: number
  rows: number
  links: number
  documents: number
  /** What is not as it was, in sentences. */
  faults: string[]
}

/** Compares what is in the database with what was backed up: rows of each table, the audit trail’s chains, the bytes of every document. */
export async function compareWithBackup(sequelize: Sequelize, { rows }: Pick<Manifest, 'rows'>): Promise<Compared> {
  const faults: string[] = []
  const tables = (
    await sequelize.query<{ name: string }>(
      "SELECT TABLE_NAME AS name FROM information_schema.TABLES WHERE TABLE_SCHEMA = DATABASE() AND TABLE_TYPE = 'BASE TABLE'",
      { type: QueryTypes.SELECT },
    )
  ).map(({ name }) => name)
  let total = 0
  for (const name of new Set([...tables, ...Object.keys(rows)])) {
    const wanted = rows[name] ?? 0
    const there = tables.includes(name) ? await countOf(sequelize, name) : 0
    total += there
    if (there !== wanted) faults.push(`${name} has ${there} rows where ${wanted} were backed up.`)
  }
  const { links, broken } = await verifyTrail({})
  for (const { chain, seq, fault } of broken)
    faults.push(`The audit trail is broken in chain ${chain}, link ${seq}: ${fault}.`)
  const documents = await hashDocuments(faults)
  return { tables: tables.length, rows: total, links, documents, faults }
}

async function countOf(sequelize: Sequelize, table: string): Promise<number> {
  const [row] = await sequelize.query<{ there: number | bigint }>(`SELECT COUNT(*) AS there FROM \`${table}\``, {
    type: QueryTypes.SELECT,
  })
  return Number(row!.there)
}

/** Hashes every document anew; they are kept under their hash. */
async function hashDocuments(faults: string[]): Promise<number> {
  const documents = await Blob.findAll({ attributes: ['sha256', 'wholeAt'] })
  for (const { sha256, wholeAt } of documents) {
    if (!wholeAt) continue
    const hash = createHash('sha256')
    try {
      for await (const piece of (await streamBytes(sha256)).body) hash.update(piece as Buffer)
      if (hash.digest('hex') === sha256) continue
    } catch {
      // said below
    }
    faults.push(`The document ${sha256} is not what it was.`)
  }
  return documents.length
}
