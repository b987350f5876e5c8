import { Op } from 'sequelize'
import { v7 as uuid } from 'uuid'
import type { ClaimDetails } from '#contract/claims'
import type { ImportedRow } from '#core/importing/readRow'
import { credentialKind } from '#core/requirements/catalogue'
import { Account, Candidate } from '../accounts/model'
import { recordEvent } from '../audit/record'
import { Claim } from '../claims/model'
import { inTransaction } from '../database/connection'
import type { Actor, Deps } from '../deps'
import { detectDoubles } from '../doubles/detect'
import { refreshStandingsOf } from '../hiring/standing'
import { queueJob } from '../jobs/queue'
import { refreshKeys } from '../people/known'
import { sourceNamed } from '../sources/sources'
import { Import, ImportedPerson } from './model'
import { forgetProgress, tellProgress } from './progress'
import { readRows, tableOf } from './rows'

const toldEvery = 50

/** The job that imports all rows of a file, in one transaction: all of them are there afterwards, or none. */
export async function runImportJob(deps: Deps, { importId }: { importId: string }) {
  const job = await Import.findByPk(importId)
  if (job?.state !== 'waiting') return
  const table = await tableOf(job)
  const { read } = readRows(table, job.mapping)
  const people = [...grouped(read)]
  try {
    await inTransaction(deps.sequelize, async () => {
      const locked = await Import.findByPk(importId, { lock: true })
      if (locked?.state !== 'waiting') return
      let done = 0
      for (const [, rows] of people) {
        await takeInPerson(deps, job, rows)
        done += rows.length
        if (done % toldEvery < rows.length) await tellProgress(deps, importId, done)
      }
      await forgetProgress(deps, importId)
      await locked.update({ state: 'done', done, finishedAt: deps.clock.now() })
      await queueJob('compare imported', { importId })
      await recordEvent(deps, importer(job), {
        code: 'people-imported',
        what: `Imported ${people.length} people from ${job.fileName}`,
        details: { import: importId },
      })
    })
  } catch (error) {
    deps.log.error({ error: String(error), importId }, 'an import failed')
    await Import.update(
      { state: 'failed', done: 0, faults: [String(error).slice(0, 300)], finishedAt: deps.clock.now() },
      { where: { id: importId } },
    )
  }
}

const comparedPerJob = 200

/** The job that looks for doubles of who was imported, a stretch at a time, so that the import itself does not wait for it. */
export async function compareImported(deps: Deps, { importId, after = '' }: { importId: string; after?: string }) {
  const people = await ImportedPerson.findAll({
    where: { importId, candidateId: { [Op.gt]: after } },
    order: ['candidateId'],
    limit: comparedPerJob,
  })
  for (const { candidateId } of people) await inTransaction(deps.sequelize, () => detectDoubles(deps, candidateId))
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
})

function grouped(rows: readonly ImportedRow[]): Map<string, ImportedRow[]> {
  const groups = new Map<string, ImportedRow[]>()
  for (const row of rows) groups.set(row.mail, [...(groups.get(row.mail) ?? []), row])
  return groups
}

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
    what: `${made ? 'Took in' : 'Added to the file'} from ${job.fileName}: ${claims.length === 1 ? 'one claim' : `${claims.length} claims`}`,
    candidateId: candidate.id,
    details: { import: job.id },
  })
  await refreshKeys(candidate.id)
  await refreshStandingsOf(deps, candidate.id)
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
