import { stringify } from 'csv-stringify/sync'
import { Op } from 'sequelize'
import { v7 as uuid } from 'uuid'
import { groupBy } from '#core/groupBy'
import type { Mapping } from '#core/imports/fields'
import { say } from '#core/words/say'
import { writeValue } from '#core/words/stored'
import { recordEvent } from '../../platform/audit/record'
import { lockOf } from '../../platform/database/connection'
import type { Account as Actor, Deps } from '../../platform/deps'
import { invalidField, notFound } from '../../platform/errors/problems'
import type { FileToKeep } from '../../platform/http/serve'
import { queueJob } from '../../platform/jobs/queue'
import { Account, Candidate } from '../../records/accounts/model'
import { applicationsOf } from '../../records/applications/find'
import { Claim } from '../../records/claims/model'
import { keepBytes } from '../../records/documents/bytes'
import { Document } from '../../records/documents/model'
import { DuplicatePair } from '../../records/duplicates/model'
import { Import, ImportedPerson } from '../../records/imports/model'
import { refreshKeys } from '../../records/people/known'
import { problems } from '../problems'
import { peopleOfImport } from './people'
import { firstRow, readRows, readTable, type Table, tableOf } from './rows'

const mostFaults = 200
const sampleRows = 4

const line = (job: Import) => ({
  id: job.id,
  fileName: job.fileName,
  format: job.format,
  state: job.state,
  total: job.total,
  done: job.done,
  by: job.importedBy,
  at: job.createdAt.toISOString(),
  finishedAt: job.finishedAt?.toISOString() ?? null,
})

export const listImports = async () => (await Import.findAll({ order: [['createdAt', 'DESC']], limit: 500 })).map(line)

/** Keeps a file, says what its columns most likely hold, and imports nothing. */
export async function beginImport(deps: Deps, actor: Actor, fileName: string, bytes: Buffer) {
  const { format, rows, mapping } = readTable(bytes)
  const job = await Import.create({
    id: uuid(),
    fileName: fileName.slice(0, 200),
    format,
    sha256: await keepBytes(bytes, format === 'csv' ? 'text/csv' : 'application/json', deps.clock.now()),
    mapping,
    state: 'mapping',
    total: rows.length,
    done: 0,
    faults: [],
    importedBy: actor.name,
    accountId: actor.id,
    createdAt: deps.clock.now(),
  })
  return { id: job.id }
}

/** An import with what a dry run finds: the first faults by row and column, and who would be made. */
export async function readImport(id: string) {
  const job = await byId(id)
  const table = await tableOf(job)
  const { right, faults, doubts, mails, known } = await tryRows(table, job.mapping)
  return {
    ...line(job),
    columns: table.columns,
    sample: table.rows.slice(0, sampleRows).map((row) => table.columns.map((column) => row[column] ?? '')),
    mapping: job.mapping as Record<string, Mapping[string]>,
    faults: faults.slice(0, mostFaults),
    faultCount: faults.length,
    faultyRows: table.rows.length - right.length,
    doubts: doubts.slice(0, mostFaults),
    doubtCount: doubts.length,
    people: {
      made: mails.length - known,
      known,
      claims: right.reduce(
        (sum, { study, work, credential }) => sum + [study, work, credential].filter(Boolean).length,
        0,
      ),
    },
    note: job.faults[0] ? writeValue(job.faults[0]) : table.note,
    brought: job.state === 'done' ? await peopleOfImport(id) : [],
  }
}

/** Reads every row, and finds which are right and who is known; whoever works here is not imported as a candidate. */
export async function tryRows(table: Table, mapping: Mapping) {
  const { read, faults: own, doubts } = readRows(table, mapping)
  const first = firstRow[table.format]
  const accounts = await Account.findAll({
    where: { mail: [...new Set(read.map(({ mail }) => mail).filter(Boolean))] },
    attributes: ['mail', 'roles'],
  })
  const staff = new Set(accounts.flatMap(({ mail, roles }) => (roles.includes('candidate') ? [] : [mail])))
  const column = Object.keys(mapping).find((name) => mapping[name] === 'mail') ?? say('imports.theRow')
  const message = say('imports.staffAddress')
  const ofStaff = read.flatMap(({ mail }, nth) => (staff.has(mail) ? [{ row: nth + first, column, message }] : []))
  const faults = [...own, ...ofStaff].sort((a, b) => a.row - b.row)
  const wrong = new Set(faults.map(({ row }) => row))
  const right = read.filter((_, nth) => !wrong.has(nth + first))
  const mails = [...new Set(right.map(({ mail }) => mail))]
  return {
    right,
    mails,
    known: accounts.filter(({ mail }) => mails.includes(mail)).length,
    faults,
    doubts: doubts.filter(({ row }) => !wrong.has(row)),
  }
}

/** The rows that are wrong, as they came, each with what is wrong: to put right and import again. */
export async function leftRows(id: string): Promise<FileToKeep> {
  const job = await byId(id)
  const table = await tableOf(job)
  const { faults } = await tryRows(table, job.mapping)
  const first = firstRow[table.format]
  const wrong = groupBy(faults, ({ row }) => row)
  const rows = [...wrong].map(([row, own]) => ({
    ...table.rows[row - first],
    [say('imports.whatIsWrong')]: own.map(({ column, message }) => `${column}: ${message}`).join(' '),
  }))
  const text = stringify(rows, {
    header: true,
    columns: [...table.columns, say('imports.whatIsWrong')],
    bom: true,
    escape_formulas: true,
  })
  return {
    fileName: say('imports.toPutRight', { file: job.fileName.replace(/\.\w+$/, '') }),
    mediaType: 'text/csv; charset=utf-8',
    body: Buffer.from(text),
  }
}

export async function mapImport(id: string, mapping: Mapping) {
  const job = await byId(id)
  if (job.state !== 'mapping' && job.state !== 'failed') throw problems.ran()
  const { columns } = await tableOf(job)
  const strange = Object.keys(mapping).find((column) => !columns.includes(column))
  if (strange) throw invalidField('/body/mapping', say('problem.theFileHasNoColumn', { strange }))
  const fields = Object.values(mapping)
  const twice = fields.find((field, nth) => fields.indexOf(field) !== nth)
  if (twice) throw invalidField('/body/mapping', say('problem.twoColumnsAreTakenFor'))
  await job.update({ mapping, state: 'mapping', faults: [] })
  return { done: true as const }
}

/** Queues the import of the rows that are right. */
export async function runImport(id: string) {
  const job = await byId(id)
  if (job.state !== 'mapping') throw problems.ran()
  const { right } = await tryRows(await tableOf(job), job.mapping)
  if (right.length === 0) throw problems.faulty()
  await job.update({ state: 'waiting', done: 0 })
  await queueJob('import', { importId: id })
  return { done: true as const }
}

/** Takes back everything an import made. Refused where somebody has used any of it: an application, a paper, a decision. */
export async function undoImport(deps: Deps, actor: Actor, id: string) {
  const job = await byId(id)
  if (job.state !== 'done' && !(job.state === 'failed' && job.done > 0)) throw problems.notDone()
  const people = await ImportedPerson.findAll({ where: { importId: id } })
  const claimIds = people.flatMap(({ claims }) => claims)
  const used =
    (await Claim.count({
      where: { id: claimIds, [Op.or]: [{ rung: { [Op.ne]: 'claimed' } }, { version: { [Op.gt]: 0 } }] },
    })) + (await Document.count({ where: { claimId: claimIds } }))
  if (used > 0) throw problems.inUse()
  const made = people.flatMap(({ made: isNew, candidateId }) => (isNew ? [candidateId] : []))
  for (const candidateId of made) if ((await applicationsOf(candidateId)).length > 0) throw problems.personInUse()
  if (
    (await Candidate.count({
      where: { [Op.or]: [{ id: made, mergedInto: { [Op.not]: null } }, { mergedInto: made }] },
    })) > 0
  )
    throw problems.personMerged()
  await Claim.destroy({ where: { id: claimIds } })
  // First, so that nobody is known by it any more.
  await job.update({ state: 'undone', undoneBy: actor.name, undoneAt: deps.clock.now() })
  for (const { candidateId } of people) {
    await recordEvent(deps, actor, {
      code: 'import-undone',
      words: 'import-undone.file',
      values: { file: job.fileName },
      candidateId,
    })
  }
  await forgetPeople(made)
  await recordEvent(deps, actor, { code: 'import-undone', values: { file: job.fileName } })
  return { done: true as const }
}

/** People nobody knew before, who have done nothing here since. */
async function forgetPeople(candidateIds: readonly string[]) {
  const candidates = await Candidate.findAll({ where: { id: [...candidateIds] } })
  for (const candidate of candidates) {
    const account = await Account.findByPk(candidate.accountId)
    // Who has made the account their own keeps it, empty.
    if (account?.confirmedAt) continue
    await refreshKeys(candidate.id)
    await DuplicatePair.destroy({ where: { [Op.or]: [{ oneId: candidate.id }, { otherId: candidate.id }] } })
    await candidate.destroy()
    await account?.destroy()
  }
}

async function byId(id: string): Promise<Import> {
  const job = await Import.findByPk(id, lockOf())
  if (!job) throw notFound()
  return job
}
