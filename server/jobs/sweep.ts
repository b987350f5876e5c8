import { col, Op } from 'sequelize'
import { writeWhen } from '#core/dates/write'
import { openAt } from '#core/requirements/evaluate'
import { candidateWithMail } from '../accounts/candidate'
import { askToTakeOver, isTheirs } from '../applications/behalf'
import { activeApplications } from '../applications/find'
import { Application } from '../applications/model'
import { recordEvent } from '../audit/record'
import { labelOf } from '../claims/label'
import { inTransaction } from '../database/connection'
import type { Deps } from '../deps'
import { forgetOldUploads } from '../documents/uploads'
import { readinessOf } from '../hiring/readiness'
import { refreshStanding } from '../hiring/standing'
import { queueMail } from '../messages/queueMail'
import { retain } from '../privacy/retain'
import { forgetOldDryRuns } from '../rules/dryRun'
import { markOverdue } from '../skills/sit'
import { sourceById } from '../sources/sources'
import { allVacancies, isOpen } from '../vacancies/vacancies'
import { claimById } from '../verification/load'
import { Enquiry } from '../verification/model'
import { linkFor } from '../verification/raiseEnquiry'
import { queueJob } from './queue'

const closingSoonDays = 3
const page = 100

/** What happens by itself as days go by, once for each day: reminders, expiries, and every standing computed anew. */
export async function sweep(deps: Deps) {
  await remindSources(deps)
  await expireLinks(deps)
  await remindOfClosing(deps)
  await remindOfQuiet(deps)
  await forgetOldDryRuns(deps)
  await forgetOldUploads(deps)
  await inTransaction(deps.sequelize, () => markOverdue(deps))
  await retain(deps)
  for (let after: string | undefined; ; ) {
    const applications = await activeApplications(after, page)
    for (const application of applications)
      await inTransaction(deps.sequelize, () => refreshStanding(deps, application))
    after = applications.at(-1)?.id
    if (applications.length < page) return
  }
}

/** Queues today's sweep; if it is there already, nothing happens. */
export async function queueSweep(deps: Deps) {
  const today = deps.clock.today().toString()
  if (lastQueued.get(deps.sequelize) === today) return
  await queueJob('sweep', {}, { uniqueKey: `sweep ${today}` })
  lastQueued.set(deps.sequelize, today)
}

/** Only spares the database the asking; what counts is the unique key there. */
const lastQueued = new WeakMap<object, string>()

async function remindSources(deps: Deps) {
  const due = await Enquiry.findAll({
    where: { state: 'open', remindedAt: null, answerBy: { [Op.lt]: deps.clock.today().toString() } },
    limit: 500,
  })
  for (const enquiry of due) {
    await inTransaction(deps.sequelize, async () => {
      const source = await sourceById(enquiry.sourceId)
      const claim = await claimById(enquiry.claimId)
      const person = await candidateWithMail(claim.candidateId)
      await enquiry.update({ remindedAt: deps.clock.now() })
      await queueMail(deps, {
        to: { name: source.name, mail: source.mail },
        subject: `A reminder: please confirm ${labelOf(claim.details)}, ${person.name}`,
        text: `On ${writeWhen(enquiry.askedAt.toISOString().slice(0, 10))} we asked you about ${person.name}. The answer decides when they can start. It takes about two minutes:\n${await linkFor(deps, enquiry)}`,
        applicationId: enquiry.applicationId,
      })
      await recordEvent(
        deps,
        { kind: 'system' },
        {
          code: 'source-reminded',
          what: `Reminded ${source.name} about ${labelOf(claim.details)}`,
          forCandidate: `We reminded ${source.name}.`,
          about: source.name,
          candidateId: claim.candidateId,
          applicationId: enquiry.applicationId,
          claimId: claim.id,
        },
      )
    })
  }
}

async function expireLinks(deps: Deps) {
  const old = await Enquiry.findAll({ where: { state: 'open', expiresAt: { [Op.lt]: deps.clock.now() } }, limit: 500 })
  for (const enquiry of old) {
    await inTransaction(deps.sequelize, async () => {
      const claim = await claimById(enquiry.claimId)
      const source = await sourceById(enquiry.sourceId)
      await enquiry.update({ state: 'expired' })
      await recordEvent(
        deps,
        { kind: 'system' },
        {
          code: 'enquiry-expired',
          what: `${source.name} did not answer about ${labelOf(claim.details)}; the link has expired`,
          about: source.name,
          candidateId: claim.candidateId,
          applicationId: enquiry.applicationId,
          claimId: claim.id,
        },
      )
    })
  }
}

async function remindOfClosing(deps: Deps) {
  const now = deps.clock.now()
  const soon = new Date(now.getTime() + closingSoonDays * 86_400_000)
  const closing = (await allVacancies()).filter((vacancy) => isOpen(vacancy, now) && vacancy.closesAt <= soon)
  const drafts = await Application.findAll({
    where: {
      stage: 'being written',
      vacancyId: closing.map(({ id }) => id),
      // A reminder of a quiet week does not take the place of this one.
      [Op.or]: [
        { remindedAt: null },
        { remindedAt: { [Op.lt]: new Date(soon.getTime() - 2 * closingSoonDays * 86_400_000) } },
      ],
    },
    limit: 1000,
  })
  for (const draft of drafts) {
    await inTransaction(deps.sequelize, async () => {
      const vacancy = closing.find(({ id }) => id === draft.vacancyId)!
      if (!(await isTheirs(draft))) {
        await draft.update({ remindedAt: now })
        // Who was asked to take an application over and has not is asked once more; what is still written here is not theirs yet.
        if (draft.onBehalf?.askedAt) await askToTakeOver(deps, { kind: 'system' }, draft.id)
        return
      }
      const person = await candidateWithMail(draft.candidateId)
      const left = openAt((await readinessOf(deps, draft)).outcomes, 'send').length
      const closes = vacancy.closesAt.toLocaleString('en-GB', {
        timeZone: vacancy.timeZone,
        day: 'numeric',
        month: 'short',
        hour: '2-digit',
        minute: '2-digit',
      })
      await draft.update({ remindedAt: now })
      await queueMail(deps, {
        to: person,
        subject: `Not sent yet: ${vacancy.title} closes ${closes}`,
        text: `Your application for ${vacancy.title} has not been sent. ${left === 0 ? 'It is complete.' : `${left === 1 ? 'One thing is' : `${left} things are`} left.`} It closes on ${closes} (${vacancy.timeZone}).\n\n${deps.config.publicUrl}/apply/${draft.id}`,
        applicationId: draft.id,
      })
    })
  }
}

const quietDays = 7

/** A week without a change in an application that is not sent: one reminder, until it is changed again. */
async function remindOfQuiet(deps: Deps) {
  const now = deps.clock.now()
  const open = new Map(
    (await allVacancies()).filter((vacancy) => isOpen(vacancy, now)).map((vacancy) => [vacancy.id, vacancy]),
  )
  const drafts = await Application.findAll({
    where: {
      stage: 'being written',
      vacancyId: [...open.keys()],
      savedAt: { [Op.lt]: new Date(now.getTime() - quietDays * 86_400_000) },
      [Op.or]: [{ remindedAt: null }, { remindedAt: { [Op.lt]: col('savedAt') } }],
    },
    limit: 1000,
  })
  for (const draft of drafts) {
    await inTransaction(deps.sequelize, async () => {
      if (!(await isTheirs(draft))) return
      const vacancy = open.get(draft.vacancyId)!
      const person = await candidateWithMail(draft.candidateId)
      await draft.update({ remindedAt: now })
      await queueMail(deps, {
        to: person,
        subject: `Still to send: ${vacancy.title}`,
        text: `You began to apply for ${vacancy.title} and have not been back for a week. All you wrote is kept. It can be sent until ${writeWhen(vacancy.closesAt.toISOString().slice(0, 10))}:\n\n${deps.config.publicUrl}/apply/${draft.id}\n\nIf you have changed your mind, nothing is needed.`,
        applicationId: draft.id,
      })
    })
  }
}
