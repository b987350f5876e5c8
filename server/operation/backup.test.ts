import { execFileSync } from 'node:child_process'
import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { QueryTypes, Sequelize } from 'sequelize'
import { applied, type House, openHouse } from '../../test/house'
import { backUp, backUpKeys, type Manifest, manifestOf } from './backUp'
import { countingDump } from './dump'
import { compareWithBackup, restore } from './restore'

let house: House
let folder: string
let recipient: string
let other: string
beforeAll(async () => {
  house = await openHouse('backup')
  folder = mkdtempSync(join(tmpdir(), 'probatum-backup-'))
  const key = (name: string) => {
    execFileSync('age-keygen', ['-o', join(folder, name)], { stdio: 'ignore' })
    return /public key: (age1\w+)/.exec(readFileSync(join(folder, name), 'utf8'))![1]!
  }
  recipient = key('key.txt')
  other = key('other.txt')
}, 60_000)
afterAll(async () => {
  await house.close()
  rmSync(folder, { recursive: true, force: true })
})

/** A database of its own beside the house's, empty. */
async function emptyDatabase(name: string) {
  const { sequelize, config } = house.fixed
  await sequelize.query(`DROP DATABASE IF EXISTS ${name}`)
  await sequelize.query(`CREATE DATABASE ${name} CHARACTER SET utf8mb4`)
  const url = config.databaseUrl.replace(/\/[^/]*$/, `/${name}`)
  // Models stay tied to the house's own database; what is compared here is read by SQL.
  return { url, sequelize: new Sequelize(url, { logging: false, pool: { max: 2 } }) }
}

const rowsOf = async (sequelize: Sequelize, sql: string) => sequelize.query<object>(sql, { type: QueryTypes.SELECT })
const write = (at: number) => backUp(house.fixed.config, { folder, recipient, now: new Date(at) })

test('a backup written while people go on is one moment of it; wrecked, all of it comes back', async () => {
  const candidate = await house.candidate('Berta Backup')
  await applied(house, candidate, ['Berta', 'Backup'])
  let going = true
  const goOn = (async () => {
    for (let nth = 0; going; nth += 1) await house.candidate(`Writer ${'abcdefghij'[nth % 10]}`)
  })()
  const { file, manifest } = await write(Date.UTC(2026, 10, 28, 3))
  going = false
  await goOn
  expect(manifest.rows).toMatchObject({ applications: 1 })
  const bytes = readFileSync(file)
  expect(bytes.subarray(0, 21).toString()).toBe('age-encryption.org/v1')
  expect(bytes.includes('Berta')).toBe(false)
  expect(JSON.stringify(manifest)).not.toContain('Berta')

  const { url, sequelize } = await emptyDatabase('test_backup_restored')
  await restore(sequelize, url, { file, identity: join(folder, 'key.txt') })
  for (const table of ['applications', 'claims', 'events', 'blobs'])
    expect(await rowsOf(sequelize, `SELECT * FROM ${table} ORDER BY 1`)).toHaveLength(manifest.rows[table]!)
  const one = `SELECT id, answers, stage, reference FROM applications`
  expect(await rowsOf(sequelize, one)).toEqual(await rowsOf(house.fixed.sequelize, one))
  const [{ value }] = (await rowsOf(sequelize, 'SELECT NEXT VALUE FOR numbers_applications AS value')) as [
    { value: number },
  ]
  expect(Number(value)).toBe(2)
  await sequelize.close()
}, 60_000)

test('what came back is compared: rows, chains and documents; each that differs is named', async () => {
  const { manifest } = await write(Date.UTC(2026, 10, 28, 4))
  const { sequelize } = house.fixed
  const before = await compareWithBackup(sequelize, manifest)
  expect(before.faults.filter((fault) => !/sessions|jobs|messages/.test(fault))).toEqual([])
  expect(before.documents).toBeGreaterThan(1)
  expect(before.links).toBeGreaterThan(5)

  await sequelize.query("UPDATE events SET who = 'Somebody else' ORDER BY id LIMIT 1")
  await sequelize.query('DELETE FROM permissions ORDER BY id LIMIT 1')
  await sequelize.query("UPDATE blob_chunks SET bytes = CONCAT('x', bytes) ORDER BY sha256 LIMIT 1")
  const { faults } = await compareWithBackup(sequelize, manifest)
  expect(faults).toEqual(
    expect.arrayContaining([
      expect.stringMatching(/^permissions has \d+ rows where \d+ were backed up\.$/),
      expect.stringMatching(/^The audit trail is broken in chain /),
      expect.stringMatching(/^The document [0-9a-f]{64} is not what it was\.$/),
    ]),
  )
}, 60_000)

describe('a restore is refused', () => {
  let file: string
  beforeAll(async () => {
    file = (await write(Date.UTC(2026, 10, 28, 5))).file
  })
  const tried = async (name: string, given: { file?: string; identity?: string } = {}) => {
    const { url, sequelize } = await emptyDatabase(name)
    const said = await restore(sequelize, url, { file, identity: join(folder, 'key.txt'), ...given }).then(
      () => 'restored',
      (error: Error) => error.message,
    )
    await sequelize.close()
    return said
  }

  test('into a database that holds anything', async () => {
    const { fixed } = house
    await expect(
      restore(fixed.sequelize, fixed.config.databaseUrl, { file, identity: join(folder, 'key.txt') }),
    ).rejects.toThrow(/is not empty \(\d+ tables\)/)
  })

  test('with another key', async () => {
    expect(await tried('test_backup_key', { identity: join(folder, 'other.txt') })).toMatch(/does not fit this backup/)
    expect(other).not.toBe(recipient)
  })

  test('of a file in which one byte was changed', async () => {
    const bytes = readFileSync(file)
    bytes[bytes.length - 40]! ^= 1
    const changed = join(folder, 'changed.sql.gz.age')
    writeFileSync(changed, bytes)
    writeFileSync(manifestOf(changed), readFileSync(manifestOf(file)))
    expect(await tried('test_backup_changed', { file: changed })).not.toBe('restored')
  })

  test('of a file whose manifest is of another', async () => {
    const swapped = join(folder, 'swapped.sql.gz.age')
    writeFileSync(swapped, readFileSync(file))
    const manifest = JSON.parse(readFileSync(manifestOf(file), 'utf8')) as Manifest
    writeFileSync(manifestOf(swapped), JSON.stringify({ ...manifest, dumpSha256: '0'.repeat(64) }))
    expect(await tried('test_backup_swapped', { file: swapped })).toMatch(/its hash is another/)
  })
})

test('a backup that fails leaves no file that looks like one', async () => {
  const before = readdirSync(folder).length
  const nowhere = house.fixed.config.databaseUrl.replace(/\/[^/]*$/, '/there_is_no_such')
  const now = new Date(Date.UTC(2026, 10, 28, 6))
  await expect(backUp({ databaseUrl: nowhere }, { folder, recipient, now })).rejects.toThrow(/mariadb-dump ended with/)
  await expect(backUp(house.fixed.config, { folder, recipient: 'age1nobody', now })).rejects.toThrow(/age ended with/)
  expect(readdirSync(folder)).toHaveLength(before)
})

test('the key of the installation is a file of its own, that the same key opens', async () => {
  const { secretFile } = house.fixed.config
  const file = await backUpKeys(house.fixed.config, { folder, recipient, now: new Date() })
  const opened = execFileSync('age', ['--decrypt', '-i', join(folder, 'key.txt'), file])
  expect(opened.equals(readFileSync(secretFile))).toBe(true)
})

test('rows are counted however the dump is cut into pieces, and what a person wrote is never taken for one', () => {
  const dump = [
    'INSERT INTO `notes` VALUES',
    "(1,'a\\nINSERT INTO `others` VALUES\\n(2)'),",
    "(2,'b');",
    'UNLOCK TABLES;',
    '(not a row)',
    'INSERT INTO `others` VALUES (1);',
    '-- Dump completed on 2026-11-28',
    '',
  ].join('\n')
  for (const size of [1, 7, 4096]) {
    const { through, counts } = countingDump()
    for (let at = 0; at < dump.length; at += size) through.write(dump.slice(at, at + size))
    through.end()
    through.resume()
    expect([size, counts.rows]).toEqual([size, { notes: 2, others: 1 }])
  }
})
