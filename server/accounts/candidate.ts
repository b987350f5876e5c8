import { Op } from 'sequelize'
import { v7 as uuid } from 'uuid'
import type { Account as AccountActor, Deps } from '../deps'
import { notFound } from '../http/problems'
import { Account, Candidate } from './model'

/** The file of the person signed in; made the first time it is needed. */
export async function candidateOf(deps: Deps, actor: AccountActor): Promise<Candidate> {
  const [candidate] = await Candidate.findOrCreate({
    where: { accountId: actor.id },
    defaults: {
      id: uuid(),
      accountId: actor.id,
      name: actor.name,
      born: null,
      otherNames: [],
      createdAt: deps.clock.now(),
    },
  })
  return candidate
}

/** A candidate with the mail address to write to. Throws not-found. */
export async function candidateWithMail(id: string) {
  const candidate = await Candidate.findByPk(id)
  const account = candidate && (await Account.findByPk(candidate.accountId))
  if (!candidate || !account) throw notFound()
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
  person: { name?: string; born?: string | null; otherNames?: Candidate['otherNames'] },
) {
  await Candidate.update(person, { where: { id } })
}

export async function candidateNames(ids: readonly string[]): Promise<Map<string, string>> {
  const candidates = await Candidate.findAll({ where: { id: [...ids] }, attributes: ['id', 'name'] })
  return new Map(candidates.map(({ id, name }) => [id, name]))
}

export async function candidatesNamed(text: string, most: number): Promise<{ id: string; name: string }[]> {
  const like = `%${text.replace(/[\\%_]/g, '\\$&')}%`
  return (await Candidate.findAll({ where: { name: { [Op.like]: like } }, order: ['name', 'id'], limit: most })).map(
    ({ id, name }) => ({ id, name }),
  )
}
