import { Op } from 'sequelize'
import { v7 as uuid } from 'uuid'
import type { Account as AccountActor, Deps } from '../deps'
import { notFound } from '../http/problems'
import { Account, AccountLink, Candidate, RecoveryCode, Session } from './model'

/** The file of the person signed in; made the first time it is needed. One that was merged leads to the one that was kept. */
export async function candidateOf(deps: Deps, actor: AccountActor): Promise<Candidate> {
  const where = { accountId: actor.id }
  // Looked for first, because finding or making opens a transaction of its own.
  const candidate =
    (await Candidate.findOne({ where })) ??
    (
      await Candidate.findOrCreate({
        where,
        defaults: {
          id: uuid(),
          accountId: actor.id,
          name: actor.name,
          born: null,
          otherNames: [],
          createdAt: deps.clock.now(),
        },
      })
    )[0]
  return candidate.mergedInto ? Candidate.findByPk(candidate.mergedInto, { rejectOnEmpty: true }) : candidate
}

export const candidateById = async (id: string): Promise<Candidate | undefined> =>
  (await Candidate.findByPk(id)) ?? undefined

/** A file and those that were merged into it. */
export const mergedWith = async (id: string): Promise<string[]> => [
  id,
  ...(await Candidate.findAll({ where: { mergedInto: id }, attributes: ['id'] })).map((merged) => merged.id),
]

/** The account a file is written to at. Throws not-found. */
export async function accountOfCandidate(id: string): Promise<Account> {
  const candidate = await Candidate.findByPk(id)
  const account = candidate && (await Account.findByPk(candidate.accountId))
  if (!account) throw notFound()
  return account
}

/** A candidate with the mail address to write to. Throws not-found. */
export async function candidateWithMail(id: string) {
  const candidate = await Candidate.findByPk(id)
  if (!candidate) throw notFound()
  const account = await Account.findByPk(candidate.accountId)
  if (!account) throw notFound()
  return {
    id,
    name: candidate.name,
    born: candidate.born,
    otherNames: candidate.otherNames,
    mail: account.mail,
    language: account.language,
  }
}

/** Takes over name and birth date from the answers about the person. */
export async function rememberPerson(
  id: string,
  person: { name?: string; born?: string | null; otherNames?: Candidate['otherNames']; phone?: string | null },
) {
  await Candidate.update(person, { where: { id } })
}

export async function candidateNames(ids: readonly string[]): Promise<Map<string, string>> {
  const candidates = await Candidate.findAll({ where: { id: [...ids] }, attributes: ['id', 'name'] })
  return new Map(candidates.map(({ id, name }) => [id, name]))
}

/** Nobody signs in to this account any more, and no mail goes to its address. */
export async function closeAccount(candidateId: string) {
  const candidates = await Candidate.findAll({
    where: { [Op.or]: [{ id: candidateId }, { mergedInto: candidateId }] },
  })
  const ids = candidates.map(({ accountId }) => accountId)
  for (const accountId of ids)
    await Account.update(
      {
        mail: `erased-${accountId}@erased.invalid`,
        name: 'Erased',
        passwordHash: 'none',
        confirmedAt: null,
        roles: [],
        otpSecret: null,
        otpOnSince: null,
      },
      { where: { id: accountId } },
    )
  for (const model of [Session, AccountLink, RecoveryCode]) await destroyOf(model, ids)
}

const destroyOf = (model: typeof Session | typeof AccountLink | typeof RecoveryCode, accountIds: string[]) =>
  (model as typeof Session).destroy({ where: { accountId: accountIds } })

/** The file stays until the end of a day because something in it has to. */
export const postponeErasing = (id: string, until: string) => Candidate.update({ eraseOn: until }, { where: { id } })

/** Takes out of a file who it is. */
export async function eraseCandidate({ clock }: Deps, id: string) {
  await closeAccount(id)
  await Candidate.update(
    { name: 'Erased', born: null, otherNames: [], phone: null, eraseOn: null, erasedAt: clock.now() },
    { where: { [Op.or]: [{ id }, { mergedInto: id }] } },
  )
}
