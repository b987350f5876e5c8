import { QueryTypes } from 'sequelize'
import { namePartsOf, plainNumber, soundsOf } from '#core/comparison/keys'
import { compareNames } from '#core/comparison/names'
import { isForSource } from '#core/documents/papers'
import type { NumberElsewhere, PaperElsewhere, PaperOfFlags, PersonElsewhere } from '#core/redFlags/facts'
import { mostBitsApart } from '#core/redFlags/papers'
import type { Claim } from '../records/claims/model'
import { claimsOfAll } from '../records/claims/view'
import type { Document } from '../records/documents/model'
import { PaperReading, picturesOf } from '../records/documents/readings'
import { DuplicatePair } from '../records/duplicates/model'
import { isOpenDuplicate } from '../records/duplicates/open'
import { knownPeople } from '../records/people/known'

/** Others that may share something; more share it by chance. */
const mostOthers = 25

/** Files that may well be of the same person, while nobody has decided. */
export async function likelyTheSame(candidateId: string): Promise<Set<string>> {
  const pairs = await DuplicatePair.findAll({
    where: { ...isOpenDuplicate([candidateId]), likelihood: ['certain', 'likely'] },
  })
  return new Set(pairs.flatMap(({ oneId, otherId }) => [oneId, otherId]))
}

/** Papers in other files with the same bytes, or a page that is near to one of these; the database counts the bits. */
export async function papersElsewhere(candidateId: string, papers: readonly PaperOfFlags[]) {
  const shas = [...new Set(papers.map(({ sha256 }) => sha256))]
  if (shas.length === 0) return []
  const apart = [0, 1, 2, 3].map((part) => `BIT_COUNT(p.part${part} ^ own.part${part})`).join(' + ')
  const elsewhere = `d.candidateId <> :candidateId AND d.state NOT IN ('discarded', 'replaced')`
  const found = await PaperReading.sequelize!.query<
    Omit<PaperElsewhere, 'pictures'> & Pick<Document, 'part' | 'uploadedAt'>
  >(
    `SELECT d.id documentId, d.claimId, d.candidateId, d.sha256, d.part, d.uploadedAt FROM documents d WHERE d.sha256 IN (:shas) AND ${elsewhere}
     UNION SELECT d.id, d.claimId, d.candidateId, d.sha256, d.part, d.uploadedAt FROM paper_pictures own
       JOIN paper_pictures p ON p.sha256 <> own.sha256 AND ${apart} <= ${mostBitsApart} JOIN documents d ON d.sha256 = p.sha256
       WHERE own.sha256 IN (:shas) AND ${elsewhere}
     ORDER BY uploadedAt LIMIT ${mostOthers}`,
    { replacements: { candidateId, shas }, type: QueryTypes.SELECT },
  )
  const theirs = found.filter(({ part }) => !isForSource(part))
  const pictures = await picturesOf([...new Set(theirs.map(({ sha256 }) => sha256))])
  return theirs.map(
    ({ part: _, uploadedAt: __, ...paper }): PaperElsewhere => ({
      ...paper,
      pictures: pictures.get(paper.sha256) ?? [],
    }),
  )
}

export async function numbersElsewhere(candidateId: string, claims: readonly Claim[]): Promise<NumberElsewhere[]> {
  const numbers = claims.map(({ number }) => plainNumber(number ?? '')).filter((number) => number !== '')
  const others = await sharing(candidateId, ['c', 'i'], numbers, 1)
  if (others.length === 0) return []
  const held = await claimsOfAll(others)
  return held.flatMap(({ id, candidateId: other, kind, number, sourceId, proposedSourceId }) =>
    number && numbers.includes(plainNumber(number))
      ? [{ claimId: id, candidateId: other, number, kind, sourceId: sourceId ?? proposedSourceId ?? null }]
      : [],
  )
}

/** People whose name sounds like one that a paper says, where that is not the candidate's own. */
export async function peopleElsewhere(
  candidateId: string,
  names: readonly string[],
  papers: readonly PaperOfFlags[],
): Promise<PersonElsewhere[]> {
  const strange = papers.flatMap(({ name }) =>
    name && names.every((own) => compareNames(own, name.value).verdict === 'different') ? [name.value] : [],
  )
  const ids = new Set<string>()
  for (const name of new Set(strange)) {
    const sounds = namePartsOf(name).flatMap(soundsOf)
    for (const id of await sharing(candidateId, ['s'], sounds, 2)) ids.add(id)
  }
  const known = await knownPeople([...ids])
  return [...known].map(([id, { names: own, born }]) => ({ candidateId: id, names: own, born: born ?? null }))
}

/** Other files that are found by so many of these values. */
async function sharing(candidateId: string, kinds: readonly string[], values: readonly string[], least: number) {
  if (values.length === 0) return []
  const rows = await PaperReading.sequelize!.query<{ candidateId: string }>(
    `SELECT candidateId FROM candidate_keys WHERE kind IN (:kinds) AND value IN (:values) AND candidateId <> :candidateId
     GROUP BY candidateId HAVING COUNT(DISTINCT value) >= :least LIMIT ${mostOthers}`,
    { replacements: { candidateId, kinds: [...kinds], values: [...new Set(values)], least }, type: QueryTypes.SELECT },
  )
  return rows.map((row) => row.candidateId)
}
