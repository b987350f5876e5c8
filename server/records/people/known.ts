import { Op } from 'sequelize'
import { type KnownPerson, keysOfPerson } from '#core/comparison/keys'
import { isSent } from '#core/hiring/stages'
import { Account, Candidate } from '../accounts/model'
import { textAnswer } from '../applications/answers'
import { applicationsOf } from '../applications/find'
import { Application } from '../applications/model'
import { claimsOfAll } from '../claims/view'
import { importedAmong } from '../imports/people'
import { CandidateKey } from './model'

/** What is known of people for finding and comparing them, files merged into one together. */
export async function knownPeople(candidateIds: readonly string[]): Promise<Map<string, KnownPerson>> {
  const candidates = await Candidate.findAll({
    where: { [Op.or]: [{ id: [...candidateIds] }, { mergedInto: [...candidateIds] }] },
  })
  const accounts = await Account.findAll({
    where: { id: candidates.map(({ accountId }) => accountId) },
    attributes: ['id', 'mail'],
  })
  const claims = await claimsOfAll([...candidateIds], ['id', 'candidateId', 'kind', 'details', 'number'])
  const applications = await Application.findAll({
    where: { candidateId: [...candidateIds] },
    attributes: ['candidateId', 'answers'],
    raw: true,
  })
  const known = new Map<string, KnownPerson>()
  for (const id of candidateIds) {
    const own = candidates.filter((candidate) => candidate.id === id || candidate.mergedInto === id)
    const held = claims.filter(({ candidateId }) => candidateId === id)
    const numbers = (identity: boolean) =>
      held.flatMap(({ kind, number }) => ((kind === 'identity') === identity && number ? [number] : []))
    const main = own.find((candidate) => candidate.id === id)
    const contact = applications
      .filter(({ candidateId }) => candidateId === id)
      .flatMap((application) => textAnswer(application, 'contact.mail') ?? [])
    known.set(id, {
      names: [...new Set(own.flatMap(({ name, otherNames }) => [name, ...otherNames]))],
      born: main?.born ?? null,
      phone: main?.phone ?? null,
      mails: [
        ...new Set([
          ...accounts
            .filter((account) => own.some(({ accountId }) => accountId === account.id))
            .map(({ mail }) => mail),
          ...contact,
        ]),
      ],
      identityNumbers: numbers(true),
      otherNumbers: numbers(false),
    })
  }
  return known
}

/**
 * Writes anew what somebody is found by. Only who has sent something, or was brought by the desk, is found.
 *
 * @returns whether anything of it has changed
 */
export async function refreshKeys(candidateId: string): Promise<boolean> {
  const sent = (await applicationsOf(candidateId)).some((application) => isSent(application) || application.onBehalf)
  const known = sent || (await importedAmong({ sequelize: CandidateKey.sequelize! }, [candidateId])).length > 0
  const person = known ? (await knownPeople([candidateId])).get(candidateId) : undefined
  const wanted = new Map((person ? keysOfPerson(person) : []).map((key) => [`${key.kind} ${key.value}`, key]))
  const held = await CandidateKey.findAll({ where: { candidateId } })
  const gone = held.filter(({ kind, value }) => !wanted.delete(`${kind} ${value}`))
  if (gone.length > 0)
    await CandidateKey.destroy({
      where: { candidateId, [Op.or]: gone.map(({ kind, value }) => ({ kind, value })) },
    })
  if (wanted.size > 0)
    await CandidateKey.bulkCreate(
      [...wanted.values()].map((key) => ({ candidateId, ...key })),
      { ignoreDuplicates: true },
    )
  return gone.length > 0 || wanted.size > 0
}
