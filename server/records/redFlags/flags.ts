import { col, fn, Op } from 'sequelize'
import type { FlagKind } from '#core/redFlags/redFlag'
import { readVersioned } from '../../platform/database/settings'
import { Job } from '../../platform/jobs/model'
import { queueJob } from '../../platform/jobs/queue'
import type { Claim } from '../claims/model'
import { Flag, FlagSettlement } from './model'

/** Kinds that are not looked for, with who decided that and why. */
export type SwitchedOff = Partial<Record<FlagKind, { by: string; at: string; reason: string }>>

export async function switchedOff(): Promise<{ version: number; off: SwitchedOff }> {
  const { version, value } = await readVersioned<SwitchedOff>('red flags')
  return { version, off: value ?? {} }
}

/** The kinds that nobody is shown. */
export const offKinds = async () => Object.keys((await switchedOff()).off) as FlagKind[]

/** The flags of files that anybody is shown: of kinds that are looked for, and whose ground is still there. */
export const flagsOf = async (candidateIds: readonly string[]): Promise<Flag[]> =>
  Flag.findAll({
    where: { candidateId: [...candidateIds], state: { [Op.ne]: 'gone' }, kind: { [Op.notIn]: await offKinds() } },
    order: ['raisedAt', 'id'],
  })

/**
 * Whether something stands against a claim that nobody has dismissed. What was raised in a file that has been merged into this
 * one is raised here again, and does not count twice.
 */
export const isFlagged = async ({ id: claimId, candidateId }: Pick<Claim, 'id' | 'candidateId'>): Promise<boolean> =>
  (await Flag.count({
    where: { claimId, candidateId, state: ['open', 'upheld'], kind: { [Op.notIn]: await offKinds() } },
  })) > 0

export const settlementsOf = async (flagIds: readonly string[]): Promise<FlagSettlement[]> =>
  flagIds.length === 0 ? [] : FlagSettlement.findAll({ where: { flagId: [...flagIds] }, order: ['nth'] })

/** How many of each kind were settled, by what they came to. */
export const countsSettled = async (): Promise<{ kind: FlagKind; state: Flag['state']; count: number }[]> =>
  (await Flag.findAll({
    where: { state: ['upheld', 'dismissed'] },
    attributes: ['kind', 'state', [fn('COUNT', col('id')), 'count']],
    group: ['kind', 'state'],
    raw: true,
  })) as unknown as { kind: FlagKind; state: Flag['state']; count: number }[]

const keyOf = (candidateId: string) => `flags ${candidateId}`

/** Leaves a file to be looked through; where it waits for that already, once is enough. */
export const queueFlags = (candidateId: string) =>
  queueJob('red flags', { candidateId }, { uniqueKey: keyOf(candidateId) })

/** What changes from here on is looked at again: to be called before anything is read. */
export const takeUpFlags = (candidateId: string) =>
  Job.update({ uniqueKey: null }, { where: { uniqueKey: keyOf(candidateId) } })
