import { Op } from 'sequelize'
import { writeValue } from '#core/words/stored'
import { recordEvent } from '../platform/audit/record'
import { changeWhere } from '../platform/database/compareAndSet'
import type { Account, Deps } from '../platform/deps'
import { notFound } from '../platform/errors/problems'
import { Message } from '../platform/mail/model'
import { applicationById, applicationsById } from '../records/applications/find'
import { hidesName } from '../records/scoring/find'
import { problems } from './problems'

/** A mail usually goes out within seconds; one that waits longer has met with something. */
const waitsAfterMs = 2 * 60_000
const most = 300

const troubled = (deps: Deps) => ({
  [Op.or]: [
    { state: 'refused' as const },
    { state: 'queued' as const, createdAt: { [Op.lt]: new Date(deps.clock.now().getTime() - waitsAfterMs) } },
  ],
})

/** Mails that wait to be taken and that were refused, also those that belong to no application, newest first. */
export async function readOutbox(deps: Deps, { vacancies }: Pick<Account, 'vacancies'>) {
  const messages = await Message.findAll({ where: troubled(deps), order: [['createdAt', 'DESC']], limit: most })
  const applications = await applicationsById(messages.flatMap(({ applicationId }) => applicationId ?? []))
  const seen = messages.filter(
    ({ applicationId }) =>
      !vacancies || applications.some(({ id, vacancyId }) => id === applicationId && vacancies.includes(vacancyId)),
  )
  return Promise.all(
    seen.map(async ({ id, createdAt, channel, toMail, toPhone, subject, state, refusedBecause, applicationId }) => {
      const application = applications.find((one) => one.id === applicationId)
      const hides = application !== undefined && (await hidesName(application))
      return {
        id,
        at: createdAt.toISOString(),
        channel,
        to: hides ? (application.reference ?? '') : (toPhone ?? toMail),
        subject: hides ? '' : subject,
        state: state as 'queued' | 'refused',
        because: hides || !refusedBecause ? null : writeValue(refusedBecause),
        application: application?.reference ? { id: application.id, reference: application.reference } : null,
      }
    }),
  )
}

/** How many mails need somebody, for the rail. */
export const countRefused = (): Promise<number> => Message.count({ where: { state: 'refused' } })

/** Lets a refused mail be: it is told another way, or no longer needed. */
export async function letMessageBe(deps: Deps, actor: Account, id: string) {
  const message = await Message.findByPk(id)
  if (!message) throw notFound()
  if (!(await changeWhere(message, { state: 'refused' }, { state: 'let be' }))) throw problems.notRefused()
  const application = message.applicationId ? await applicationById(message.applicationId) : undefined
  await recordEvent(deps, actor, {
    code: 'mail-let-be',
    values: { subject: message.subject },
    ...(application ? { candidateId: application.candidateId, applicationId: application.id } : {}),
  })
  return { done: true as const }
}
