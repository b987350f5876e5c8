import type { WhereOptions } from 'sequelize'
import { v7 as uuid } from 'uuid'
import type { beginFor as contract } from '#contract/behalf'
import type { Input } from '#contract/endpoint'
import { isEmpty } from '#core/form/answer'
import { questionsOf } from '#core/form/form'
import { isSent, isWithdrawn } from '#core/hiring/stages'
import { say } from '#core/words/say'
import { newLink, readLink, takeLink } from '../accounts/links'
import { hashOfNewPassword } from '../accounts/password'
import { openSession } from '../accounts/session'
import { beginApplication } from '../applications/begin'
import { eraseDraft } from '../applications/erase'
import { recordEvent } from '../platform/audit/record'
import type { Account as Actor, Actor as AnyActor, Deps } from '../platform/deps'
import { invalidField, notFound } from '../platform/errors/problems'
import { queueMail } from '../platform/mail/queueMail'
import { eraseFile } from '../privacy/erase'
import { accountOfCandidate, candidateById, candidateOf } from '../records/accounts/candidate'
import { Account, actorOf } from '../records/accounts/model'
import { applicationById, applicationsOf } from '../records/applications/find'
import { Application } from '../records/applications/model'
import { claimsOf } from '../records/claims/view'
import { isOpen, rulesOfVacancy, vacanciesById, vacancyById, vacancyBySlug } from '../records/vacancies/vacancies'
import { problems } from './problems'

/**
 * Applications of people who wrote on paper or rang. The desk writes them as long as the person has no account of their
 * own; by a link they take it over, read it through, sign it and send it. Nobody but they can do that.
 */

const linkDays = 14
/** Begins an application for somebody; whoever has an account is mailed the way to it instead. */
export async function beginFor(deps: Deps, actor: Actor, given: Input<typeof contract>['body']) {
  const vacancy = await vacancyBySlug(given.slug)
  if (!isOpen(vacancy, deps.clock.now())) throw problems.closed()
  const mail = given.mail.trim().toLowerCase()
  const [givenNames, familyName] = [given.givenNames.trim(), given.familyName.trim()]
  const addressed = await accountFor(deps, { mail, name: `${givenNames} ${familyName}`, language: given.language })
  const candidate = await candidateOf(deps, actorOf(addressed))
  const account = await accountOfCandidate(candidate.id)
  const theirs = account.confirmedAt !== null
  const applied = await applicationsOf(candidate.id)
  if (applied.some((one) => one.vacancyId === vacancy.id && !isWithdrawn(one)))
    throw problems.appliedAlready(account.name)
  const { id } = await beginApplication(
    deps,
    { ...actorOf(account), by: { id: actor.id, name: actor.name } },
    given.slug,
  )
  const application = await applicationById(id)
  const { form } = await rulesOfVacancy(vacancy)
  const names = { 'about.givenNames': givenNames, 'about.familyName': familyName }
  const asked = new Set(questionsOf(form).map(({ key }) => key))
  const now = deps.clock.now().toISOString()
  await application.update({
    onBehalf: { how: given.how, by: actor.name, at: now, askedAt: theirs ? now : null, confirmedAt: null },
    // What somebody with an account said before is theirs, and stays as it is.
    answers: theirs
      ? application.answers
      : { ...application.answers, ...Object.fromEntries(Object.entries(names).filter(([key]) => asked.has(key))) },
  })
  await recordEvent(deps, actor, {
    code: 'begun-on-behalf',
    words: `begun-on-behalf.${given.how}`,
    values: { vacancy: vacancy.title },
    candidateId: candidate.id,
    applicationId: id,
  })
  if (theirs)
    await queueMail(deps, {
      to: { name: account.name, mail: account.mail, language: account.language },
      words: `begunForYou.${given.how}`,
      values: { vacancy: vacancy.title, link: `${deps.config.publicUrl}/apply/${id}` },
      about: application,
    })
  return { id, theirs }
}

/** The account of an address; one that nobody can sign in to yet is made where there is none. */
async function accountFor(deps: Deps, { mail, name, language }: Pick<Account, 'mail' | 'name' | 'language'>) {
  const known = await Account.findOne({ where: { mail } })
  if (known && !known.roles.includes('candidate')) throw invalidField('/body/mail', say('problem.thisIsTheAddressOf'))
  return (
    known ??
    (await Account.create({
      id: uuid(),
      mail,
      name,
      passwordHash: 'none',
      roles: ['candidate'],
      language,
      confirmedAt: null,
      createdAt: deps.clock.now(),
    }))
  )
}

/** The applications begun for somebody that are not sent, those waiting longest first. */
export async function listBehalf() {
  const open = await Application.findAll({
    where: { stage: 'being written', begunHere: true } as WhereOptions,
    order: ['createdAt', 'id'],
  })
  const vacancies = await vacanciesById(open.map(({ vacancyId }) => vacancyId))
  return Promise.all(
    open.map(async ({ id, candidateId, vacancyId, onBehalf }) => {
      const account = await accountOfCandidate(candidateId)
      const vacancy = vacancies.get(vacancyId)!
      return {
        id,
        name: (await candidateById(candidateId))?.name ?? account.name,
        mail: account.mail,
        title: vacancy.title,
        closesAt: vacancy.closesAt.toISOString(),
        timeZone: vacancy.timeZone,
        ...onBehalf!,
        theirs: account.confirmedAt !== null,
      }
    }),
  )
}

/** An application the desk may still write in. Throws not-found for others. */
async function takenDown(id: string) {
  const application = await Application.findByPk(id)
  if (!application?.onBehalf || isSent(application)) throw notFound()
  const account = await accountOfCandidate(application.candidateId)
  if (account.confirmedAt) throw problems.takenOver(account.name)
  return { application, onBehalf: application.onBehalf, account }
}

/** Mails the person the link by which they take the application over. An earlier link goes on working. */
export async function askToTakeOver(deps: Deps, actor: AnyActor, id: string) {
  const { application, onBehalf, account } = await takenDown(id)
  const vacancy = await vacancyById(application.vacancyId)
  const token = await newLink(deps, account.id, 'take over', { hours: linkDays * 24, next: id })
  await application.update({ onBehalf: { ...onBehalf, askedAt: deps.clock.now().toISOString() } })
  await queueMail(deps, {
    to: { name: account.name, mail: account.mail, language: account.language },
    words: `takeOver.${onBehalf.how}`,
    values: { vacancy: vacancy.title, link: `${deps.config.publicUrl}/take-over/${token}` },
    about: application,
  })
  await recordEvent(deps, actor, {
    code: 'asked-to-take-over',
    values: { name: account.name },
    about: account.mail,
    candidateId: application.candidateId,
    applicationId: id,
  })
  return { done: true as const }
}

/** Forgets what was written down for somebody who does not want it. Whoever has nothing else is forgotten whole. */
export async function setAsideBehalf(deps: Deps, actor: Actor, id: string) {
  const { application } = await takenDown(id)
  const { candidateId } = application
  await recordEvent(deps, actor, { code: 'behalf-set-aside', candidateId, applicationId: id })
  const others = (await applicationsOf(candidateId)).filter((other) => other.id !== id)
  if (others.length > 0) await eraseDraft(deps, application)
  else await eraseFile(deps, actor, candidateId, 'notTakenOver')
  return { done: true as const }
}

async function applicationOfLink(next: string | null) {
  const application = next === null ? null : await Application.findByPk(next)
  if (!application?.onBehalf) throw notFound()
  return { application, onBehalf: application.onBehalf }
}

/** What a link to take an application over is about. */
export async function readTakenDown(deps: Deps, token: string) {
  const link = await readLink(deps, token, ['take over'])
  const { application, onBehalf } = await applicationOfLink(link.next)
  const account = await accountOfCandidate(application.candidateId)
  return {
    name: account.name,
    mail: account.mail,
    title: (await vacancyById(application.vacancyId)).title,
    how: onBehalf.how,
    by: onBehalf.by,
    at: onBehalf.at,
    answers: Object.values(application.answers).filter((answer) => !isEmpty(answer)).length,
    claims: (await claimsOf(application.candidateId)).length,
  }
}

/** Takes an application over: the address is confirmed, the password set, and the desk writes no more in it. */
export async function takeOverBehalf(deps: Deps, { token, password }: { token: string; password: string }) {
  const link = await takeLink(deps, token, ['take over'])
  const account = await Account.findByPk(link.accountId, { rejectOnEmpty: true })
  if (account.confirmedAt) throw problems.theirs()
  const { application, onBehalf } = await applicationOfLink(link.next)
  const now = deps.clock.now()
  await account.update({
    passwordHash: await hashOfNewPassword(password, [account.name, account.mail]),
    confirmedAt: now,
  })
  await application.update({ onBehalf: { ...onBehalf, confirmedAt: now.toISOString() } })
  await recordEvent(deps, actorOf(account), {
    code: 'taken-over',
    words: `taken-over.${onBehalf.how}`,
    values: { by: onBehalf.by },
    about: account.mail,
    candidateId: application.candidateId,
    applicationId: application.id,
  })
  return { id: application.id, session: await openSession(account.id) }
}
