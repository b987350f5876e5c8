import { Op } from 'sequelize'
import { v7 as uuid } from 'uuid'
import { say } from '#core/words/say'
import { AccessLogEntry } from '../platform/audit/model'
import { recordEvent } from '../platform/audit/record'
import { lockOf } from '../platform/database/connection'
import type { Account, Deps } from '../platform/deps'
import { invalidField, notFound } from '../platform/errors/problems'
import { Message } from '../platform/mail/model'
import { Candidate } from '../records/accounts/model'
import { Application } from '../records/applications/model'
import { Claim } from '../records/claims/model'
import { Document } from '../records/documents/model'
import { DuplicatePair, Merge, type Moved } from '../records/duplicates/model'
import { inOrder } from '../records/duplicates/open'
import { FeeCharge } from '../records/fees/model'
import { RecipientPermission } from '../records/recipients/model'
import { Report } from '../records/reports/model'
import { problems } from './problems'

/** What belongs to a file by its candidate, beside applications. */
const belongings = {
  claims: Claim,
  documents: Document,
  messages: Message,
  accessLog: AccessLogEntry,
  reports: Report,
  recipients: RecipientPermission,
  charges: FeeCharge,
} as const

/** Two files are of two people. */
export async function setApart(deps: Deps, actor: Account, one: string, other: string) {
  const [oneId, otherId] = inOrder(one, other)
  const [settled] = await DuplicatePair.update(
    { state: 'apart', decidedBy: actor.name, decidedAt: deps.clock.now() },
    { where: { oneId, otherId, state: 'open' } },
  )
  if (settled === 0) throw problems.notOpen()
  for (const candidateId of [oneId, otherId]) {
    await recordEvent(deps, actor, { code: 'doubles-apart', candidateId })
  }
  return { done: true as const }
}

/**
 * Merges one file into another: applications, claims, papers, mails and sights move; both accounts lead to what was kept.
 * Nothing is thrown away, and what was moved is written down so that it can be moved back.
 */
export async function mergeFiles(
  deps: Deps,
  actor: Account,
  keptId: string,
  { mergedId, reason }: { mergedId: string; reason: string },
) {
  if (keptId === mergedId) throw invalidField('/body/mergedId', say('problem.aFileIsNotMerged'))
  const [kept, merged] = await Promise.all([fileToMerge(keptId), fileToMerge(mergedId)])
  const moved = await moveAll(mergedId, keptId)
  await merged.update({ mergedInto: keptId })
  // Who was merged into the merged one before comes along.
  await Candidate.update({ mergedInto: keptId }, { where: { mergedInto: mergedId } })
  const merge = await Merge.create({
    id: uuid(),
    keptId,
    mergedId,
    moved,
    mergedBy: actor.name,
    mergedAt: deps.clock.now(),
  })
  const [oneId, otherId] = inOrder(keptId, mergedId)
  await DuplicatePair.update(
    { state: 'merged', decidedBy: actor.name, decidedAt: deps.clock.now() },
    { where: { oneId, otherId } },
  )
  for (const candidateId of [keptId, mergedId])
    await recordEvent(deps, actor, {
      code: 'files-merged',
      values: { merged: merged.name, kept: kept.name, reason: reason.trim() },
      candidateId,
      details: { merge: merge.id, moved: counted(moved) },
    })
  return { id: merge.id }
}

/** Takes two files apart again. What came since belongs to what was kept. */
export async function undoMerge(deps: Deps, actor: Account, id: string) {
  const merge = await Merge.findByPk(id, lockOf())
  if (!merge) throw notFound()
  if (merge.undoneAt) throw problems.undone()
  const { keptId, mergedId, moved } = merge
  const later = await Merge.findOne({
    where: { undoneAt: null, mergedId: keptId, mergedAt: { [Op.gte]: merge.mergedAt } },
  })
  if (later) throw problems.mergedSince()
  for (const { id: applicationId, duplicateOrdinal } of moved.applications)
    await Application.update(
      { candidateId: mergedId, duplicateOrdinal },
      { where: { id: applicationId, candidateId: keptId } },
    )
  for (const [name, model] of Object.entries(belongings))
    await moveRows(model, { id: moved[name as keyof typeof belongings] ?? [], candidateId: keptId }, mergedId)
  await Candidate.update({ mergedInto: null }, { where: { id: mergedId } })
  await merge.update({ undoneBy: actor.name, undoneAt: deps.clock.now() })
  const [oneId, otherId] = inOrder(keptId, mergedId)
  await DuplicatePair.update({ state: 'open', decidedBy: null, decidedAt: null }, { where: { oneId, otherId } })
  for (const candidateId of [keptId, mergedId]) await recordEvent(deps, actor, { code: 'merge-undone', candidateId })
  return { done: true as const }
}

async function fileToMerge(id: string): Promise<Candidate> {
  const candidate = await Candidate.findByPk(id, lockOf())
  if (!candidate || candidate.erasedAt || candidate.eraseOn) throw notFound()
  if (candidate.mergedInto) throw problems.mergedAlready()
  return candidate
}

async function moveAll(from: string, to: string): Promise<Moved> {
  const applications = await Application.findAll({ where: { candidateId: from } })
  const held = await Application.findAll({ where: { candidateId: to }, attributes: ['vacancyId', 'duplicateOrdinal'] })
  for (const application of applications) {
    // Both have applied for the same post: the second stands beside the first.
    const duplicateOrdinal = held
      .filter(({ vacancyId }) => vacancyId === application.vacancyId)
      .reduce((next, { duplicateOrdinal: taken }) => Math.max(next, taken + 1), 0)
    await Application.update({ candidateId: to, duplicateOrdinal }, { where: { id: application.id } })
  }
  const moved: Record<string, string[]> = {}
  for (const [name, model] of Object.entries(belongings)) {
    const rows = await (model as typeof Claim).findAll({ where: { candidateId: from }, attributes: ['id'] })
    moved[name] = rows.map(({ id }) => id)
    await moveRows(model, { candidateId: from }, to)
  }
  return {
    applications: applications.map(({ id, duplicateOrdinal }) => ({ id, duplicateOrdinal })),
    ...(moved as Omit<Moved, 'applications'>),
  }
}

const moveRows = (
  model: (typeof belongings)[keyof typeof belongings],
  where: { candidateId: string; id?: string[] },
  to: string,
) => (model as typeof Claim).update({ candidateId: to }, { where })

const counted = (moved: Moved) => Object.fromEntries(Object.entries(moved).map(([name, rows]) => [name, rows.length]))
