import { v7 as uuid } from 'uuid'
import type { ReportLine } from '#contract/reports'
import { type HiddenKind, sees } from '#core/privacy/hidden'
import { writeReference } from '#core/references/reference'
import { type Audience, composeReport, sightFor } from '#core/report/report'
import { type Language, say } from '#core/words/say'
import { sayStored } from '#core/words/stored'
import { recordEvent } from '../platform/audit/record'
import { nextNumber } from '../platform/database/counter'
import type { Account, Deps } from '../platform/deps'
import { invalidField, notAllowed, notFound } from '../platform/errors/problems'
import { inLanguage } from '../platform/http/language'
import type { FileToKeep } from '../platform/http/serve'
import { newToken } from '../platform/http/tokens'
import { queueMail } from '../platform/mail/queueMail'
import { logAccess } from '../privacy/accessLog'
import { isNameless } from '../privacy/nameless'
import { candidateOf, candidateWithMail, mergedWith } from '../records/accounts/candidate'
import { ownApplication, sentApplication } from '../records/applications/find'
import type { Application } from '../records/applications/model'
import { keepBytes, readBytes } from '../records/documents/bytes'
import { reportById, reportsOf } from '../records/reports/find'
import { Report, ReportDelivery } from '../records/reports/model'
import { credentialOf, showOnly, signCredential, signDisclosable } from './credential'
import { gather, sentOf } from './gather'
import { problems } from './problems'
import { reportPdf } from './reportPdf'
import { openSigner } from './signing'

/** A report holds for a year, unless it is revoked before. */
const lastsMs = 365 * 86_400_000

type Wish = {
  language: Language
  asAt?: string
  scope: 'application' | 'file'
  audience: Audience
  /** Whom outside it is for, and the claims it is to be about; all where nothing is given. */
  recipient?: string
  chosen?: ReadonlySet<string>
}
/** Whom it is about: one of their applications, or the whole file. */
type About = { candidateId: string; application?: Application }

/** Makes a report at the desk; one for the candidate is sent to them. */
export async function makeReport(deps: Deps, actor: Account, id: string, wish: Wish): Promise<ReportLine> {
  const application = await sentApplication(id)
  const { candidateId } = application
  if (await isNameless(deps, actor, candidateId)) throw problems.namesHidden()
  // It leaves the house, and with our words.
  if (wish.audience === 'candidate' && !actor.rights.includes('messages.send')) throw notAllowed()
  await logAccess(deps, actor, { candidateId, applicationId: id, subject: 'file', what: 'file' })
  const report = await writeReport(deps, actor, { candidateId, application }, wish, (kind) => sees(actor.rights, kind))
  if (wish.audience === 'candidate') await sendTo(deps, actor, report, await candidateWithMail(candidateId))
  return (await linesOf([report], opensFor(actor, false)))[0]!
}

/** Makes a report for the person it is about, at their wish. */
export async function makeOwnReport(deps: Deps, actor: Account, id: string, { language }: Pick<Wish, 'language'>) {
  const application = await ownApplication(actor, id)
  const { candidateId } = application
  const wish = { language, scope: 'file', audience: 'candidate' } as const
  const report = await writeReport(deps, actor, { candidateId, application }, wish, () => false)
  await sendTo(deps, actor, report, await candidateWithMail(candidateId))
  return (await linesOf([report], () => true))[0]!
}

type Sees = (kind: HiddenKind) => boolean

/** The one maker: gathers, leaves out what its reader may not see, signs it in both ways, and draws it. */
export async function writeReport(
  deps: Deps,
  actor: Account | { kind: 'system' },
  { candidateId, application }: About,
  wish: Wish,
  seesAtDesk: Sees = () => false,
): Promise<Report> {
  const { language, audience, recipient, scope, chosen } = wish
  const today = deps.clock.today().toString()
  const asAt = wish.asAt ?? today
  if (asAt > today) throw invalidField('/body/asAt', say('problem.dayInFuture'))
  const number = await nextNumber(deps, 'reports')
  const reference = writeReference('RP', number)
  const applications = scope === 'application' && application ? [application] : await sentOf(candidateId)
  const sight = sightFor(audience, seesAtDesk)
  const { token, tokenHash } = newToken()
  const id = uuid()
  const signer = await openSigner(deps)
  const endsAt = new Date(deps.clock.now().getTime() + lastsMs)
  return inLanguage(language, async () => {
    const asked = { candidateId, applications, audience, recipient, language, reference, asAt }
    const { known, stated } = await gather(deps, asked)
    const { report: content, told } = composeReport(known, sight, chosen)
    const credential = credentialOf(deps, signer, { id, report: content, endsAt, statusIndex: number })
    const [jwt, sdJwt] = await Promise.all([signCredential(signer, credential), signDisclosable(signer, credential)])
    const checkAddress = `${deps.config.publicUrl}/check`
    const pdf = await reportPdf({
      ...{ report: content, timeZone: deps.organisation.timeZone, jwt },
      ...{ checkAddress, link: `${checkAddress}/${token}` },
    })
    const report = await Report.create({
      ...{ id, reference, candidateId, applicationId: scope === 'file' ? null : (application?.id ?? null) },
      ...{ audience, sight: [...sight], language, asAt, madeAt: new Date(content.madeAt) },
      ...(actor.kind === 'account'
        ? { madeBy: actor.name, madeById: actor.id }
        : { madeBy: deps.organisation.name, madeById: null }),
      ...{ content, stated: stated.filter(({ claimId }) => told.has(claimId)) },
      ...{ jwt, sdJwt, pdfSha256: await keepBytes(pdf, 'application/pdf', deps.clock.now()), tokenHash },
      ...{ statusIndex: number, endsAt, version: 1 },
    })
    await recordEvent(deps, actor, {
      code: 'report-made',
      words: audience === 'inside' ? 'report-made' : `report-made.${audience}`,
      values: { reference, day: { day: asAt }, recipient: recipient ?? '' },
      about: reference,
      candidateId,
      ...(application ? { applicationId: application.id } : {}),
      details: { audience, scope, claims: content.claims.length },
    })
    return report
  })
}

type Receiver = { name: string; mail: string; language: Language }

/** Sends a report as a file, and keeps that they have it: they are told when it does not hold any more. */
async function sendTo(deps: Deps, actor: Account, report: Report, { name, mail, language }: Receiver) {
  const { id, reference, asAt, pdfSha256, candidateId, applicationId } = report
  await ReportDelivery.create({
    ...{ id: uuid(), reportId: id, toName: name, toMail: mail, language },
    ...{ sentAt: deps.clock.now(), sentBy: actor.name },
  })
  await queueMail(deps, {
    to: { name, mail, language },
    ...(applicationId ? { about: { id: applicationId, candidateId } } : {}),
    attachments: [{ fileName: `${reference}.pdf`, sha256: pdfSha256 }],
    words: 'report',
    values: { reference, day: { day: asAt }, address: `${deps.config.publicUrl}/check` },
  })
}

/** Of a report only opens who may see all that it was made with: what is for the person is for nobody at the desk. */
const opensFor =
  ({ rights }: Pick<Account, 'rights'>, nameless: boolean) =>
  ({ audience, sight }: Pick<Report, 'audience' | 'sight'>) =>
    audience !== 'candidate' && !nameless && sight.every((kind) => kind === 'name' || sees(rights, kind))

/** The reports of the file of an application, the newest first. */
export async function listReports(deps: Deps, actor: Account, id: string): Promise<ReportLine[]> {
  const { candidateId } = await sentApplication(id)
  const [reports, nameless] = await Promise.all([reportsOf(candidateId), isNameless(deps, actor, candidateId)])
  return linesOf(reports, opensFor(actor, nameless), nameless)
}

/** The reports that a person may keep of themselves. */
export async function listOwnReports(actor: Account, id: string): Promise<ReportLine[]> {
  const { candidateId } = await ownApplication(actor, id)
  const reports = await reportsOf(candidateId)
  return linesOf(
    reports.filter(({ audience }) => audience === 'candidate'),
    () => true,
  )
}

async function linesOf(
  reports: readonly Report[],
  opens: (report: Report) => boolean,
  nameless = false,
): Promise<ReportLine[]> {
  const deliveries = await ReportDelivery.findAll({
    where: { reportId: reports.map(({ id }) => id) },
    order: ['sentAt'],
  })
  return reports.map((report) => ({
    ...{ id: report.id, version: report.version, reference: report.reference, audience: report.audience },
    ...{ language: report.language, asAt: report.asAt, madeAt: report.madeAt.toISOString(), madeBy: report.madeBy },
    endsAt: report.endsAt.toISOString(),
    revoked: report.revokedAt
      ? {
          at: report.revokedAt.toISOString(),
          because: report.revokedBecause ? sayStored(report.revokedBecause.code, report.revokedBecause.values) : '',
        }
      : null,
    opens: opens(report),
    claims: opens(report) ? report.content.claims.map(({ title }) => title) : [],
    sentTo: deliveries
      .filter(({ reportId }) => reportId === report.id)
      .map(({ toName, sentAt }) => ({ name: nameless ? '' : toName, at: sentAt.toISOString() })),
  }))
}

type Form = 'pdf' | 'json' | 'jwt' | 'sd-jwt'

/** A report in one of its forms, for somebody at the desk who may see all it says. */
export async function readReport(
  deps: Deps,
  actor: Account,
  { id, form }: { id: string; form: Form },
): Promise<FileToKeep> {
  const report = await reportById(id)
  const { candidateId, applicationId } = report
  if (!opensFor(actor, await isNameless(deps, actor, candidateId))(report)) throw problems.notForYou()
  await logAccess(deps, actor, { candidateId, applicationId: applicationId ?? null, subject: 'file', what: 'file' })
  return inForm(report, form)
}

/** The same of one's own; as SD-JWT with some of its claims alone, where that is wished. */
export async function readOwnReport(
  deps: Deps,
  actor: Account,
  { id, form }: { id: string; form: Form },
  { claims }: { claims?: string } = {},
): Promise<FileToKeep> {
  const { id: candidateId } = await candidateOf(deps, actor)
  const report = await reportById(id)
  const own = (await mergedWith(candidateId)).includes(report.candidateId)
  if (!own || report.audience === 'inside') throw notFound()
  if (form !== 'sd-jwt' || claims === undefined) return inForm(report, form)
  const sdJwt = await showOnly(report.sdJwt, claims.split(',').map(Number))
  return inForm(report, form, sdJwt)
}

export async function inForm(
  { reference, content, jwt, sdJwt: whole, pdfSha256 }: Report,
  form: Form,
  sdJwt = whole,
): Promise<FileToKeep> {
  if (form === 'pdf')
    return { fileName: `${reference}.pdf`, mediaType: 'application/pdf', body: (await readBytes(pdfSha256)).bytes }
  const texts = {
    json: [JSON.stringify(content, undefined, 2), 'application/json', 'json'],
    jwt: [jwt, 'application/vc+jwt', 'jwt'],
    'sd-jwt': [sdJwt, 'application/vc+sd-jwt', 'sd-jwt'],
  } as const
  const [text, mediaType, ending] = texts[form]
  return { fileName: `${reference}.${ending}`, mediaType, body: Buffer.from(text) }
}
