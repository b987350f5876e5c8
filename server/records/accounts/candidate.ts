import { literal, Op } from 'sequelize'
import { v7 as uuid } from 'uuid'
import { rowOf, rowsOf } from '../../platform/database/rows'
import type { Account as AccountActor, Deps } from '../../platform/deps'
import { notFound } from '../../platform/errors/problems'
import { NoticeChoice, PhoneCode } from '../messages/notices'
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

export const candidateById = (id: string): Promise<Candidate | undefined> => rowOf(Candidate, { id })

export const candidatesById = (ids: readonly string[]): Promise<Candidate[]> => rowsOf(Candidate, { id: [...ids] })

/** The files that accounts lead to, by the account. */
export async function filesOfAccounts(accountIds: readonly string[]): Promise<Map<string, string>> {
  const candidates = await rowsOf(Candidate, { accountId: [...new Set(accountIds)] })
  return new Map(candidates.map(({ id, accountId, mergedInto }) => [accountId, mergedInto ?? id]))
}

/** A file and those that were merged into it. */
export const mergedWith = async (id: string): Promise<string[]> => (await candidatesOf(id)).map((one) => one.id)

/** The row of a file, and after it those of the files merged into it. Throws not-found. */
async function candidatesOf(id: string): Promise<Candidate[]> {
  const candidates = await rowsOf(Candidate, { [Op.or]: [{ id }, { mergedInto: id }] })
  const own = candidates.find((one) => one.id === id)
  if (!own) throw notFound()
  return [own, ...candidates.filter((one) => one !== own)]
}

/**
 * The account a file is written to at: its own, or, where nobody can sign in to that, the one of a file merged into it.
 * Throws not-found.
 */
export const accountOfCandidate = async (id: string): Promise<Account> => (await withAccount(id)).account

/** A file with those merged into it, and beside them the account they are written to at. Throws not-found. */
async function withAccount(id: string) {
  const escaped = Candidate.sequelize!.escape(id)
  const theirs = literal(`(SELECT accountId FROM candidates WHERE id = ${escaped} OR mergedInto = ${escaped})`)
  const [candidates, accounts] = await Promise.all([candidatesOf(id), rowsOf(Account, { id: { [Op.in]: theirs } })])
  const inOrder = candidates.flatMap(({ accountId }) => accounts.find((one) => one.id === accountId) ?? [])
  const account = inOrder.find(({ confirmedAt }) => confirmedAt !== null) ?? inOrder[0]
  if (!account) throw notFound()
  return { candidates, account }
}

/** A candidate with the mail address to write to, and the files that belong to them. Throws not-found. */
export async function candidateWithMail(id: string) {
  const {
    candidates,
    account: { id: accountId, mail, language },
  } = await withAccount(id)
  const { name, born, otherNames } = candidates[0]!
  return { id, accountId, name, born, otherNames, mail, language, files: candidates.map((one) => one.id) }
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
  const ids = (await candidatesOf(candidateId)).map(({ accountId }) => accountId)
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
  for (const model of [Session, AccountLink, RecoveryCode, NoticeChoice, PhoneCode]) await destroyOf(model, ids)
}

type OfAccount = typeof Session | typeof AccountLink | typeof RecoveryCode | typeof NoticeChoice | typeof PhoneCode

const destroyOf = (model: OfAccount, accountIds: string[]) =>
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
