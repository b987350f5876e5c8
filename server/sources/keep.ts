import type { SourceGiven } from '#contract/sources'
import { say } from '#core/words/say'
import { recordEvent } from '../platform/audit/record'
import { compareAndSet } from '../platform/database/compareAndSet'
import type { Account as Actor, Deps } from '../platform/deps'
import { invalidField, requireVersion } from '../platform/errors/problems'
import { takesTwo } from '../records/accounts/policies'
import { accountsWithRight } from '../records/accounts/staff'
import { Source } from '../records/sources/model'
import { searchTextOf, sourceById } from '../records/sources/sources'
import { problems } from './problems'

/** Where a source is asked; whoever could change it unseen could answer in its place. */
const askedAt = ['mail', 'register'] as const

/** Enters a source, or changes what is known of it. What changes where it is asked has to be checked by a second person. */
export async function saveSource(
  deps: Deps,
  actor: Actor,
  id: string,
  { version, source: given }: { version: number; source: SourceGiven },
) {
  const source = { ...given, name: given.name.trim(), town: given.town.trim(), mail: given.mail.trim().toLowerCase() }
  if (source.name === '') throw invalidField('/body/source/name', say('problem.giveTheSourceAName'))
  const known = { ...source, searchText: searchTextOf(source) }
  const entered = { enteredBy: actor.name, enteredById: actor.id, checkedBy: null, checkedAt: null }
  if (version === 0) {
    await Source.create({ id, ...known, ...entered, version: 1 })
    await recordEvent(deps, actor, { code: 'source-entered', values: { source: source.name }, about: source.name })
    return { version: 1 }
  }
  const row = await sourceById(id)
  requireVersion(version, row.version, {})
  const moved = askedAt.some((field) => row[field] !== source[field])
  await compareAndSet(row, version, { ...known, ...(moved ? entered : {}) })
  await recordEvent(deps, actor, {
    code: 'source-changed',
    ...(moved ? { words: 'source-changed.address' as const } : {}),
    values: { source: source.name },
    about: source.name,
    details: { source },
  })
  return { version: row.version }
}

/** Those besides somebody who could check a source. */
const othersWhoKeep = async (id: string | null) =>
  (await accountsWithRight('sources.keep')).filter((account) => account.id !== id)

/** Whether somebody may check a source, and whether only because there is nobody else. */
export async function checkableBy({ enteredById }: Pick<Source, 'enteredById'>, actor: Actor) {
  if (enteredById !== actor.id || !(await takesTwo('source-check'))) return { mayCheck: true, alone: false }
  const alone = (await othersWhoKeep(actor.id)).length === 0
  return { mayCheck: alone, alone }
}

/** Says that a source is what it says. A desk of one does it with a reason, which stays on record. */
export async function checkSource(
  deps: Deps,
  actor: Actor,
  id: string,
  { version, alone: reason }: { version: number; alone?: string },
) {
  const row = await sourceById(id)
  requireVersion(version, row.version, {})
  if (row.checkedAt) throw problems.checkedAlready()
  const { mayCheck, alone } = await checkableBy(row, actor)
  if (!mayCheck) throw problems.twoPersons()
  if (alone && !reason) throw invalidField('/body/alone', say('problem.sayWhyAlone'))
  await compareAndSet(row, version, { checkedBy: actor.name, checkedAt: deps.clock.now() })
  const about = { about: row.name }
  if (alone)
    await recordEvent(deps, actor, {
      ...about,
      code: 'source-checked',
      words: 'source-checked.alone',
      values: { source: row.name, reason: reason!.trim() },
    })
  else
    await recordEvent(deps, actor, {
      ...about,
      code: 'source-checked',
      ...(row.enteredById === actor.id ? { words: 'source-checked.same' as const } : {}),
      values: { source: row.name },
    })
  return { version: row.version }
}

export async function retireSource(
  deps: Deps,
  actor: Actor,
  id: string,
  { version, retired }: { version: number; retired: boolean },
) {
  const row = await sourceById(id)
  requireVersion(version, row.version, {})
  await compareAndSet(row, version, { retiredAt: retired ? deps.clock.now() : null })
  const about = { about: row.name, values: { source: row.name } }
  if (retired) await recordEvent(deps, actor, { ...about, code: 'source-retired' })
  else await recordEvent(deps, actor, { ...about, code: 'source-retired', words: 'source-retired.again' })
  return { version: row.version }
}
