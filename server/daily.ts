import { col, Op } from 'sequelize'
import { dayAt } from '#core/dates/zoned'
import { watchCompletion } from './applications/completion'
import { leftOf } from './applications/remaining'
import { remindOfFinals, tellOfMissedFinals } from './claims/remindOfFinals'
import { forgetReaders } from './desk/ownership'
import { queueUnread } from './documents/reading/readQueued'
import { forgetOldUploads } from './documents/uploads'
import { advanceDue, releaseDue } from './enquiries/pass'
import { closeDays } from './fees/closing/close'
import { lookAfterRequests } from './fees/employers/ask'
import { invoiceMonths, remindEmployers } from './fees/employers/invoice'
import { checkLedgerNightly } from './fees/ledger'
import { remindOfFees } from './fees/remind'
import { remindOfOffers, tellOfExpiredOffers } from './hiring/offerReminders'
import { tellOfMissed } from './incoming/tray/tellOfMissed'
import { queueNotice } from './messages/queueNotice'
import { askToTakeOver } from './onBehalf/behalf'
import { forEachRow } from './platform/database/forEachRow'
import type { Deps } from './platform/deps'
import { forgetOldAttempts } from './platform/http/limits'
import { queueJob } from './platform/jobs/queue'
import { forgetUnheldBytes } from './privacy/erase'
import { retain } from './privacy/retain'
import { readinessOf } from './readiness/readiness'
import { sendReady } from './recipients/send'
import { candidateWithMail } from './records/accounts/candidate'
import { Application } from './records/applications/model'
import { isTheirs } from './records/applications/writtenFor'
import { forgetUnfinished } from './records/decisions/unfinished'
import { allVacancies, isOpen } from './records/vacancies/vacancies'
import { lookThroughNightly } from './redFlags/refresh'
import { markOverdue } from './skills/sit'
import { tellOfLateDecision } from './vacancies/decisionDay'
import { forgetOldDryRuns } from './vacancies/rules/dryRun'
import { endHearings } from './verification/reviews'

const closingSoonDays = 3

/**
 * What happens by itself as days go by, once for each day: reminders, expiries, retention; then every standing is computed
 * anew, as a job of its own. What fails for one row keeps no other waiting; the whole is then tried again for what is left.
 */
export async function runDaily(deps: Deps) {
  const parts = [
    advanceDue,
    releaseDue,
    endHearings,
    remindOfClosing,
    remindOfQuiet,
    watchCompletion,
    remindOfFees,
    lookAfterRequests,
    invoiceMonths,
    remindEmployers,
    checkLedgerNightly,
    closeDays,
    remindOfOffers,
    tellOfExpiredOffers,
    tellOfLateDecision,
    remindOfFinals,
    tellOfMissedFinals,
    tellOfMissed,
    markOverdue,
    queueUnread,
    lookThroughNightly,
    sendReady,
    retain,
  ]
  let failed = 0
  for (const part of parts) failed += await part(deps)
  await forgetOldDryRuns(deps)
  await forgetOldUploads(deps)
  await forgetUnheldBytes(deps)
  await forgetOldAttempts(deps)
  await forgetReaders()
  await forgetUnfinished()
  const day = deps.clock.today().toString()
  await queueJob('summaries', { day }, { uniqueKey: `summaries ${day}` })
  if (failed > 0) throw new Error(`${failed} of what was due today could not be done`)
}

async function remindOfClosing(deps: Deps) {
  const now = deps.clock.now()
  const soon = new Date(now.getTime() + closingSoonDays * 86_400_000)
  const closing = (await allVacancies()).filter((vacancy) => isOpen(vacancy, now) && vacancy.closesAt <= soon)
  const drafts = {
    stage: 'being written' as const,
    setAsideAt: null,
    vacancyId: closing.map(({ id }) => id),
    // A reminder of a quiet week does not take the place of this one.
    [Op.or]: [
      { remindedAt: null },
      { remindedAt: { [Op.lt]: new Date(soon.getTime() - 2 * closingSoonDays * 86_400_000) } },
    ],
  }
  return forEachRow(deps, Application, drafts, async (draft) => {
    const vacancy = closing.find(({ id }) => id === draft.vacancyId)!
    if (!(await isTheirs(draft))) {
      await draft.update({ remindedAt: now })
      // Who was asked to take an application over and has not is asked once more; what is still written here is not theirs yet.
      if (draft.onBehalf?.askedAt) await askToTakeOver(deps, { kind: 'system' }, draft.id)
      return
    }
    const person = await candidateWithMail(draft.candidateId)
    const left = (await leftOf(await readinessOf(deps, draft), draft)).length
    const values = {
      vacancy: vacancy.title,
      closes: { moment: vacancy.closesAt.toISOString(), timeZone: vacancy.timeZone },
      zone: vacancy.timeZone,
      link: `${deps.config.publicUrl}/apply/${draft.id}`,
    }
    await draft.update({ remindedAt: now })
    const mail = { to: person, about: draft }
    if (left === 0) await queueNotice(deps, { ...mail, words: 'closingComplete', values })
    else await queueNotice(deps, { ...mail, words: 'closing', values: { ...values, count: left } })
  })
}

const quietDays = 7

/** A week without a change in an application that is not sent: one reminder, until it is changed again. */
async function remindOfQuiet(deps: Deps) {
  const now = deps.clock.now()
  const open = new Map(
    (await allVacancies()).filter((vacancy) => isOpen(vacancy, now)).map((vacancy) => [vacancy.id, vacancy]),
  )
  const drafts = {
    stage: 'being written' as const,
    setAsideAt: null,
    vacancyId: [...open.keys()],
    savedAt: { [Op.lt]: new Date(now.getTime() - quietDays * 86_400_000) },
    [Op.or]: [{ remindedAt: null }, { remindedAt: { [Op.lt]: col('savedAt') } }],
  }
  return forEachRow(deps, Application, drafts, async (draft) => {
    if (!(await isTheirs(draft))) return
    const vacancy = open.get(draft.vacancyId)!
    const person = await candidateWithMail(draft.candidateId)
    await draft.update({ remindedAt: now })
    await queueNotice(deps, {
      to: person,
      words: 'quiet',
      values: {
        vacancy: vacancy.title,
        until: { day: dayAt(vacancy.closesAt, vacancy.timeZone).toString() },
        link: `${deps.config.publicUrl}/apply/${draft.id}`,
      },
      about: draft,
    })
  })
}
