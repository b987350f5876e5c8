import { v7 as uuid } from 'uuid'
import type { DocumentLine } from '#contract/documents'
import type { PaperPart } from '#core/documents/papers'
import type { LetterFindings, LetterPart } from '#core/reading/letter'
import { lacksSentence } from '#core/words/letter'
import { compareAndSet } from '../../platform/database/compareAndSet'
import { rowsOf } from '../../platform/database/rows'
import type { Deps } from '../../platform/deps'
import { changedMeanwhile, notFound, requireVersion } from '../../platform/errors/problems'
import { problems } from '../problems'
import type { KeptFile } from './inspect'
import { Document } from './model'
import { isReadable, queueReading } from './readings'

type About = { candidateId: string; claimId: string; credentialVersion: number }
export type WhatItIs = { fileName: string; part?: PaperPart; translationOf?: string; finalBy?: string }

/**
 * Puts a file that is kept behind a claim.
 *
 * @returns the document, and one with the same bytes behind another claim of the same person, if there is any
 */
export async function addDocument(deps: Deps, about: About, what: WhatItIs, file: KeptFile) {
  const { sha256 } = file
  const twins = await Document.findAll({
    where: { candidateId: about.candidateId, sha256, state: ['to look at', 'seen'] },
  })
  const here = twins.find(({ claimId }) => claimId === about.claimId)
  if (here) throw problems.sameBytes(here.fileName)
  if (what.translationOf) {
    const original = await Document.findOne({ where: { id: what.translationOf, claimId: about.claimId } })
    if (!original) throw notFound()
  }
  if (isReadable(file.mediaType)) await queueReading(file.sha256, file.mediaType)
  const document = await Document.create({
    id: uuid(),
    ...about,
    ...file,
    fileName: file.originalSha256 ? asPdfName(tidyName(what.fileName)) : tidyName(what.fileName),
    part: what.part ?? 'certificate',
    translationOf: what.translationOf ?? null,
    finalBy: what.finalBy ?? null,
    state: 'to look at',
    reads: {},
    uploadedAt: deps.clock.now(),
    version: 0,
  })
  return { document, twin: twins[0] }
}

const tidyName = (name: string) =>
  name
    .replace(/[\p{Cc}/\\:*?"<>|]/gu, ' ')
    .replace(/\s+/g, ' ')
    .trim()
    .slice(0, 200) || 'document'

export async function documentById(id: string): Promise<Document> {
  const document = await Document.findByPk(id)
  if (!document) throw notFound()
  return document
}

/** The documents behind claims, oldest first. */
export async function documentsOf(claimIds: readonly string[]): Promise<Document[]> {
  return claimIds.length === 0
    ? []
    : Document.findAll({ where: { claimId: [...claimIds] }, order: ['uploadedAt', 'id'] })
}

/** All documents of candidates, oldest first. */
export const documentsOfCandidates = (candidateId: string[]): Promise<Document[]> =>
  rowsOf(Document, { candidateId }, ['uploadedAt', 'id'])

/** What somebody has read on a paper, and of a letter which of its parts are there. */
export type Seen = Pick<Document, 'reads' | 'readBy'> & { letter?: LetterFindings }

export async function markSeen(deps: Deps, id: string, version: number, by: string, seen: Seen): Promise<Document> {
  const document = await documentById(id)
  requireVersion(version, document.version)
  if (document.state !== 'to look at' && document.state !== 'sent back') throw problems.alreadySeen()
  return compareAndSet(document, version, {
    state: 'seen',
    ...{ reads: seen.reads, readBy: seen.readBy, letter: seen.letter ?? null },
    seenBy: by,
    seenAt: deps.clock.now(),
    ...{ sentBackBecause: null, lacks: null },
  })
}

/** Papers behind a claim go along to its next version, to be looked at with what is claimed then. */
export async function takeAlong(claimId: string, credentialVersion: number) {
  const where = { claimId, credentialVersion }
  await Document.update({ state: 'to look at', seenBy: null, seenAt: null }, { where: { ...where, state: 'seen' } })
  await Document.update({ credentialVersion: credentialVersion + 1 }, { where })
}

export async function markUnseen(id: string): Promise<Document> {
  const document = await documentById(id)
  if (document.state !== 'seen') throw problems.notSeen()
  return compareAndSet(document, document.version, {
    ...{ state: 'to look at', seenBy: null, seenAt: null, holder: null },
  })
}

export async function markSentBack(
  id: string,
  version: number,
  reason: string,
  lacks: readonly LetterPart[],
): Promise<Document> {
  const document = await documentById(id)
  requireVersion(version, document.version)
  return compareAndSet(document, version, {
    ...{ state: 'sent back', sentBackBecause: reason, lacks: lacks.length > 0 ? [...lacks] : null },
    ...{ seenBy: null, seenAt: null },
  })
}

/** What the device took is a live portrait; of several the newest counts. */
export async function makeLivePortrait({ id, claimId }: Pick<Document, 'id' | 'claimId'>, likeness: number | null) {
  const earlier = { claimId, live: true, state: ['to look at', 'seen', 'sent back'] as Document['state'][] }
  await Document.update({ state: 'replaced' }, { where: earlier })
  await Document.update({ live: true, likeness }, { where: { id } })
}

/** A better document takes the place of those of its part that were sent back. */
export async function replaceSentBack(claimId: string, part: Document['part']) {
  await Document.update({ state: 'replaced' }, { where: { claimId, state: 'sent back', part } })
}

export async function removeUnseen(id: string) {
  const document = await documentById(id)
  if (document.state !== 'to look at') throw problems.lookedAtMeanwhile()
  const gone = await Document.destroy({ where: { id, version: document.version, state: 'to look at' } })
  if (gone === 0) throw changedMeanwhile()
}

/** Why it was sent back, in the reader's language: what a letter lacks, and what somebody wrote. */
const whySentBack = ({ lacks, sentBackBecause }: Document): string | null =>
  lacks ? [lacksSentence(lacks), sentBackBecause].filter(Boolean).join(' ') : (sentBackBecause ?? null)

export const documentLine = (document: Document): typeof DocumentLine.static => ({
  id: document.id,
  fileName: document.fileName,
  mediaType: document.mediaType,
  size: document.size,
  pages: document.pages,
  part: document.part,
  translationOf: document.translationOf ?? null,
  finalBy: document.finalBy ?? null,
  seconds: document.seconds ?? null,
  live: document.live,
  likeness: document.likeness ?? null,
  holder: document.holder ?? null,
  fromWord: Boolean(document.originalSha256),
  state: document.state,
  sentBackBecause: whySentBack(document),
  reads: document.reads,
  readBy: document.readBy,
  letter: document.letter ?? null,
  uploadedAt: document.uploadedAt.toISOString(),
  seenBy: document.seenBy ?? null,
  seenAt: document.seenAt?.toISOString() ?? null,
  version: document.version,
})

const asPdfName = (wordName: string) => wordName.replace(/(\.docx)?$/i, '.pdf')

/** What the Word file is called that a document was made of. */
export const originalName = (pdfName: string) => pdfName.replace(/\.pdf$/, '.docx')
