import { type ComparedPage, comparisonOf, type OriginalWay } from '#core/documents/originals'
import type { EventCode } from '#core/events/events'
import { say } from '#core/words/say'
import { recordEvent } from '../platform/audit/record'
import { compareAndSet } from '../platform/database/compareAndSet'
import type { Account, Deps } from '../platform/deps'
import { invalidField, notFound, requireVersion } from '../platform/errors/problems'
import { sentApplication } from '../records/applications/find'
import { Original } from '../records/originals/model'
import { makeOriginal } from './announce'
import { problems } from './problems'

type Received = { document: string; way: OriginalWay; from: string; place: string }

/** Takes an original in, whether it was announced or not. */
export async function receiveOriginal(
  deps: Deps,
  actor: Account,
  applicationId: string,
  { document, way, from, place }: Received,
) {
  const application = await sentApplication(applicationId)
  const here = {
    state: 'here' as const,
    way,
    receivedAt: deps.clock.now(),
    receivedFrom: from.trim(),
    receivedBy: actor.name,
    place: place.trim(),
  }
  const announced = await Original.findOne({ where: { underWay: document, applicationId } })
  if (announced && announced.state !== 'announced') throw problems.underWay()
  const original = announced
    ? await compareAndSet(announced, announced.version, here)
    : await makeOriginal(deps, application, document, { tracking: '', ...here })
  await told(deps, actor, 'original-received', original, { place: here.place })
  return { id: original.id }
}

/** Keeps it somewhere else. */
export async function moveOriginal(
  deps: Deps,
  actor: Account,
  id: string,
  { version, place }: { version: number; place: string },
) {
  const original = await inSafe(id, version)
  await compareAndSet(original, version, { place: place.trim() })
  await told(deps, actor, 'original-moved', original, { place: place.trim() })
  return { done: true as const }
}

/**
 * Writes down what was found page by page. Each time stands for itself: the newest is what holds, the earlier ones are in the trail.
 *
 * @throws Problem `invalid` where a page is missing, is there twice, or differs and nobody says how
 */
export async function compareOriginal(
  deps: Deps,
  actor: Account,
  id: string,
  { version, pages }: { version: number; pages: ComparedPage[] },
) {
  const original = await inSafe(id, version)
  const found = comparisonOf(pages, original.pages)
  if (found.state === 'incomplete')
    throw invalidField('/body/pages', say('problem.pagesToCompare', { pages: found.pages.join(', ') }))
  await compareAndSet(original, version, {
    compared: found.state,
    pagesCompared: pages,
    comparedBy: actor.name,
    comparedAt: deps.clock.now(),
  })
  const code = found.state === 'same' ? 'original-same' : 'original-differs'
  await told(deps, actor, code, original, code === 'original-same' ? {} : { pages: found.pages.join(', ') })
  return { compared: found.state }
}

type Returned = { version: number; way: OriginalWay; to: string; tracking: string; signature?: string }

/** Gives it back: whoever takes it signs, and what is sent has a number it can be followed by. */
export async function returnOriginal(deps: Deps, actor: Account, id: string, given: Returned) {
  const { version, way, to, tracking, signature } = given
  const original = await inSafe(id, version)
  if (way === 'by post' && tracking.trim() === '')
    throw invalidField('/body/tracking', say('problem.sayTheTrackingNumber'))
  if (way === 'in person' && !signature) throw invalidField('/body/signature', say('problem.signForIt'))
  await compareAndSet(original, version, {
    state: 'returned',
    underWay: null,
    returnedAt: deps.clock.now(),
    returnedTo: to.trim(),
    returnedBy: actor.name,
    returnTracking: tracking.trim(),
    signature: way === 'in person' ? (signature ?? null) : null,
  })
  await told(deps, actor, 'original-returned', original, { to: to.trim() })
  return { done: true as const }
}

async function inSafe(id: string, version: number): Promise<Original> {
  const original = await Original.findByPk(id)
  if (!original) throw notFound()
  await sentApplication(original.applicationId)
  requireVersion(version, original.version)
  if (original.state !== 'here') throw problems.notHere()
  return original
}

type Code = Extract<EventCode, `original-${string}`>

const told = (deps: Deps, actor: Account, code: Code, original: Original, values: Record<string, string>) =>
  recordEvent(deps, actor, {
    code,
    values: { paper: original.title, ...values } as never,
    candidateId: original.candidateId,
    applicationId: original.applicationId,
  })
