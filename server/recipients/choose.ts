import { Op } from 'sequelize'
import { writeWhen } from '#core/dates/write'
import { isEmpty } from '#core/form/answer'
import { hasEnded } from '#core/hiring/stages'
import { opennessOf, type Recipient } from '#core/recipients/choice'
import { permissionDays } from '#core/recipients/delivery'
import { factsOfFile } from '#core/requirements/fileFacts'
import { say } from '#core/words/say'
import { translated } from '#core/words/translations'
import { changed } from '../platform/changes'
import { compareAndSet } from '../platform/database/compareAndSet'
import type { Account, Deps } from '../platform/deps'
import { invalidField } from '../platform/errors/problems'
import { readinessOf } from '../readiness/readiness'
import { candidateWithMail } from '../records/accounts/candidate'
import { ownApplication } from '../records/applications/find'
import { Application } from '../records/applications/model'
import { type Signature, sign } from '../records/permissions/signature'
import { RecipientPermission } from '../records/recipients/model'
import { vacancyById } from '../records/vacancies/vacancies'
import { choiceIn, chosenKeys, chosenRecipients } from './chosen'
import { keepPermission } from './permit'
import { problems } from './problems'

/** The bodies of one’s application, and where each stands. */
export async function listChosen(deps: Deps, actor: Account, id: string) {
  return { recipients: await chosenRecipients(deps, await ownApplication(actor, id)) }
}

/**
 * Chooses bodies, and allows each to be told: one signature, and a permission for each. Those that were chosen before stay so,
 * also in an application that was sent; what only the new ones need is asked from here on.
 *
 * @throws Problem `invalid` where one of them is not open to whoever chooses, `ended`
 */
export async function chooseRecipients(
  deps: Deps,
  actor: Account,
  id: string,
  { choose, ...signature }: Signature & { choose: readonly string[] },
) {
  const application = await ownApplication(actor, id, { lock: true })
  if (hasEnded(application)) throw problems.applicationEnded()
  const readiness = await readinessOf(deps, application)
  const question = choiceIn(readiness)
  const { facts } = readiness
  const chosen = choose.map((key) => {
    const recipient = question?.recipients?.find((one) => one.key === key)
    if (!recipient) throw invalidField('/body/choose', say('problem.noSuchRecipient'))
    const openness = opennessOf(recipient, { ...factsOfFile(facts), ...facts.answers }, facts.domains)
    if (openness.state !== 'closed') return recipient
    const { name } = translated(recipient)
    throw invalidField('/body/choose', say('problem.recipientClosed', { recipient: name, because: openness.because }))
  })
  await addToAnswer(deps, application, question!.key, choose)
  const held = await heldIn(deps, id)
  const { title } = await vacancyById(application.vacancyId)
  for (const recipient of chosen)
    if (held.every(({ recipientKey }) => recipientKey !== recipient.key))
      await authorise(deps, actor, { application, recipient, title }, signature)
  await changed(deps, { code: 'answers-changed', actor, candidateId: application.candidateId, applicationId: id })
  return { done: true as const }
}

/** The permissions that hold; one whose time has ended makes room for another. */
async function heldIn({ clock }: Deps, applicationId: string): Promise<RecipientPermission[]> {
  const permissions = await RecipientPermission.findAll({
    where: { applicationId, withdrawnAt: null, holdsFor: { [Op.ne]: null } },
  })
  const over = permissions.filter(({ through }) => through < clock.today().toString())
  for (const permission of over) await permission.update({ holdsFor: null })
  return permissions.filter((one) => !over.includes(one))
}

async function addToAnswer(deps: Deps, application: Application, question: string, choose: readonly string[]) {
  const before = chosenKeys(application, question)
  if (choose.every((key) => before.includes(key))) return
  await answerWith(deps, application, question, [...new Set([...before, ...choose])])
}

/** Takes a body off those that were chosen, once it may not be told any more. */
export async function leaveOut(deps: Deps, actor: Account, { applicationId, recipientKey }: RecipientPermission) {
  if (!applicationId || !recipientKey) return
  const application = await Application.findByPk(applicationId)
  if (!application) return
  const question = choiceIn(await readinessOf(deps, application))
  if (!question) return
  const left = chosenKeys(application, question.key).filter((key) => key !== recipientKey)
  await answerWith(deps, application, question.key, left)
  const { candidateId } = application
  await changed(deps, { code: 'answers-changed', actor, candidateId, applicationId })
}

async function answerWith({ clock }: Deps, application: Application, question: string, keys: readonly string[]) {
  const answers = Object.fromEntries(
    Object.entries({ ...application.answers, [question]: keys }).filter(([, answer]) => !isEmpty(answer)),
  )
  const now = clock.now()
  const answeredAt = { ...application.answeredAt, [question]: now.toISOString() }
  await compareAndSet(application, application.version, { answers, answeredAt, savedAt: now })
}

type Authorising = { application: Application; recipient: Recipient; title: string }

async function authorise(
  deps: Deps,
  actor: Account,
  { application, recipient, title }: Authorising,
  signature: Signature,
) {
  const { candidateId, id: applicationId } = application
  const person = await candidateWithMail(candidateId)
  const { name, about } = translated(recipient)
  const today = deps.clock.today()
  const through = today.add({ days: permissionDays.most }).toString()
  const { sha256, fullName } = await sign(deps, person.name, signature, {
    title: say('permission.toRecipient'),
    paragraphs: [
      say('permission.toChosenAllows', { operator: deps.organisation.name, recipient: name }),
      say('permission.toRecipientMayEnd', { day: writeWhen(through) }),
    ],
    before: [
      [say('permission.givenTo'), deps.organisation.name],
      [say('permission.recipient'), `${name}, ${recipient.mail}`],
      ...(about ? ([[say('permission.purpose'), about]] as [string, string][]) : []),
      [say('permission.application'), title],
    ],
    after: [],
  })
  await keepPermission(
    deps,
    actor,
    candidateId,
    { recipient: { name, mail: recipient.mail, language: recipient.language }, purpose: title, through },
    {
      ...{ given: 'portal', fullName, sha256, signedOn: today.toString(), applicationId },
      ...{ recipientKey: recipient.key, holdsFor: `${applicationId} ${recipient.key}` },
    },
  )
}
