import { Op } from 'sequelize'
import { namePartsOf, plainNumber } from '#core/comparison/keys'
import { type PaperPart, sourceParts } from '#core/documents/papers'
import { activeStages } from '#core/hiring/stages'
import { issuedClaims } from '#core/sources/source'
import { type Guess, guessPlaces, type Place } from '#core/tray/guess'
import { Candidate } from '../../records/accounts/model'
import { Application } from '../../records/applications/model'
import { applicationForPapers, writtenFor } from '../../records/applications/writtenFor'
import { labelOf } from '../../records/claims/label'
import type { Claim } from '../../records/claims/model'
import { claimsOf, claimsOfAll } from '../../records/claims/view'
import { documentsOfCandidates } from '../../records/documents/documents'
import { CandidateKey } from '../../records/people/model'
import { hidesName } from '../../records/scoring/find'

const partsOf: Record<Claim['kind'], readonly PaperPart[]> = {
  study: ['certificate', 'transcript', 'letter of award', 'proof of enrolment', 'translation'],
  work: ['certificate', 'translation'],
  licence: ['certificate', 'front', 'back', 'translation'],
  certificate: ['certificate', 'front', 'back', 'translation'],
  language: ['certificate', 'translation'],
  attestation: ['certificate', 'translation'],
  identity: ['data page', 'front', 'back', 'portrait', 'one other paper', 'second other paper'],
  residence: ['certificate', 'other'],
  paper: ['certificate'],
}
/** Also what a source wants with a question: it may come by post as well. */
export const partsFor = (kind: Claim['kind']) => [
  ...partsOf[kind],
  ...(issuedClaims.some((one) => one === kind) ? sourceParts : []),
]

/** What of a file a paper may be put behind. */
export async function placesFor(applicationId: string) {
  const { candidateId } = await applicationForPapers(applicationId)
  return (await claimsOf(candidateId)).map(placeOf)
}

export const placeOf = ({ id, details, kind }: Claim) => ({
  claimId: id,
  label: labelOf(details),
  parts: partsFor(kind),
})

/** What a candidate makes sheets for; for what a source asks for they are made where it says so. */
export const ownPlaceOf = (claim: Claim) => ({ ...placeOf(claim), parts: [...partsOf[claim.kind]] })

const mostPeople = 40

/**
 * Where a paper most likely belongs: among the files of people whose names or numbers stand on it, and of whoever the
 * paper before it in the scan was filed to.
 */
export async function guessesFor(words: string, neighbour: string | undefined): Promise<Guess[]> {
  const parts = [...new Set(namePartsOf(words))].slice(0, 300)
  const numbers = [...new Set(words.split(/\s+/).map(plainNumber))].filter(
    (text) => /\d/.test(text) && text.length >= 4,
  )
  const named = await CandidateKey.findAll({
    where: {
      [Op.or]: [
        { kind: 'n', value: parts },
        { kind: 'c', value: numbers.slice(0, 300) },
      ],
    },
    limit: 2000,
  })
  const hits = new Map<string, number>()
  for (const { candidateId, kind } of named)
    hits.set(candidateId, (hits.get(candidateId) ?? 0) + (kind === 'c' ? 3 : 1))
  const people = [...hits]
    .filter(([, count]) => count > 1)
    .sort((a, b) => b[1] - a[1])
    .slice(0, mostPeople)
    .map(([id]) => id)
  if (neighbour) people.push(neighbour)
  return guessPlaces(words, await placesOf([...new Set(people)], neighbour))
}

async function placesOf(candidateIds: readonly string[], neighbour: string | undefined): Promise<Place[]> {
  if (candidateIds.length === 0) return []
  const [candidates, sent, written, claims, documents] = await Promise.all([
    Candidate.findAll({ where: { id: [...candidateIds] }, attributes: ['id', 'name'] }),
    Application.findAll({ where: { candidateId: [...candidateIds], stage: [...activeStages] }, order: ['sentAt'] }),
    writtenFor(candidateIds),
    claimsOfAll(candidateIds),
    documentsOfCandidates([...candidateIds]),
  ])
  const applications = [...sent, ...written]
  return claims.flatMap((claim): Place[] => {
    const application = applications.find(({ candidateId }) => candidateId === claim.candidateId)
    // Travel, care and the like leave no paper.
    if (!application || (claim.details.kind === 'work' && claim.details.activity !== 'employment')) return []
    const own = documents.filter(({ claimId }) => claimId === claim.id)
    return [
      {
        applicationId: application.id,
        claimId: claim.id,
        wants: own.some(({ state }) => state === 'sent back')
          ? 'better copy'
          : own.length === 0
            ? 'nothing yet'
            : 'has one',
        name: candidates.find(({ id }) => id === claim.candidateId)?.name ?? '',
        reference: application.reference ?? '',
        label: labelOf(claim.details),
        source: claim.details.sourceName,
        number: claim.number ?? '',
        neighbour: claim.candidateId === neighbour,
      },
    ]
  })
}

/** Guesses as they are shown: a hidden name is not. */
export async function guessLines(guesses: readonly Guess[]) {
  const applications = await Application.findAll({ where: { id: guesses.map(({ applicationId }) => applicationId) } })
  const claims = await claimsOfAll(applications.map(({ candidateId }) => candidateId))
  const names = new Map(
    (await Candidate.findAll({ where: { id: applications.map(({ candidateId }) => candidateId) } })).map(
      ({ id, name }) => [id, name],
    ),
  )
  const lines = []
  for (const { applicationId, claimId, because } of guesses) {
    const application = applications.find(({ id }) => id === applicationId)
    const claim = claims.find(({ id }) => id === claimId)
    if (!application || !claim) continue
    lines.push({
      applicationId,
      claimId,
      name: (await hidesName(application)) ? (application.reference ?? '') : (names.get(application.candidateId) ?? ''),
      reference: application.reference ?? '',
      label: labelOf(claim.details),
      because: because as string[],
    })
  }
  return lines
}
