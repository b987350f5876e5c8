import { Temporal } from 'temporal-polyfill'
import { dayAt } from '#core/dates/zoned'
import { askedFields } from '#core/enquiries/asks'
import { dueDay } from '#core/enquiries/schedule'
import { groupBy } from '#core/groupBy'
import { writeValue } from '#core/words/stored'
import { compareAndSet } from '../platform/database/compareAndSet'
import { lockOf } from '../platform/database/connection'
import type { Account, Deps } from '../platform/deps'
import { notFound } from '../platform/errors/problems'
import { inLanguage } from '../platform/http/language'
import type { FileToKeep } from '../platform/http/serve'
import { newPdf } from '../platform/pdf/pdfText'
import { candidateNames } from '../records/accounts/candidate'
import { labelOf } from '../records/claims/label'
import { Claim } from '../records/claims/model'
import { readBytes } from '../records/documents/bytes'
import { Enquiry } from '../records/enquiries/model'
import { withStanding } from '../records/enquiries/standing'
import { keepStep } from '../records/enquiries/steps'
import { letterheadOf, postalAddress } from '../records/organisation/letterhead'
import { Source } from '../records/sources/model'
import { beyondOf } from './answer'
import { dueOnOf } from './due'
import { namedInSight } from './inSight'
import { addLetter, type Enclosed, type Letter, type LetterPerson } from './letterPdf'
import { readOwnTexts, saySourceText } from './ownTexts'
import { addressOf, calendarOf, planFor } from './plan'
import { askedAs, spokenBy } from './wording'

const mostListed = 200

/** The enquiries of a letter, with what they are about. */
type OfLetter = { enquiry: Enquiry; claim: Claim; candidate: string }
type Waiting = { source: Source; own: [OfLetter, ...OfLetter[]] }

/** Letters that wait for the printer, the oldest first. */
export async function listLetters(deps: Deps, actor: Account) {
  const waiting = await lettersOf(
    deps,
    actor,
    await Enquiry.findAll({
      where: { state: 'open', toPrint: ['letter', 'reminder'] },
      order: ['askedAt', 'id'],
      limit: mostListed,
    }),
  )
  return waiting.map(({ source, own }) => {
    const [{ enquiry }] = own
    return {
      batchId: enquiry.batchId,
      what: enquiry.toPrint ?? ('letter' as const),
      source: source.name,
      address: addressOf(source, { channel: 'letter', contactId: enquiry.contactId ?? null }),
      people: own.map(({ enquiry: { id }, candidate, claim }) => ({ id, candidate, claim: labelOf(claim.details) })),
      // Letter and sheet on top; a form and a permission each.
      pages: 2 + own.length * 2,
      since: enquiry.askedAt.toISOString(),
    }
  })
}

/** Several letters as one PDF, each beginning on a page of its own. Printing marks nothing: a jam loses no letter. */
export async function readLetters(deps: Deps, actor: Account, batchIds: readonly string[]): Promise<FileToKeep> {
  const waiting = await lettersOf(
    deps,
    actor,
    await Enquiry.findAll({
      where: { batchId: [...batchIds], state: 'open', toPrint: ['letter', 'reminder'] },
      order: ['askedAt', 'id'],
    }),
  )
  if (waiting.length === 0) throw notFound()
  const pdf = await newPdf(deps.organisation.name, deps.clock.now())
  for (const one of waiting) {
    const letter = await letterFor(deps, one)
    await inLanguage(spokenBy(one.source), () => addLetter(pdf, letter()))
  }
  return { fileName: `${deps.clock.today()}.pdf`, mediaType: 'application/pdf', body: Buffer.from(await pdf.save()) }
}

/** Says that letters are on their way: from now on their sources have time to answer. Of two who say so, one does. */
export async function markPrinted(deps: Deps, actor: Account, batchIds: readonly string[]) {
  const where = { batchId: [...batchIds], state: 'open' as const, toPrint: ['letter' as const, 'reminder' as const] }
  const waiting = await lettersOf(deps, actor, await Enquiry.findAll({ where, order: ['id'], ...lockOf() }))
  for (const { source, own } of waiting)
    for (const { enquiry } of own) {
      const first = enquiry.toPrint === 'letter'
      const { answerWorkingDays } = source
      const answerBy = first
        ? dueDay(deps.clock.today(), { channel: 'letter', answerWorkingDays }, calendarOf(deps, source)).toString()
        : enquiry.answerBy
      const asked = { channel: 'letter' as const, speed: enquiry.speed, answerBy, reminders: enquiry.reminders }
      await compareAndSet(
        enquiry,
        enquiry.version,
        withStanding(enquiry, { toPrint: null, answerBy, dueOn: dueOnOf(deps, source, asked) }),
      )
      await keepStep(enquiry, { step: 'printed', at: deps.clock.now(), by: actor.name })
    }
  return { printed: waiting.length }
}

async function lettersOf(deps: Deps, actor: Account, all: readonly Enquiry[]): Promise<Waiting[]> {
  const enquiries = await namedInSight(deps, actor, all)
  const claims = await Claim.findAll({ where: { id: enquiries.map(({ claimId }) => claimId) } })
  const sources = await Source.findAll({ where: { id: enquiries.map(({ sourceId }) => sourceId) } })
  const names = await candidateNames(claims.map(({ candidateId }) => candidateId))
  const loaded = enquiries.flatMap((enquiry): OfLetter[] => {
    const claim = claims.find(({ id }) => id === enquiry.claimId)
    return claim ? [{ enquiry, claim, candidate: names.get(claim.candidateId) ?? '' }] : []
  })
  // A reminder of some is another letter than the first of others.
  const groups = groupBy(loaded, ({ enquiry }) => `${enquiry.batchId} ${enquiry.toPrint} ${enquiry.contactId}`)
  return [...groups.values()].flatMap((own) => {
    const source = sources.find(({ id }) => id === own[0]?.enquiry.sourceId)
    return source && own[0] ? [{ source, own: own as Waiting['own'] }] : []
  })
}

/** What stands in a letter; its words are said when it is drawn, in the language of its source. */
async function letterFor(deps: Deps, { source, own }: Waiting): Promise<() => Letter> {
  const { organisation } = deps
  const [{ enquiry, claim }] = own
  const from = await letterheadOf(deps)
  const address = addressOf(source, { channel: 'letter', contactId: enquiry.contactId ?? null })
  const today = deps.clock.today()
  const answerBy =
    enquiry.toPrint === 'letter'
      ? dueDay(today, { channel: 'letter', answerWorkingDays: source.answerWorkingDays }, calendarOf(deps, source))
      : Temporal.PlainDate.from(enquiry.answerBy)
  const enclosed = new Map<string, Enclosed[]>()
  for (const one of own) enclosed.set(one.enquiry.id, await enclosedWith(deps, one))
  const ownTexts = await readOwnTexts()
  const language = spokenBy(source)
  const name = own.length > 1 ? 'several' : claim.kind === 'work' ? 'work' : 'issued'
  const values = own.length > 1 ? {} : { candidate: own[0].candidate, claim: askedAs(claim.details) }
  return () => ({
    from,
    question: saySourceText(ownTexts, { name: `letter.text.${name}`, language }, values).text,
    ownAddress: postalAddress(organisation),
    address: [source.name, ...address.split('\n')].filter(Boolean),
    ...{ contact: organisation.contact, phone: organisation.phone, source: source.name },
    kind: claim.kind === 'work' ? 'work' : 'issued',
    ...{ day: today.toString(), answerBy: answerBy.toString() },
    ...(enquiry.toPrint === 'reminder' ? { before: dayAt(enquiry.askedAt, organisation.timeZone).toString() } : {}),
    people: own.map(
      ({ enquiry: asked, claim: about, candidate }): LetterPerson => ({
        ...{
          reference: asked.reference ?? '',
          candidate,
          claim: writeValue(askedAs(about.details)),
          claimed: asked.claimed,
        },
        fields: askedFields(about.kind, asked.claimed),
        beyond: beyondOf(deps, about, source.country),
        enclosed: enclosed.get(asked.id) ?? [],
      }),
    ),
  })
}

/** The permission, and what else the source asks for. */
async function enclosedWith(deps: Deps, { enquiry }: OfLetter): Promise<Enclosed[]> {
  const { permission, enclosed } = await planFor(deps, enquiry.claimId, enquiry.applicationId, {}, enquiry)
  const hashes = [...(permission ? [permission.sha256] : []), ...enclosed.map(({ sha256 }) => sha256)]
  return Promise.all(
    hashes.map(async (sha256) => {
      const { mediaType, bytes } = await readBytes(sha256)
      return { mediaType, bytes: new Uint8Array(bytes) }
    }),
  )
}
