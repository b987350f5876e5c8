import { say } from '#core/words/say'
import { recordEvent } from '../platform/audit/record'
import { compareAndSet } from '../platform/database/compareAndSet'
import type { Account as Actor, Deps } from '../platform/deps'
import { invalidField, requireVersion } from '../platform/errors/problems'
import type { Account } from '../records/accounts/model'
import { isActive } from '../records/accounts/staff'
import { colleagueById } from './colleague'

export const absenceOf = ({ awayFrom, awayThrough, standInId }: Account) =>
  awayFrom && awayThrough ? { from: awayFrom, through: awayThrough, standInId: standInId ?? null } : null

type Absence = { from: string; through: string; standInId: string | null } | null

/** Says when somebody is away, and who sees to their files meanwhile. */
export async function setAbsence(
  deps: Deps,
  actor: Actor,
  id: string,
  { version, absence }: { version: number; absence: Absence },
) {
  const account = await colleagueById(id)
  requireVersion(version, account.version, {})
  if (absence && absence.through < absence.from)
    throw invalidField('/body/absence/through', say('problem.endsBeforeItBegins'))
  if (absence?.standInId === id) throw invalidField('/body/absence/standInId', say('problem.somebodyElseStandsIn'))
  if (absence?.standInId) {
    const standIn = await colleagueById(absence.standInId)
    if (!isActive(standIn))
      throw invalidField('/body/absence/standInId', say('problem.cannotSignInAtPresent', { name: standIn.name }))
  }
  await compareAndSet(account, version, {
    awayFrom: absence?.from ?? null,
    awayThrough: absence?.through ?? null,
    standInId: absence?.standInId ?? null,
  })
  if (absence)
    await recordEvent(deps, actor, {
      code: 'absence-set',
      values: { colleague: account.name, from: { day: absence.from }, through: { day: absence.through } },
      about: account.mail,
      details: absence,
    })
  else
    await recordEvent(deps, actor, { code: 'absence-ended', values: { colleague: account.name }, about: account.mail })
  return { version: account.version }
}

/** One's own absence. */
export async function readOwnAbsence(actor: Actor) {
  const own = await colleagueById(actor.id)
  return { absence: absenceOf(own), version: own.version }
}
