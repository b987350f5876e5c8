import { Op } from 'sequelize'
import { isSent } from '#core/hiring/stages'
import { hiddenKindOfClaim, sees } from '#core/privacy/hidden'
import type { Account, Deps } from '../../platform/deps'
import { notFound } from '../../platform/errors/problems'
import { logAccess } from '../../privacy/accessLog'
import { accountOfCandidate, candidateById, candidatesById } from '../../records/accounts/candidate'
import { applicationsOf } from '../../records/applications/find'
import { labelOf } from '../../records/claims/label'
import { Claim } from '../../records/claims/model'
import { ImportedPerson } from '../../records/imports/model'
import { importsOf, isThere } from '../../records/imports/people'
import { namesHiddenIn } from '../../records/people/shownNames'
import { titlesOfVacancies } from '../../records/vacancies/vacancies'

/**
 * People the desk knows by an import. Before they have applied there is no file of an application to open; what the import
 * brought can be seen all the same, and nothing else: what they write themselves is theirs until they send it.
 */

const mostListed = 200

/** The first people of an import, by name, with how many claims it brought of each. */
export async function peopleOfImport(importId: string) {
  const rows = await ImportedPerson.findAll({ where: { importId } })
  const brought = new Map(rows.map(({ candidateId, claims }) => [candidateId, claims.length]))
  const people = await candidatesById([...brought.keys()])
  return people
    .filter(isThere)
    .map(({ id, name }) => ({ candidateId: id, name, claims: brought.get(id) ?? 0 }))
    .sort((a, b) => a.name.localeCompare(b.name))
    .slice(0, mostListed)
}

function lastingOf(details: Claim['details']): { from: string | null; to: string | null } {
  if ('from' in details) return { from: details.from || null, to: details.to || null }
  if (!('credential' in details)) return { from: null, to: null }
  return { from: details.issued || null, to: /^\d/.test(details.through) ? details.through : null }
}

/** A person who came with an import, and what it brought. Throws not-found for others. */
export async function readImportedPerson(deps: Deps, actor: Account, candidateId: string) {
  const [person, came] = await Promise.all([candidateById(candidateId), importsOf(deps, [candidateId])])
  if (!person || came.length === 0 || !isThere(person)) throw notFound()
  const [account, hiding, applications, claims] = await Promise.all([
    accountOfCandidate(candidateId),
    namesHiddenIn([candidateId]),
    applicationsOf(candidateId),
    Claim.findAll({
      where: { id: came.flatMap((one) => one.claims), removedAt: { [Op.is]: null } },
      order: ['createdAt', 'id'],
    }),
  ])
  const sent = applications.filter(isSent)
  const titles = await titlesOfVacancies(sent.map(({ vacancyId }) => vacancyId))
  await logAccess(deps, actor, { candidateId, applicationId: null, subject: 'file', what: 'imported' })
  return {
    candidateId,
    ...(hiding.has(candidateId)
      ? { name: hiding.get(candidateId)!.reference ?? '', mail: '' }
      : { name: person.name, mail: account.mail }),
    phone: hiding.has(candidateId) ? null : (person.phone ?? null),
    born: sees(actor.rights, 'birth date') && !hiding.has(candidateId) ? person.born : null,
    hasAccount: account.confirmedAt !== null,
    came: came.map(({ importId, fileName, at, by }) => ({ importId, fileName, at: new Date(at).toISOString(), by })),
    claims: claims.map(({ id, details, number, rung }) => ({
      id,
      label: labelOf(details),
      source: details.sourceName,
      number: hiddenKindOfClaim(details) ? '' : (number ?? ''),
      ...lastingOf(details),
      rung,
    })),
    applications: sent.map(({ id, reference, stage, vacancyId }) => ({
      id,
      reference: reference ?? null,
      title: titles.get(vacancyId) ?? '',
      stage,
    })),
  }
}
