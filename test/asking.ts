import type { SourceGiven } from '#contract/sources'
import { runDaily } from '#server/daily'
import { clockAhead } from '#server/platform/clock'
import { Enquiry, EnquiryStepRow } from '#server/records/enquiries/model'
import type { Visitor } from './client'
import { aDegree, aJob, applied, claimOf, type House, look, tokenIn } from './house'
import { aContact, aSource } from './source'

/** A source that a second person has made sure of. */
export async function checkedSource(house: House, over: Partial<SourceGiven> = {}) {
  const [desk, admin] = [await house.staff('coordinator'), await house.staff('administrator')]
  const id = crypto.randomUUID()
  const name = over.name ?? `Schule ${id.slice(0, 6)}`
  const contacts = over.contacts ?? [aContact({ mail: `office@${id.slice(0, 8)}.example` })]
  await desk.done('saveSource', {
    params: { id },
    body: { version: 0, source: aSource({ ...over, name, contacts }) },
  })
  const how = Object.fromEntries(contacts.map((contact) => [contact.id, 'own website' as const]))
  await admin.done('checkSource', { params: { id }, body: { version: 1, how } })
  return { id, name, contacts, named: { sourceId: id, sourceName: name } }
}

/** Somebody who has sent an application with a job at a source, or a degree of it that the desk has looked at. */
export async function claimedOf(
  house: House,
  name: [string, string],
  { named, kind = 'work' }: { named: { sourceId: string; sourceName: string }; kind?: 'work' | 'study' },
) {
  const candidate = await house.candidate(name.join(' '))
  const file = await applied(house, candidate, name)
  const desk = await house.staff('coordinator')
  const details =
    kind === 'work'
      ? aJob(house, { ...named, from: '2012-01-01', to: '2013-01-01' })
      : aDegree(house, { ...named, number: 'N-77123' })
  const { id: claimId } = await candidate.done('addClaim', { body: { details } })
  if (kind === 'study') {
    const { aPaper } = await import('./house')
    const query = { fileName: 'Degree 2.pdf' }
    await candidate.done('uploadDocument', { params: { id: claimId }, query, body: await aPaper(name[0]) })
    await look(desk, file.id, claimId)
  }
  return { candidate, desk, applicationId: file.id, claimId }
}

export const askAbout = (desk: Visitor, claimId: string, applicationId: string, more: object = {}) =>
  desk.done('raiseEnquiry', { params: { id: claimId }, body: { applicationId, ...more } })

export const enquiryAbout = (claimId: string) =>
  Enquiry.findOne({ where: { claimId }, order: [['askedAt', 'DESC']], rejectOnEmpty: true })

/** What happened to an enquiry, in a word each. */
export const stepsOfEnquiry = async (id: string) =>
  (await EnquiryStepRow.findAll({ where: { enquiryId: id }, order: ['at', 'id'] })).map(({ step }) => step)

/** The nightly tasks as they run so many days from now. */
export const runDailyIn = (house: House, days: number) =>
  runDaily({ ...house.deps, clock: clockAhead(days * 86_400_000, house.deps.organisation.timeZone) })

/** An answer that says that everything is right. */
export const allRight = (claimed: Record<string, string>, over: object = {}) => ({
  known: true,
  fields: Object.fromEntries(Object.keys(claimed).map((key) => [key, { says: 'agrees' as const }])),
  ...{ note: '', respondent: 'Renate Amt', capacity: 'Personnel' },
  ...over,
})

const day = 86_400_000

/** What was asked of a source so many days ago, and what became of it after how many days. */
export type PastEnquiry = {
  ago: number
  answered?: number
  silent?: number
  channel?: 'link' | 'register' | 'telephone'
  state?: 'prepared'
}

export const answeredAfter = (...days: number[]): PastEnquiry[] => days.map((answered) => ({ ago: 100, answered }))

/** What a source was asked before, about the degree of somebody; they have not been asked about it now. */
export async function askedBefore(
  house: House,
  source: { named: { sourceId: string; sourceName: string } },
  name: string,
  asked: readonly PastEnquiry[],
) {
  const file = await claimedOf(house, [name, 'Waits'], { ...source, kind: 'study' })
  await askAbout(file.desk, file.claimId, file.applicationId)
  const first = await enquiryAbout(file.claimId)
  const row = first.get({ plain: true })
  for (const [nth, { ago, answered, silent, channel = 'link', state }] of asked.entries()) {
    const askedAt = new Date(Date.now() - ago * day)
    const own = { id: crypto.randomUUID(), batchId: crypto.randomUUID(), reference: `EQ-${name}-${nth}` }
    await Enquiry.create({
      ...{ ...row, ...own, askedAt, channel, activeKey: null, turn: null },
      state: state ?? (answered ? 'answered' : silent ? 'silent' : 'open'),
      answeredAt: answered ? new Date(askedAt.getTime() + answered * day) : null,
    })
    const step = { enquiryId: own.id, channel, by: '', details: {} }
    await EnquiryStepRow.create({ ...step, id: crypto.randomUUID(), step: 'asked', at: askedAt })
    if (silent)
      await EnquiryStepRow.create({
        ...{
          ...step,
          id: crypto.randomUUID(),
          step: 'silent' as const,
          at: new Date(askedAt.getTime() + silent * day),
        },
      })
  }
  await EnquiryStepRow.destroy({ where: { enquiryId: first.id } })
  await first.destroy()
  return file
}

/** Somebody whose degree its source has confirmed. */
export async function provenFile(house: House, name: [string, string]) {
  const source = await checkedSource(house, { kind: 'university' })
  const file = await claimedOf(house, name, { ...source, kind: 'study' })
  await askAbout(file.desk, file.claimId, file.applicationId)
  await house.workOff()
  const token = tokenIn((await house.mailTo(source.contacts[0]!.mail, name[1])).text, 'reply')
  const { claimed } = await house.visitor().done('readEnquiry', { params: { token } })
  await house.visitor().done('replyToEnquiry', { params: { token }, body: allRight(claimed) })
  const { version } = await claimOf(file.desk, file.applicationId, file.claimId)
  const body = { version, decision: 'confirmed' as const, note: '' }
  const { findingId } = await file.desk.done('decideClaim', { params: { id: file.claimId }, body })
  return { ...file, source, findingId: findingId! }
}
