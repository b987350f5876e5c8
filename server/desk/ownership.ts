import { Op } from 'sequelize'
import { say } from '#core/words/say'
import { recordEvent } from '../platform/audit/record'
import type { Account as Actor, Deps } from '../platform/deps'
import { changedMeanwhile, invalidField } from '../platform/errors/problems'
import { Account } from '../records/accounts/model'
import { accountsWithRight, isActive } from '../records/accounts/staff'
import { sentApplication } from '../records/applications/find'
import { FileOwner, FileReader, FileWatcher, ownerOf, passFile } from '../records/applications/owners'

/** Those a file can be given to, by name. */
export async function listNames() {
  return (await accountsWithRight('files.read')).map(({ id, name }) => ({ id, name }))
}

/** Takes a file, gives it to somebody, or leaves it to nobody, where it still is whose the giver saw. */
export async function setOwner(
  deps: Deps,
  actor: Actor,
  applicationId: string,
  { from, to }: { from: string | null; to: string | null },
) {
  const application = await sentApplication(applicationId)
  const receiver = to === null ? null : await Account.findByPk(to)
  if (to !== null && !(receiver && isActive(receiver) && (await listNames()).some(({ id }) => id === to)))
    throw invalidField('/body/to', say('problem.cannotSignInAtPresent', { name: receiver?.name ?? '' }))
  if (!(await passFile(deps, applicationId, from, to))) throw changedMeanwhile({ owner: await ownerOf(applicationId) })
  const about = {
    about: application.reference ?? undefined,
    candidateId: application.candidateId,
    applicationId,
  }
  if (receiver === null) await recordEvent(deps, actor, { ...about, code: 'file-left' })
  else if (to === actor.id) await recordEvent(deps, actor, { ...about, code: 'file-taken' })
  else await recordEvent(deps, actor, { ...about, code: 'file-handed-over', values: { colleague: receiver.name } })
  return { owner: receiver && { id: receiver.id, name: receiver.name } }
}

/** Puts a file among one's own without its becoming one's own, or takes it out again. */
export async function watchFile(actor: Actor, applicationId: string, watching: boolean) {
  await sentApplication(applicationId)
  const row = { applicationId, accountId: actor.id }
  if (watching) await FileWatcher.bulkCreate([row], { ignoreDuplicates: true })
  else await FileWatcher.destroy({ where: row })
  return { watching }
}

export const isWatched = async (actor: Actor, applicationId: string): Promise<boolean> =>
  (await FileWatcher.count({ where: { applicationId, accountId: actor.id } })) > 0

/** A page that says nothing for so long has been closed. */
const openForMs = 50_000

/** Says that one has a file open, and gives who else has. Goes by the machine's clock. */
export async function sayOpen(actor: Actor, applicationId: string, place: string) {
  await sentApplication(applicationId)
  const now = new Date()
  await FileReader.upsert({ applicationId, accountId: actor.id, place, seenAt: now })
  const readers = await FileReader.findAll({
    where: {
      applicationId,
      accountId: { [Op.ne]: actor.id },
      seenAt: { [Op.gt]: new Date(now.getTime() - openForMs) },
    },
    order: ['accountId'],
  })
  const names = new Map(
    (await Account.findAll({ where: { id: readers.map(({ accountId }) => accountId) } })).map(({ id, name }) => [
      id,
      name,
    ]),
  )
  return {
    others: readers.map(({ accountId, place: theirs }) => ({ name: names.get(accountId) ?? '', place: theirs })),
  }
}

/** What nobody has open any more is forgotten. */
export const forgetReaders = () =>
  FileReader.destroy({ where: { seenAt: { [Op.lt]: new Date(Date.now() - 86_400_000) } } })

/** The owners of files, by application. */
export async function ownersOf(applicationIds: readonly string[]): Promise<Map<string, { id: string; name: string }>> {
  const owners = await FileOwner.findAll({ where: { applicationId: [...applicationIds] } })
  const accounts = await Account.findAll({
    where: { id: [...new Set(owners.map(({ accountId }) => accountId))] },
    attributes: ['id', 'name'],
  })
  const names = new Map(accounts.map(({ id, name }) => [id, name]))
  return new Map(
    owners.map(({ applicationId, accountId }) => [applicationId, { id: accountId, name: names.get(accountId) ?? '' }]),
  )
}
