import type { CodeWith, EventCode } from '#core/events/events'
import { isSent, isWithdrawn } from '#core/hiring/stages'
import { differencesOf } from '#core/rules/difference'
import { writeAmount } from '#core/words/amounts'
import { say } from '#core/words/say'
import type { StoredValue, StoredValues } from '#core/words/stored'
import type { Change } from '../platform/changes'
import type { Deps } from '../platform/deps'
import { inLanguage } from '../platform/http/language'
import { candidateWithMail } from '../records/accounts/candidate'
import { contactMail } from '../records/applications/answers'
import { applicationById, applicationsOf } from '../records/applications/find'
import { type Application, Snapshot } from '../records/applications/model'
import { FeeCharge } from '../records/fees/model'
import { Offer } from '../records/hiring/model'
import { permissionOf } from '../records/permissions/permissions'
import { checkTitles } from '../records/skills/checks'
import { rulesOfVacancy, vacancyById } from '../records/vacancies/vacancies'
import { queueNotice } from './queueNotice'

/** What a mail to a candidate is made of: who it goes to, what it is about, and what the event said. */
type Told = {
  deps: Deps
  /** The address they gave for their application, or else that of their account. */
  to: Awaited<ReturnType<typeof candidateWithMail>>
  about: Application | undefined
  /** To the status page, or the list of applications where none is under way. */
  link: string
  values: StoredValues
  details: Record<string, unknown>
}
type ToldOfOne = Told & { about: Application; vacancy: string }

/** Events about a file as a whole. */
type OfFile =
  | 'document-sent-back'
  | 'candidate-heard'
  | 'document-discarded'
  | 'final-paper-due'
  | 'final-paper-missed'
  | 'source-asks-more'
  | 'posted-paper-missed'

/** Which mail tells a candidate of what has happened; an event with the effect `told` and no mail does not compile. Mails with a link that works once are sent where it is made. */
const mails: Record<Exclude<CodeWith<'told'>, OfFile>, (told: ToldOfOne) => Promise<unknown>> = {
  'application-sent': async ({ deps, about, vacancy, link }) => {
    // With all they said: to the address that was confirmed, and not to one that was only typed.
    const to = await candidateWithMail(about.candidateId)
    const reference = about.reference ?? ''
    const [snapshot, permission] = await Promise.all([
      Snapshot.findByPk(about.id, { rejectOnEmpty: true }),
      permissionOf(about.id),
    ])
    const named = (name: string, sha256: string) => ({ fileName: `${name}.pdf`, sha256 })
    const attachments = inLanguage(to.language, () => [
      named(say('mail.received.application', { reference }), snapshot.pdfSha256!),
      ...(permission ? [named(say('mail.enquiry.permission', { name: reference }), permission.sha256)] : []),
    ])
    await queueNotice(deps, { to, about, attachments, words: 'received', values: { reference, vacancy, link } })
  },
  'gate-shortlist': ({ deps, to, about, vacancy, link }) =>
    queueNotice(deps, { to, about, words: 'shortlist', values: { vacancy, link } }),
  'gate-offer': async ({ deps, to, about, vacancy, link }) => {
    const { startsOn, answerBy } = await Offer.findByPk(about.id, { rejectOnEmpty: true })
    const values = { vacancy, start: { day: startsOn }, until: { day: answerBy }, link }
    await queueNotice(deps, { to, about, words: 'offer', values })
  },
  'gate-start': ({ deps, to, about, vacancy, link }) =>
    queueNotice(deps, { to, about, words: 'cleared', values: { vacancy, start: { day: about.targetStart }, link } }),
  'offer-extended': ({ deps, to, about, vacancy, link, values }) =>
    queueNotice(deps, { to, about, words: 'offerExtended', values: { vacancy, until: values.until!, link } }),
  'offer-withdrawn': ({ deps, to, about, vacancy, link }) =>
    queueNotice(deps, { to, about, words: 'offerWithdrawn', values: { vacancy, link } }),
  'offer-expired': ({ deps, to, about, vacancy, link, values }) =>
    queueNotice(deps, { to, about, words: 'offerExpired', values: { vacancy, until: values.until!, link } }),
  'start-changed': ({ deps, to, about, vacancy, link, values }) => {
    const { before, start, reason } = values
    return queueNotice(deps, {
      to,
      about,
      words: 'startChanged',
      values: { vacancy, before: before!, start: start!, reason: reason!, link },
    })
  },
  'decision-day-moved': ({ deps, to, about, vacancy, link, values }) => {
    const { before, day, reason } = values
    return queueNotice(deps, {
      to,
      about,
      words: 'decisionDay',
      values: { vacancy, before: before!, day: day!, reason: reason!, link },
    })
  },
  'decision-late': ({ deps, to, about, vacancy, link, values }) =>
    queueNotice(deps, { to, about, words: 'decisionLate', values: { vacancy, day: values.day!, link } }),
  'cover-sheet-not-right': ({ deps, to, about, link, values: { paper, sheet, why } }) =>
    queueNotice(deps, { to, about, words: 'sheetNotRight', values: { paper: paper!, sheet: sheet!, why: why!, link } }),
  'original-received': ({ deps, to, about, link, values }) =>
    queueNotice(deps, { to, about, words: 'originalReceived', values: { paper: values.paper!, link } }),
  'original-returned': ({ deps, to, about, link, values }) =>
    queueNotice(deps, { to, about, words: 'originalReturned', values: { paper: values.paper!, to: values.to!, link } }),
  'matter-decided': async ({ deps, to, about, vacancy, link, values }) => {
    // A refusal is told with the decision on the application, by whoever writes that.
    if (isRefusal(values.outcome)) return
    await queueNotice(deps, { to, about, words: 'matterDecided', values: { vacancy, matter: values.matter!, link } })
  },
  'moved-to-rules': async ({ deps, to, about, vacancy, link, values, details }) => {
    const changes = await changesOfRules(about, Number(details.before), to.language)
    await queueNotice(deps, {
      to,
      about,
      words: 'rulesChanged',
      values: { vacancy, reason: values.reason!, changes: changes.join('\n'), link },
    })
  },
  'resit-allowed': ({ deps, to, about, link, values, details }) =>
    queueNotice(deps, {
      to,
      about,
      words: 'resit',
      values: { check: values.check!, from: dayIn(details, 'notBefore'), link },
    }),
  'fee-charged': async ({ deps, to, about, vacancy, link, values, details }) => {
    const charge = await FeeCharge.findByPk(String(details.charge))
    // What comes to nothing is no news; what is to be paid is.
    if (!charge || charge.owed <= 0) return
    const amount = inLanguage(to.language, () => writeAmount(charge.owed, charge.currency))
    await queueNotice(deps, {
      ...{ to, about, words: 'feeDue' },
      values: { fee: values.fee!, vacancy, amount, day: { day: charge.dueOn }, link },
    })
  },
  'fee-received': ({ deps, to, about, vacancy, link, values }) =>
    queueNotice(deps, { to, about, words: 'feeReceived', values: { fee: values.fee!, vacancy, link } }),
  'payer-accepted': (told) => payerAnswered(told, 'payer-accepted'),
  'payer-declined': (told) => payerAnswered(told, 'payer-declined'),
  'payer-lapsed': (told) => payerAnswered(told, 'payer-lapsed'),
  'payer-returned': (told) => payerAnswered(told, 'payer-returned'),
  'fee-refunded': (told) => feeChanged(told, 'event.fee-refunded.toCandidate'),
  'fee-waived': (told) => feeChanged(told, 'event.fee-waived.toCandidate'),
  'fee-corrected': (told) => feeChanged(told, 'event.fee-corrected.toCandidate'),
  'part-reopened': ({ deps, to, about, vacancy, link, values, details }) => {
    const { part, reason } = values
    return queueNotice(deps, {
      to,
      about,
      words: 'changePart',
      values: {
        reference: about.reference ?? '',
        part: part!,
        vacancy,
        reason: reason!,
        due: dayIn(details, 'dueOn'),
        link,
      },
    })
  },
}

/** What became of what an employer was asked; its reason stands in no event, which others at the desk read. */
const payerAnswered = (
  { deps, to, about, link, values, details }: ToldOfOne,
  code: 'payer-accepted' | 'payer-declined' | 'payer-lapsed' | 'payer-returned',
) =>
  queueNotice(deps, {
    ...{ to, about, words: 'payerAnswered' },
    values: {
      fee: values.fee!,
      employer: values.employer!,
      what: { code: `event.${code}.toCandidate`, values: { employer: values.employer!, fee: values.fee! } },
      reason: (details.reason ?? '') as StoredValue,
      link,
    },
  })

/** What was changed about a fee, and why; the reason stands in no event, which others at the desk read. */
const feeChanged = (
  { deps, to, about, link, values, details }: ToldOfOne,
  code: `event.${'fee-refunded' | 'fee-waived' | 'fee-corrected'}.toCandidate`,
) =>
  queueNotice(deps, {
    ...{ to, about, words: 'feeChanged' },
    values: {
      fee: values.fee!,
      what: { code, values: { fee: values.fee! } },
      reason: (details.reason ?? '') as StoredValue,
      link,
    },
  })

/** The same of what is in their file and belongs to no one application. */
const mailsOfFile: Record<OfFile, (told: Told) => Promise<unknown>> = {
  'document-sent-back': ({ deps, to, about, link, values }) => {
    const { claim, file, reason } = values
    return queueNotice(deps, {
      to,
      about,
      words: 'betterCopy',
      values: { claim: claim!, file: file!, reason: reason!, link },
    })
  },
  'candidate-heard': ({ deps, to, about, link, values: { claim, what, day } }) =>
    queueNotice(deps, { to, about, words: 'hearing', values: { claim: claim!, what: what!, day: day!, link } }),
  'document-discarded': ({ deps, to, about, link, values: { claim, reason } }) =>
    queueNotice(deps, { to, about, words: 'paperDiscarded', values: { claim: claim!, reason: reason!, link } }),
  'final-paper-due': ({ deps, to, about, link, values: { claim, day } }) =>
    queueNotice(deps, { to, about, words: 'finalPaperDue', values: { claim: claim!, day: day!, link } }),
  'final-paper-missed': ({ deps, to, about, link, values: { claim, day } }) =>
    queueNotice(deps, { to, about, words: 'finalPaperMissed', values: { claim: claim!, day: day!, link } }),
  'posted-paper-missed': ({ deps, to, about, link, values: { paper } }) =>
    queueNotice(deps, { to, about, words: 'postedMissed', values: { paper: paper!, link } }),
  'source-asks-more': ({ deps, to, about, link, values: { source, claim, what } }) =>
    queueNotice(deps, {
      to,
      about,
      words: 'sourceAsksMore',
      values: { source: source!, claim: claim!, what: what!, link },
    }),
}

/** Tells candidates by mail what was done about their applications, in the transaction it was done in. */
export async function tellCandidates(deps: Deps, changes: readonly Change[]) {
  for (const change of changes) {
    if (isOfFile(change.code) && change.candidateId) {
      const about = (await applicationsOf(change.candidateId)).find((one) => isSent(one) && !isWithdrawn(one))
      await mailsOfFile[change.code](await toldOf(deps, change, change.candidateId, about))
    } else if (isOfOne(change.code) && change.applicationId) {
      const about = await applicationById(change.applicationId)
      const { title } = await vacancyById(about.vacancyId)
      await mails[change.code]({ ...(await toldOf(deps, change, about.candidateId, about)), about, vacancy: title })
    }
  }
}

const isRefusal = (outcome: StoredValue | undefined) =>
  typeof outcome === 'object' && 'code' in outcome && outcome.code === 'state.matter.refused'

const isOfOne = (code: EventCode): code is keyof typeof mails => code in mails
const isOfFile = (code: EventCode): code is OfFile => code in mailsOfFile

async function toldOf(
  deps: Deps,
  { values, details }: Change,
  candidateId: string,
  about: Application | undefined,
): Promise<Told> {
  const person = await candidateWithMail(candidateId)
  return {
    deps,
    to: { ...person, mail: (about && contactMail(about)) ?? person.mail },
    about,
    link: `${deps.config.publicUrl}/applications${about ? `/${about.id}` : ''}`,
    values: values ?? {},
    details: details ?? {},
  }
}

/** What is asked differently since a version of the rules, a line each, as it is said to the candidate. */
async function changesOfRules(
  { vacancyId, rulesVersion }: Application,
  since: number,
  language: Told['to']['language'],
) {
  const vacancy = await vacancyById(vacancyId)
  const [before, after, titles] = await Promise.all([
    rulesOfVacancy(vacancy, { version: since, ranking: false }),
    rulesOfVacancy(vacancy, { version: rulesVersion, ranking: false }),
    checkTitles(),
  ])
  return inLanguage(language, () =>
    differencesOf(before, after, titles)
      .filter(({ of }) => of === 'requirement' || of === 'question')
      .map(({ title, before: was, after: now }) => {
        if (now === undefined) return say('mail.rulesChanged.gone', { title })
        return say(was === undefined ? 'mail.rulesChanged.added' : 'mail.rulesChanged.now', { after: now })
      }),
  )
}

function dayIn(details: Record<string, unknown>, name: string): StoredValue {
  const day = details[name]
  if (typeof day !== 'string') throw new Error(`The event keeps no ${name}`)
  return { day }
}
