import { Op } from 'sequelize'
import type { ClaimDetails } from '#contract/claims'
import { fieldsOf } from '#core/comparison/fields'
import { type PartialDate, readPartialDate } from '#core/dates/partialDate'
import { isForSource } from '#core/documents/papers'
import { readFields } from '#core/reading/readFields'
import type { AnswerOfFlags, ClaimOfFlags, FlagFacts, PaperOfFlags, SourceOfFlags } from '#core/redFlags/facts'
import { sellerOf } from '#core/sources/sellers'
import type { Deps } from '../platform/deps'
import { candidateWithMail } from '../records/accounts/candidate'
import { labelValue } from '../records/claims/label'
import type { Claim } from '../records/claims/model'
import { applicationsOfCandidates } from '../records/claims/subquery'
import { claimsOf } from '../records/claims/view'
import { documentsOfCandidates } from '../records/documents/documents'
import type { Document } from '../records/documents/model'
import { PaperReading, picturesOf } from '../records/documents/readings'
import { enquiriesOfCandidates } from '../records/enquiries/enquiries'
import { bySourceId } from '../records/enquiries/load'
import { Enquiry, type EnquiryStepRow } from '../records/enquiries/model'
import { claimedStatement } from '../records/enquiries/statement'
import { stepsOf } from '../records/enquiries/steps'
import { knownPeople } from '../records/people/known'
import type { Source } from '../records/sources/model'
import { sourcesOfCandidates } from '../records/sources/sources'
import { currentWatchlist, sellerMatch, type Watchlist } from '../records/sources/watchlist'
import { Vouching } from '../records/vouching/model'
import { likelyTheSame, numbersElsewhere, papersElsewhere, peopleElsewhere } from './elsewhere'

/** What red flags of a file are looked for in; nothing where it holds nothing. */
export async function factsForFlags(deps: Deps, candidateId: string): Promise<FlagFacts | undefined> {
  const [claims, person, known, documents, enquiries, sources, proposed, { watchlist }, vouchings] = await Promise.all([
    claimsOf(candidateId),
    candidateWithMail(candidateId),
    knownPeople([candidateId]),
    documentsOfCandidates([candidateId]),
    enquiriesOfCandidates([candidateId]),
    sourcesOfCandidates([candidateId]),
    sourcesOfCandidates([candidateId], 'proposedSourceId'),
    currentWatchlist(),
    Vouching.findAll({ where: { applicationId: { [Op.in]: applicationsOfCandidates([candidateId]) } } }),
  ])
  if (claims.length === 0 && vouchings.length === 0) return undefined
  const directory = bySourceId([...sources, ...proposed])
  const { names, born, mails, phone } = known.get(candidateId)!
  const papers = await papersOf(deps, claims, documents, person)
  // Two files that are likely of one person share papers and numbers: whether they are is settled first.
  const likely = await likelyTheSame(candidateId)
  const elsewhere = <T extends { candidateId: string }>(found: readonly T[]) =>
    found.filter(({ candidateId: other }) => !likely.has(other))
  return {
    today: deps.clock.today(),
    person: { names, born, mails, phones: phone ? [phone] : [] },
    claims: claims.map((claim) => claimOf(claim, directory, watchlist)),
    papers,
    answers: await answersOf(claims, enquiries, directory),
    vouchings: vouchings.map(({ id, name, mail }) => ({ id, name, mail })),
    papersElsewhere: elsewhere(await papersElsewhere(candidateId, papers)),
    numbersElsewhere: elsewhere(await numbersElsewhere(candidateId, claims)),
    peopleElsewhere: elsewhere(await peopleElsewhere(candidateId, names, papers)),
    freeMail: new Set(watchlist.freeMail),
  }
}

function claimOf(claim: Claim, directory: ReadonlyMap<string, Source>, watchlist: Watchlist): ClaimOfFlags {
  const { id, kind, details, number } = claim
  const source = directory.get(claim.sourceId ?? claim.proposedSourceId ?? '')
  const said = 'sourceSaid' in details ? details.sourceSaid : undefined
  const seller = source
    ? sellerMatch(source, watchlist)
    : sellerOf({ names: [details.sourceName], mails: said ? [said.mail] : [] }, watchlist.sellers)
  return {
    ...{ id, kind, label: labelValue(details), number: number ?? '' },
    ...datesOf(details),
    sourceName: source?.name ?? details.sourceName,
    ...(source ? { source: sourceOf(source) } : {}),
    ...(seller ? { seller } : {}),
    ...(said ? { said } : {}),
  }
}

const sourceOf = ({ id, name, known }: Source): SourceOfFlags => ({
  ...{ id, name, existedFrom: known.existedFrom, existedTo: known.existedTo },
  ...{ numberFormats: known.numberFormats, contacts: known.contacts },
})

/** The days of a claim as far as they are days. */
function datesOf(details: ClaimDetails): Partial<ClaimOfFlags> {
  if (details.kind === 'study') {
    // What is not finished was not given yet.
    const to = details.outcome === 'in progress' ? undefined : dateOf(details.to)
    return { from: dateOf(details.from), to, given: to, level: details.level }
  }
  if (details.kind === 'work' && details.activity === 'employment')
    return {
      ...{ from: dateOf(details.from), to: dateOf(details.to), isPresent: details.to === 'present' },
      share: details.fullTimeShare,
    }
  if ('issued' in details)
    return { from: dateOf(details.issued), to: dateOf(details.through), given: dateOf(details.issued) }
  return {}
}

function dateOf(text: string): PartialDate | undefined {
  const read = readPartialDate(text)
  return read.ok ? read.value : undefined
}

/** The papers that count, with what a machine and whoever looked at them found. */
async function papersOf(
  deps: Deps,
  claims: readonly Claim[],
  documents: readonly Document[],
  person: Awaited<ReturnType<typeof candidateWithMail>>,
): Promise<PaperOfFlags[]> {
  const counting = documents.filter(
    ({ state, part, sha256 }) => sha256 && !isForSource(part) && state !== 'discarded' && state !== 'replaced',
  )
  const shas = [...new Set(counting.flatMap(({ sha256 }) => sha256 ?? []))]
  const readings = new Map((await PaperReading.findAll({ where: { sha256: shas } })).map((one) => [one.sha256, one]))
  const pictures = await picturesOf(shas)
  return counting.flatMap((document): PaperOfFlags[] => {
    const claim = claims.find(({ id }) => id === document.claimId)
    if (!claim || claim.credentialVersion !== document.credentialVersion) return []
    const reading = readings.get(document.sha256!)
    const claimed = claimedStatement(claim.details, person)
    const fields = fieldsOf(claim.kind, claimed)
    const machine = reading?.text ? readFields(reading.text, fields, claimed, deps.clock.today()) : {}
    const { reads, readBy } = document
    const place = machine.name?.place
    const name = reads.name ?? machine.name?.value
    const born = reads.born ?? machine.born?.value
    return [
      {
        ...{ documentId: document.id, claimId: claim.id, sha256: document.sha256!, label: labelValue(claim.details) },
        ...(reading?.making ? { making: reading.making } : {}),
        ...(reading?.text ? { how: reading.text.how } : {}),
        pictures: pictures.get(document.sha256!) ?? [],
        ...(name ? { name: { value: name, ...(place && readBy?.name?.by !== 'person' ? { place } : {}) } } : {}),
        ...(born ? { born } : {}),
      },
    ]
  })
}

/** The answers that count now, with where they came from. */
async function answersOf(
  claims: readonly Claim[],
  enquiries: readonly Enquiry[],
  directory: ReadonlyMap<string, Source>,
): Promise<AnswerOfFlags[]> {
  const answered = enquiries.filter(
    ({ state, claimId, credentialVersion, channel, answeredAt }) =>
      state === 'answered' &&
      answeredAt &&
      // A register is a machine, and what is signed is checked by its signature.
      (channel === 'link' || channel === 'letter') &&
      claims.some((claim) => claim.id === claimId && claim.credentialVersion === credentialVersion),
  )
  const steps = await stepsOf(answered.map(({ id }) => id))
  return Promise.all(
    answered.map(async (enquiry): Promise<AnswerOfFlags> => {
      const from = cameFrom(steps.filter(({ enquiryId }) => enquiryId === enquiry.id))
      return {
        ...{ enquiryId: enquiry.id, claimId: enquiry.claimId },
        ...(from ? { from } : {}),
        askedAt: enquiry.askedAt.toISOString(),
        answeredAt: enquiry.answeredAt!.toISOString(),
        ...sinceWhen(enquiry, directory),
        answeredBefore: enquiry.channel !== 'link' || (await hasAnswered(enquiry)),
      }
    }),
  )
}

/** The address of the link it was given by, or of the mail that brought it. */
function cameFrom(steps: readonly EnquiryStepRow[]): string | undefined {
  const answer = steps.findLast(({ step }) => step === 'answered')?.details?.from
  const paper = steps.findLast(({ step }) => step === 'paper came')?.by
  return answer ?? (paper?.includes('@') ? paper : undefined)
}

/** When a contact was made sure of; those that came with the directory are known from before. */
function sinceWhen(
  { sourceId, contactId }: Enquiry,
  directory: ReadonlyMap<string, Source>,
): { contactSince?: string } {
  const checked = directory.get(sourceId)?.known.contacts.find(({ id }) => id === contactId)?.checked
  return checked?.how ? { contactSince: checked.at } : {}
}

const hasAnswered = async ({ sourceId, contactId, askedAt }: Enquiry): Promise<boolean> =>
  (await Enquiry.count({
    where: { sourceId, contactId: contactId ?? null, state: 'answered', answeredAt: { [Op.lt]: askedAt } },
  })) > 0
