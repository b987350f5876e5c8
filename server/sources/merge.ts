import { Op } from 'sequelize'
import { v7 as uuid } from 'uuid'
import { mergeSources as merged, type SingleField, unmergeSource } from '#core/sources/merge'
import { recordEvent } from '../platform/audit/record'
import { changeWhere, compareAndSet } from '../platform/database/compareAndSet'
import type { Account as Actor, Deps } from '../platform/deps'
import { notFound, requireVersion } from '../platform/errors/problems'
import { queueJob } from '../platform/jobs/queue'
import { Source, SourceMerge, SourcePair } from '../records/sources/model'
import { columnsOf, factsOfSource, sourceEntry } from '../records/sources/sources'
import { adoptProposed } from './adopt'
import { settle } from './keep'
import { problems } from './problems'
import { inOrder } from './twins'

type Given = { goneId: string; version: number; goneVersion: number; take: SingleField[] }

/**
 * Merges another source into one: every name stays findable, claims and enquiries follow. What each claim was moved by is
 * kept, so that it can be taken back. The row of the source that goes is written first: whoever names it at the same moment
 * has done so before, and follows, or finds the one that stays.
 *
 * @throws Problem `changed-meanwhile` where either was changed or merged since it was seen
 */
export async function mergeSources(deps: Deps, actor: Actor, keptId: string, given: Given) {
  if (keptId === given.goneId) throw problems.itself()
  const [kept, gone] = await Promise.all([sourceEntry(keptId), sourceEntry(given.goneId)])
  if (kept.mergedIntoId || gone.mergedIntoId) throw problems.merged()
  requireVersion(given.version, kept.version, {})
  requireVersion(given.goneVersion, gone.version, {})
  const now = deps.clock.now()
  const proposed = gone.state === 'proposed'
  const [before, goneFacts] = [factsOfSource(kept), factsOfSource(gone)]
  const goneBefore = { retiredAt: gone.retiredAt?.toISOString() ?? null, retiredBecause: gone.retiredBecause ?? null }
  await compareAndSet(gone, given.goneVersion, { mergedIntoId: keptId, retiredAt: now, proposalKey: null })
  const facts = merged(before, goneFacts, given.take)
  // A register that comes from somebody unchecked is asked like a contact: a second person looks at it first.
  const unchecked = facts.register !== before.register && !gone.checkedAt
  await compareAndSet(kept, given.version, {
    ...columnsOf(facts),
    ...(unchecked
      ? {
          enteredBy: gone.enteredBy || actor.name,
          enteredById: gone.enteredById ?? actor.id,
          checkedBy: null,
          checkedAt: null,
        }
      : {}),
  })
  await settle(deps, actor, kept)
  await settle(deps, actor, gone)
  const merge = await SourceMerge.create({
    ...{ id: uuid(), keptId, goneId: gone.id, goneOpen: gone.id },
    ...{ keptBefore: before, merged: facts, goneBefore, mergedBy: actor.name, mergedAt: now },
  })
  await moveAll(merge.id, gone.id, keptId)
  // What was merged into the one that goes is merged into the one that stays.
  await Source.update({ mergedIntoId: keptId }, { where: { mergedIntoId: gone.id } })
  await SourcePair.update(
    { state: 'merged', decidedBy: actor.name, decidedAt: now },
    { where: inOrder(keptId, gone.id) },
  )
  await recordEvent(deps, actor, {
    code: 'sources-merged',
    values: { source: kept.name, other: gone.name },
    about: kept.name,
    details: { merge: merge.id, take: given.take },
  })
  if (proposed && kept.state !== 'proposed') await adoptProposed(deps, actor, kept)
  await sumUpAgain(deps, merge.id)
  return { id: merge.id }
}

/** Claims and enquiries of one source become those of another; which is written down row by row. */
async function moveAll(mergeId: string, fromId: string, toId: string) {
  const sequelize = Source.sequelize!
  const moves = [
    ['claim', 'claims', 'sourceId'],
    ['proposed', 'claims', 'proposedSourceId'],
    ['enquiry', 'enquiries', 'sourceId'],
    ['wait', 'enquiry_waits', 'sourceId'],
    ['award', 'award_records', 'sourceId'],
    ['research', 'programme_research', 'sourceId'],
  ] as const
  const replacements = { mergeId, fromId, toId }
  for (const [kind, table, column] of moves) {
    await sequelize.query(
      `INSERT INTO source_merge_moves (mergeId, kind, rowId) SELECT :mergeId, '${kind}', id FROM ${table} WHERE ${column} = :fromId`,
      { replacements },
    )
    const details = kind === 'claim' ? ", details = JSON_SET(details, '$.sourceId', :toId)" : ''
    // Of an award or a programme that both have, the one that stays has its own.
    const ignore = kind === 'award' || kind === 'research' ? 'IGNORE ' : ''
    await sequelize.query(`UPDATE ${ignore}${table} SET ${column} = :toId${details} WHERE ${column} = :fromId`, {
      replacements,
    })
  }
}

/** Takes two merged sources apart: what came with a merge goes back, what was changed or named since stays. */
export async function undoSourceMerge(deps: Deps, actor: Actor, id: string) {
  const merge = await SourceMerge.findByPk(id)
  if (!merge) throw notFound()
  const now = deps.clock.now()
  const undone = { goneOpen: null, undoneBy: actor.name, undoneAt: now }
  if (!(await changeWhere(merge, { undoneAt: { [Op.is]: null } }, undone))) throw problems.undone()
  const [kept, gone] = await Promise.all([sourceEntry(merge.keptId), sourceEntry(merge.goneId)])
  // Where the one that stayed went itself since, that is undone first.
  if (kept.mergedIntoId) throw problems.merged()
  const apart = unmergeSource(merge.keptBefore, merge.merged, factsOfSource(kept))
  await compareAndSet(kept, kept.version, columnsOf(apart))
  await settle(deps, actor, kept)
  const { retiredAt, retiredBecause } = merge.goneBefore
  await compareAndSet(gone, gone.version, {
    mergedIntoId: null,
    retiredAt: retiredAt ? new Date(retiredAt) : null,
    retiredBecause,
  })
  await settle(deps, actor, gone)
  await moveBack(merge)
  await SourcePair.update({ state: 'open' }, { where: { ...inOrder(kept.id, gone.id), state: 'merged' } })
  await recordEvent(deps, actor, {
    code: 'source-merge-undone',
    values: { source: kept.name, other: gone.name },
    about: kept.name,
    details: { merge: id },
  })
  await sumUpAgain(deps, `${id} undone`)
  return { done: true as const }
}

/** Only what is still where the merge put it. */
async function moveBack({ id: mergeId, keptId, goneId }: SourceMerge) {
  const sequelize = Source.sequelize!
  const replacements = { mergeId, keptId, goneId }
  const moved = (kind: string) =>
    `id IN (SELECT rowId FROM source_merge_moves WHERE mergeId = :mergeId AND kind = '${kind}')`
  await sequelize.query(
    `UPDATE claims SET sourceId = :goneId, details = JSON_SET(details, '$.sourceId', :goneId) WHERE sourceId = :keptId AND ${moved('claim')}`,
    { replacements },
  )
  await sequelize.query(`UPDATE enquiries SET sourceId = :goneId WHERE sourceId = :keptId AND ${moved('enquiry')}`, {
    replacements,
  })
  // A question that came with the merge may have become one of an erased file since.
  await sequelize.query(
    `UPDATE enquiry_waits SET sourceId = :goneId WHERE sourceId = :keptId AND (${moved('enquiry')} OR ${moved('wait')})`,
    { replacements },
  )
  for (const [kind, table] of [['award', 'award_records'] as const, ['research', 'programme_research'] as const])
    await sequelize.query(`UPDATE ${table} SET sourceId = :goneId WHERE sourceId = :keptId AND ${moved(kind)}`, {
      replacements,
    })
  // A proposal that became one of the directory is a proposal again.
  await sequelize.query(
    `UPDATE claims SET proposedSourceId = :goneId, sourceId = NULL, details = JSON_SET(details, '$.sourceId', NULL)
     WHERE ${moved('proposed')} AND (proposedSourceId = :keptId OR (proposedSourceId IS NULL AND sourceId = :keptId))`,
    { replacements },
  )
  await Source.update(
    { mergedIntoId: goneId },
    { where: { mergedIntoId: keptId, id: { [Op.in]: await mergedInto(goneId) } } },
  )
}

/** What had been merged into a source before it went itself. */
const mergedInto = async (id: string): Promise<string[]> =>
  (await SourceMerge.findAll({ where: { keptId: id, undoneAt: { [Op.is]: null } } })).map(({ goneId }) => goneId)

/** What is known of a source's programmes may be another now for whoever names it. */
const sumUpAgain = async (deps: Deps, because: string) => {
  const day = deps.clock.today().toString()
  await queueJob('summaries', { day, because: `sources ${because}` }, { uniqueKey: `summaries sources ${because}` })
}
