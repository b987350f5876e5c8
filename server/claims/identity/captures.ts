import { v7 as uuid } from 'uuid'
import type { ClaimDetails } from '#contract/claims'
import type { Capture as CaptureView, capturedThings, Offered } from '#contract/identity'
import { counted, type PaperPart } from '#core/documents/papers'
import { readZone, type ZoneReading } from '#core/identity/machineZone'
import { say } from '#core/words/say'
import { zoneFaultWords } from '#core/words/zone'
import type { Account, Deps } from '../../platform/deps'
import { notFound } from '../../platform/errors/problems'
import { type Captured, DeviceSilent, type ToCapture } from '../../platform/outside/capture'
import { readBytes } from '../../records/documents/bytes'
import { documentsOf, makeLivePortrait } from '../../records/documents/documents'
import { Capture } from '../../records/identity/model'
import { ownClaim, uploadDocument } from '../change'
import { problems } from '../problems'

type Thing = (typeof capturedThings)[number]
type Taken = Extract<Captured, { state: 'captured' }>
type Paper = Extract<ClaimDetails, { kind: 'identity' }>['paper']

/** Begins to capture the paper of an identity claim, or the face of whoever holds it. */
export async function beginCapture(deps: Deps, actor: Account, claimId: string, what: Thing): Promise<CaptureView> {
  const paper = paperOf(await ownClaim(deps, actor, claimId))
  if (paper === 'two others') throw problems.nothingToRead()
  const asked: ToCapture =
    what === 'portrait'
      ? { portrait: true, reference: await pictureOnPaper(claimId) }
      : { sides: paper === 'passport' ? 1 : 2 }
  const { session, address } = await orSilent(deps.captureDevice.begin(asked))
  const capture = await Capture.create({
    id: uuid(),
    claimId,
    session,
    state: 'waiting',
    reading: { address, what },
    createdAt: deps.clock.now(),
  })
  return viewOf(capture)
}

/** Takes what the device has captured: the pictures go behind the claim, and what the zone says is offered. */
export async function takeCapture(deps: Deps, actor: Account, id: string): Promise<CaptureView> {
  const capture = await Capture.findByPk(id, { lock: true })
  if (!capture) throw notFound()
  const claim = await ownClaim(deps, actor, capture.claimId)
  if (capture.state !== 'waiting') return viewOf(capture)
  const captured = await orSilent(deps.captureDevice.take(capture.session))
  const { address = '', what = 'paper' } = capture.reading ?? {}
  if (captured.state === 'waiting') return viewOf(capture)
  if (captured.state === 'gone') {
    await capture.update({ state: 'gone' })
    return viewOf(capture)
  }
  if (what === 'portrait') {
    await keepPortrait(deps, actor, claim.id, captured)
    await capture.update({ state: 'read', reading: { address, what } })
    return viewOf(capture)
  }
  const reading = readZone(captured.zone, deps.clock.today())
  const why = zoneFaultWords(reading)
  if (why !== undefined || 'code' in reading) {
    await capture.update({ state: 'unclear', reading: { address, what, why } })
    return viewOf(capture)
  }
  for (const [nth, { bytes }] of captured.pictures.entries()) {
    const part: PaperPart = captured.pictures.length === 1 ? 'data page' : nth === 0 ? 'front' : 'back'
    await uploadDocument(deps, actor, claim.id, { fileName: `${paperOf(claim)}, ${part}.jpg`, part }, bytes)
  }
  await capture.update({
    state: 'read',
    reading: { address, what, offered: offeredBy(reading, captured.zone, paperOf(claim)), mended: reading.mended },
  })
  return viewOf(capture)
}

/** The picture a face is compared with: the newest page with one that the paper was captured by. */
async function pictureOnPaper(claimId: string) {
  const papers = counted(await documentsOf([claimId])).filter(
    ({ part, mediaType }) => (part === 'data page' || part === 'front') && mediaType.startsWith('image/'),
  )
  const newest = papers.at(-1)
  return newest?.sha256 ? readBytes(newest.sha256) : undefined
}

async function keepPortrait(deps: Deps, actor: Account, claimId: string, { pictures, likeness }: Taken) {
  const [picture] = pictures
  if (!picture) throw problems.deviceSilent()
  const what = { fileName: `${say('paper.part.portrait')}.jpg`, part: 'portrait' as const }
  const { id } = await uploadDocument(deps, actor, claimId, what, picture.bytes)
  await makeLivePortrait({ id, claimId }, likeness)
}

function offeredBy(reading: ZoneReading, zone: string, asked: Paper): Offered {
  return {
    paper: reading.paper === 'other' || reading.paper === 'visa' ? asked : reading.paper,
    number: reading.number,
    issuer: reading.issuer,
    familyName: reading.familyName,
    givenNames: reading.givenNames,
    born: reading.born ?? '',
    through: reading.through ?? '',
    zone,
  }
}

const viewOf = ({ id, state, reading }: Capture): CaptureView => ({
  id,
  state,
  address: reading?.address ?? '',
  offered: reading?.offered ?? null,
  mended: reading?.mended ?? [],
  why: reading?.why ?? null,
})

function paperOf({ details }: { details: ClaimDetails }): Paper {
  if (details.kind !== 'identity') throw notFound()
  return details.paper
}

async function orSilent<T>(asked: Promise<T>): Promise<T> {
  try {
    return await asked
  } catch (error) {
    if (!(error instanceof DeviceSilent)) throw error
    throw problems.deviceSilent()
  }
}
