import { v7 as uuid } from 'uuid'
import type { DocumentLine } from '#contract/claims'
import type { Deps } from '../deps'
import { conflict, insistOnVersion, notFound } from '../http/problems'
import { keepBytes } from './bytes'
import { inspect } from './inspect'
import { Document } from './model'

type About = { candidateId: string; claimId: string; credentialVersion: number }

/** Keeps an uploaded file behind a claim. Throws a problem where it cannot be taken. */
export async function addDocument(deps: Deps, about: About, fileName: string, bytes: Buffer): Promise<Document> {
  const { mediaType, pages } = await inspect(bytes)
  const sha256 = await keepBytes(bytes, mediaType, deps.clock.now())
  const twin = await Document.findOne({
    where: { candidateId: about.candidateId, claimId: about.claimId, sha256, state: ['to look at', 'seen'] },
  })
  if (twin) throw conflict('same-bytes', `This file is already here, as “${twin.fileName}”. Nothing was added.`)
  return Document.create({
    id: uuid(),
    ...about,
    fileName: tidyName(fileName),
    mediaType,
    size: bytes.length,
    pages,
    sha256,
    state: 'to look at',
    reads: {},
    uploadedAt: deps.clock.now(),
    version: 0,
  })
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
export const documentsOfCandidates = (candidateIds: readonly string[]): Promise<Document[]> =>
  Document.findAll({ where: { candidateId: [...candidateIds] }, order: ['uploadedAt', 'id'] })

export async function markSeen(
  deps: Deps,
  id: string,
  version: number,
  by: string,
  reads: Record<string, string>,
): Promise<Document> {
  const document = await documentById(id)
  insistOnVersion(version, document.version)
  if (document.state !== 'to look at' && document.state !== 'sent back')
    throw conflict('already-seen', 'This document has been looked at already.')
  return document.update({
    state: 'seen',
    reads,
    seenBy: by,
    seenAt: deps.clock.now(),
    sentBackBecause: null,
    version: version + 1,
  })
}

export async function markUnseen(id: string): Promise<Document> {
  const document = await documentById(id)
  if (document.state !== 'seen') throw conflict('not-seen', 'This document has not been looked at.')
  return document.update({ state: 'to look at', seenBy: null, seenAt: null, version: document.version + 1 })
}

export async function markSentBack(id: string, version: number, reason: string): Promise<Document> {
  const document = await documentById(id)
  insistOnVersion(version, document.version)
  return document.update({
    state: 'sent back',
    sentBackBecause: reason,
    seenBy: null,
    seenAt: null,
    version: version + 1,
  })
}

/** A better document takes the place of those that were sent back. */
export async function replaceSentBack(claimId: string) {
  await Document.update({ state: 'replaced' }, { where: { claimId, state: 'sent back' } })
}

export async function removeUnseen(id: string) {
  const document = await documentById(id)
  if (document.state !== 'to look at')
    throw conflict(
      'already-seen',
      'Somebody has looked at this document already; it stays on file. Add a better one beside it.',
    )
  await document.destroy()
}

export const documentLine = (document: Document): typeof DocumentLine.static => ({
  id: document.id,
  fileName: document.fileName,
  mediaType: document.mediaType,
  size: document.size,
  pages: document.pages,
  state: document.state,
  sentBackBecause: document.sentBackBecause ?? null,
  reads: document.reads,
  uploadedAt: document.uploadedAt.toISOString(),
  seenBy: document.seenBy ?? null,
  seenAt: document.seenAt?.toISOString() ?? null,
  version: document.version,
})
