import { Op, QueryTypes } from 'sequelize'
import { v7 as uuid } from 'uuid'
import type { ClaimDetails } from '#contract/claims'
import { credentialKind } from '#core/catalogue/catalogue'
import { groupBy } from '#core/groupBy'
import type { ImportedRow } from '#core/imports/readRow'
import { rightsOf } from '#core/rights/rights'
import { coded } from '#core/words/say'
import { detectDuplicates } from '../../duplicates/detect'
import { recordEvent } from '../../platform/audit/record'
import { changeWhere } from '../../platform/database/compareAndSet'
import { inTransaction, lockOf } from '../../platform/database/connection'
import type { Actor, Deps } from '../../platform/deps'
import { describeError } from '../../platform/errors/describeError'
import { queueJob } from '../../platform/jobs/queue'
import { Account, Candidate } from '../../records/accounts/model'
import { Claim } from '../../records/claims/model'
import { Import, ImportedPerson } from '../../records/imports/model'
import { sourceNamed } from '../../records/sources/sources'
import { tryRows } from './imports'
import { tableOf } from './rows'

const peopleAtOnce = 100

/**
 * The job that imports every row that is right, some people at a time, so that nobody waits behind it. What it made is taken
 * back together; where it breaks off, it goes on with whoever is not there yet.
 */
export async function runImportJob(deps: Deps, { importId }: { importId: string }) {
  const job = await Import.findByPk(importId)
  if (job?.state !== 'waiting') return
  const { right } = await tryRows(await tableOf(job), job.mapping)
  const people = [...groupBy(right, ({ mail }) => mail).values()]
  try {
    for (let from = 0; from < people.length; from += peopleAtOnce)
      await inTransaction(deps.sequelize, () => takeInSome(deps, job, people.slice(from, from + peopleAtOnce)))
    await inTransaction(deps.sequelize, async () => {
      if (!(await changeWhere(job, { state: 'waiting' }, { state: 'done', finishedAt: deps.clock.now() }))) return
      await queueJob('compare imported', { importId })
      await recordEvent(deps, importer(job), {
        code: 'people-imported',
        values: { count: people.length, file: job.fileName },
        details: { import: importId },
      })
    })
  } catch (error) {
    deps.log.error({ error: describeError(error), importId }, 'an import failed')
    await Import.update(
      { state: 'failed', faults: [coded('imports.failed')], finishedAt: deps.clock.now() },
      { where: { id: importId, state: 'waiting' } },
    )
  }
}

async function takeInSome(deps: Deps, { id }: Import, people: readonly ImportedRow[][]) {
  // Of two that work on one import the second waits here, and then finds who is there.
  const job = await Import.findByPk(id, { ...lockOf(), rejectOnEmpty: true })
  if (job.state !== 'waiting') return
  const there = await mailsOf(id)
  let done = 0
  for (const rows of people) {
    if (there.has(rows[0]!.mail)) continue
    await takeInPerson(deps, job, rows)
    done += rows.length
  }
  await job.update({ done: job.done + done })
}

/** The addresses of whoever an import has taken in so far. */
async function mailsOf(importId: string): Promise<Set<string>> {
  const rows = await Import.sequelize!.query<{ mail: string }>(
    `SELECT a.mail FROM imported_people i JOIN candidates c ON c.id = i.candidateId JOIN accounts a ON a.id = c.accountId
     WHERE i.importId = :importId`,
    { replacements: { importId }, type: QueryTypes.SELECT },
  )
  return new Set(rows.map(({ mail }) => mail))
}

const comparedPerJob = 200

/** The job that looks for duplicates of who was imported, a stretch at a time, so that the import itself does not wait for it. */
export async function compareImported(deps: Deps, { importId, after = '' }: { importId: string; after?: string }) {
  const people = await ImportedPerson.findAll({
    where: { importId, candidateId: { [Op.gt]: after } },
    order: ['candidateId'],
    limit: comparedPerJob,
  })
  for (const { candidateId } of people) await inTransaction(deps.sequelize, () => detectDuplicates(deps, candidateId))
  const last = people.at(-1)?.candidateId
  if (people.length === comparedPerJob)
    await queueJob('compare imported', { importId, after: last }, { uniqueKey: `compare ${importId} ${last}` })
}

const importer = (job: Import): Actor => ({
  kind: 'account',
  id: job.accountId,
  name: job.importedBy,
  mail: '',
  roles: ['coordinator'],
  rights: rightsOf(['coordinator']),
})

async function takeInPerson(deps: Deps, job: Import, rows: readonly ImportedRow[]) {
  const [first] = rows as [ImportedRow]
  const known = await Account.findOne({ where: { mail: first.mail } })
  const now = deps.clock.now()
  const account =
    known ??
    (await Account.create({
      id: uuid(),
      mail: first.mail,
      name: first.name,
      // Nobody signs in before they have made the account their own.
      passwordHash: 'none',
      roles: ['candidate'],
      confirmedAt: null,
      createdAt: now,
    }))
  const [candidate, made] = await Candidate.findOrCreate({
    where: { accountId: account.id },
    defaults: {
      id: uuid(),
      accountId: account.id,
      name: first.name,
      born: first.born || null,
      otherNames: [],
      phone: first.phone || null,
      createdAt: now,
    },
  })
  const claims: string[] = []
  for (const row of rows)
    for (const details of await detailsOf(row)) {
      const number = 'number' in details && details.number ? details.number : null
      const claim = await Claim.create({
        id: uuid(),
        candidateId: candidate.id,
        kind: details.kind,
        details,
        number,
        rung: 'claimed',
        sourceId: details.sourceId,
        credentialVersion: 1,
        version: 0,
        createdAt: now,
        saidAt: now,
      })
      claims.push(claim.id)
    }
  await ImportedPerson.create({ importId: job.id, candidateId: candidate.id, made, claims })
  await recordEvent(deps, importer(job), {
    code: 'person-imported',
    words: made ? 'person-imported' : 'person-imported.added',
    values: { count: claims.length, file: job.fileName },
    candidateId: candidate.id,
    details: { import: job.id },
  })
}

async function detailsOf({ study, work, credential }: ImportedRow): Promise<ClaimDetails[]> {
  const source = async (name: string) => {
    const found = name ? await sourceNamed(name) : undefined
    return { sourceId: found?.id ?? null, sourceName: found?.name ?? name }
  }
  const details: ClaimDetails[] = []
  if (study)
    details.push({
      kind: 'study',
      ...(await source(study.source)),
      award: study.award,
      subject: study.subject,
      level: study.level,
      // Unknown, in ISCED-F 2013.
      field: '9999',
      number: study.number,
      from: study.from,
      to: study.to,
    })
  if (work)
    details.push({
      kind: 'work',
      ...(await source(work.source)),
      activity: 'employment',
      position: work.position,
      from: work.from,
      to: work.to,
      fullTimeShare: 100,
      tags: [],
      confirmBy: '',
      mayAsk: 'after an offer',
    })
  if (credential)
    details.push({
      kind: credentialKind(credential.kind)!.claim,
      ...(await source(credential.source)),
      credential: credential.kind,
      number: credential.number,
      issued: credential.issued,
      through: credential.through,
    })
  return details
}
