import { v7 as uuid } from 'uuid'
import type { EmployerView, OwnEmployerDetails } from '#contract/employers'
import { say } from '#core/words/say'
import { mailEmployerInvitation } from '../../accounts/invite'
import { recordEvent } from '../../platform/audit/record'
import { compareAndSet } from '../../platform/database/compareAndSet'
import type { Account as Actor, Deps } from '../../platform/deps'
import { invalidField, notFound } from '../../platform/errors/problems'
import { languageOfAccount } from '../../platform/http/language'
import { Account, Session } from '../../records/accounts/model'
import { type Employer, EmployerPerson, employerById } from '../../records/fees/employers'
import { problems } from '../problems'
import { newCode, writtenCode } from './ask'

/** The organisation account somebody decides for. @throws Problem `not-found` for whoever decides for none any more */
export async function ownEmployer(actor: Actor): Promise<Employer> {
  const person = await EmployerPerson.findByPk(actor.id)
  if (!person) throw notFound()
  return employerById(person.employerId)
}

export const readOwnEmployer = async (actor: Actor): Promise<EmployerView> => employerView(await ownEmployer(actor))

/** An employer as its own people and the money role see it. */
export async function employerView(employer: Employer): Promise<EmployerView> {
  const { id, code, version, owes, closedAt } = employer
  return {
    ...{ id, code: writtenCode(code), version, owes: owes ?? 0, closed: Boolean(closedAt), terms: termsOf(employer) },
    people: await peopleOf(id),
  }
}

export const termsOf = (employer: Employer): EmployerView['terms'] => {
  const { name, currency, limit, invoicing, dueDays, language } = employer
  const { street, postcode, town, receiptMail, findable, orderNumberNeeded } = employer
  return {
    ...{ name, currency, limit: limit ?? null, invoicing, dueDays, language },
    ...{ street, postcode, town, receiptMail, findable, orderNumberNeeded },
  }
}

async function peopleOf(employerId: string): Promise<EmployerView['people']> {
  const people = await EmployerPerson.findAll({ where: { employerId }, order: ['invitedAt', 'accountId'] })
  const accounts = await Account.findAll({ where: { id: people.map(({ accountId }) => accountId) } })
  return people.flatMap(({ accountId }) => {
    const account = accounts.find(({ id }) => id === accountId)
    if (!account) return []
    const { id, name, mail, confirmedAt } = account
    return [{ id, name, mail, state: confirmedAt ? ('active' as const) : ('invited' as const) }]
  })
}

/** Where invoices go, who gets them, and whether candidates find it by name. */
export async function saveOwnEmployer(
  deps: Deps,
  actor: Actor,
  { version, details }: { version: number; details: OwnEmployerDetails },
) {
  const employer = await ownEmployer(actor)
  const receiptMail = details.receiptMail.trim().toLowerCase()
  const saved = await compareAndSet(employer, version, { ...details, receiptMail })
  await recordEvent(deps, actor, { code: 'employer-changed', about: employer.name })
  return { version: saved.version }
}

/** Another code: the one before finds it no more. */
export async function renewCode(deps: Deps, actor: Actor) {
  const employer = await ownEmployer(actor)
  await compareAndSet(employer, employer.version, { code: newCode() })
  await recordEvent(deps, actor, { code: 'employer-changed', about: employer.name })
  return { done: true as const }
}

type Person = { name: string; mail: string }

/**
 * Invites somebody who may decide for an employer; once more where they have not come yet, or were removed. Another account of the
 * address is refused.
 */
export async function invitePerson(deps: Deps, actor: Actor, employer: Employer, given: Person, at = '/body') {
  const mail = given.mail.trim().toLowerCase()
  const known = await Account.findOne({ where: { mail } })
  if (known && !(await mayComeAgain(known, employer.id)))
    throw invalidField(`${at}/mail`, say('problem.addressHasAccount'))
  const now = deps.clock.now()
  const fresh = { name: given.name.trim(), passwordHash: 'none', confirmedAt: null, suspendedAt: null, invitedAt: now }
  const account = known
    ? await known.update(fresh)
    : await Account.create({
        ...{ id: uuid(), mail, roles: ['employer'], ...fresh },
        ...{ language: languageOfAccount(), createdAt: now },
      })
  await EmployerPerson.upsert({ accountId: account.id, employerId: employer.id, invitedAt: now })
  await mailEmployerInvitation(deps, account, employer.name)
  await recordEvent(deps, actor, { code: 'employer-person-invited', about: employer.name })
  return { done: true as const }
}

/** Whoever was invited by this employer and has not come, or decides for none any more. */
async function mayComeAgain({ id, roles, confirmedAt, suspendedAt }: Account, employerId: string): Promise<boolean> {
  if (roles.some((role) => role !== 'employer')) return false
  const person = await EmployerPerson.findByPk(id)
  return person ? person.employerId === employerId && confirmedAt === null : Boolean(suspendedAt)
}

/** Lets somebody decide for one's employer no more; the last one who can stays. */
export async function removePerson(deps: Deps, actor: Actor, id: string) {
  const employer = await ownEmployer(actor)
  // Held meanwhile, so that of two who remove each other one stays.
  await compareAndSet(employer, employer.version, {})
  const people = await peopleOf(employer.id)
  const removed = people.find((one) => one.id === id)
  if (!removed) throw notFound()
  if (!people.some((one) => one.id !== id && one.state === 'active')) throw problems.lastPerson()
  await EmployerPerson.destroy({ where: { accountId: id, employerId: employer.id } })
  await Session.destroy({ where: { accountId: id } })
  await Account.update({ suspendedAt: deps.clock.now() }, { where: { id } })
  await recordEvent(deps, actor, { code: 'employer-person-removed', about: employer.name })
  return { done: true as const }
}
