import { Op } from 'sequelize'
import { Temporal } from 'temporal-polyfill'
import { v7 as uuid } from 'uuid'
import type { ClaimDetails } from '#contract/claims'
import { catalogue, credentialKind } from '#core/catalogue/catalogue'
import { faultsOfCredential } from '#core/catalogue/faultsOfCredential'
import { bySeries } from '#core/catalogue/series'
import { partialDate, readPartialDate, spanOf } from '#core/dates/partialDate'
import { writeWhen } from '#core/dates/write'
import { isInterim } from '#core/documents/papers'
import { credentialFaultWords } from '#core/words/credentials'
import { say } from '#core/words/say'
import { isClaimReopened } from '../applications/reopen'
import { takeUpload } from '../documents/uploads'
import { endAbout } from '../enquiries/callOff'
import { recordEvent } from '../platform/audit/record'
import { compareAndSet } from '../platform/database/compareAndSet'
import { inTransaction } from '../platform/database/connection'
import type { Account, Deps } from '../platform/deps'
import { invalid, invalidField, notFound, requireVersion } from '../platform/errors/problems'
import { countAttempt } from '../platform/http/limits'
import { candidateOf } from '../records/accounts/candidate'
import { labelOf, labelValue } from '../records/claims/label'
import { Claim, EarlierCredential } from '../records/claims/model'
import { claimView } from '../records/claims/view'
import {
  addDocument,
  documentById,
  documentLine,
  removeUnseen,
  replaceSentBack,
  takeAlong,
  type WhatItIs,
} from '../records/documents/documents'
import { type GivenFile, type KeptFile, takeFile } from '../records/documents/inspect'
import { sourceToName } from '../records/sources/sources'
import { problems } from './problems'

/** What a candidate may change about the claims of their own file. */

export async function addClaim(deps: Deps, actor: Account, given: ClaimDetails) {
  const candidate = await candidateOf(deps, actor)
  const details = await withSource(await completed(candidate.id, given))
  await requireSense(deps, details)
  await requireNew(candidate.id, details)
  const claim = await Claim.create({
    id: uuid(),
    candidateId: candidate.id,
    kind: details.kind,
    details,
    number: numberOf(details),
    rung: 'claimed',
    sourceId: details.sourceId,
    credentialVersion: 1,
    version: 0,
    createdAt: deps.clock.now(),
    saidAt: deps.clock.now(),
  })
  await recordEvent(deps, actor, {
    code: 'claim-added',
    values: { claim: labelValue(details) },
    candidateId: candidate.id,
    claimId: claim.id,
  })
  return claimView(claim)
}

export async function changeClaim(deps: Deps, actor: Account, id: string, version: number, given: ClaimDetails) {
  const claim = await ownClaim(deps, actor, id)
  requireVersion(version, claim.version, { details: claim.details })
  const details = await withSource(await completed(claim.candidateId, given), claim)
  const asked = claim.rung !== 'claimed' && claim.rung !== 'evidenced'
  if (asked && !(await isClaimReopened(claim.candidateId, claim.kind))) throw problems.alreadyAsked()
  if (details.kind !== claim.kind) throw invalidField('/body/details/kind', say('problem.aClaimStaysOfIts'))
  await requireSense(deps, details)
  const before = claim.details
  if (asked) await keepAsItWas(deps, actor, claim)
  await compareAndSet(claim, version, {
    details,
    number: numberOf(details),
    sourceId: details.sourceId,
    ...(details.sourceName === before.sourceName ? {} : { proposedSourceId: null }),
    saidAt: deps.clock.now(),
    awardStatedAt: null,
    ...(asked ? { rung: 'claimed', credentialVersion: claim.credentialVersion + 1 } : {}),
  })
  await recordEvent(deps, actor, {
    code: 'claim-changed',
    values: { claim: labelValue(details) },
    candidateId: claim.candidateId,
    claimId: id,
    ...(asked ? { details: { before } } : {}),
  })
  return claimView(claim)
}

/**
 * What a source was asked about stays as it was, with what it said: the corrected claim begins at the foot of the ladder,
 * its papers are looked at anew, and a question that is still open is called off.
 */
async function keepAsItWas(deps: Deps, actor: Account, { id: claimId, credentialVersion, details, rung }: Claim) {
  await EarlierCredential.create({ claimId, credentialVersion, details, rung, replacedAt: deps.clock.now() })
  await takeAlong(claimId, credentialVersion)
  await endAbout(deps, actor, claimId)
}

export async function removeClaim(deps: Deps, actor: Account, id: string, version: number) {
  const claim = await ownClaim(deps, actor, id)
  requireVersion(version, claim.version, { details: claim.details })
  const before = await EarlierCredential.findAll({ where: { claimId: id } })
  // What somebody has worked on before a renewal stays on file with it.
  const vouching = await attestationsOf(claim)
  if ([claim, ...before, ...vouching].some(({ rung }) => rung !== 'claimed')) throw problems.inUse()
  await compareAndSet(claim, version, { removedAt: deps.clock.now() })
  for (const one of vouching) await compareAndSet(one, one.version, { removedAt: deps.clock.now() })
  for (const one of [claim, ...vouching]) await endAbout(deps, actor, one.id)
  await recordEvent(deps, actor, {
    code: 'claim-removed',
    values: { claim: labelValue(claim.details) },
    candidateId: claim.candidateId,
    claimId: id,
  })
  return { done: true as const }
}

/** Whoever vouches for the paper of a claim goes with it. */
const attestationsOf = async ({ id, candidateId }: Claim): Promise<Claim[]> =>
  (await Claim.findAll({ where: { candidateId, kind: 'attestation', removedAt: { [Op.is]: null } } })).filter(
    ({ details }) => details.kind === 'attestation' && details.of === id,
  )

type Renewal = {
  version: number
  number: string
  issued: string
  through: string
  fields?: Record<string, string>
  steps?: string[]
}

/** Makes the renewal the current version of a credential; what it was before is kept as its history. */
export async function renewCredential(deps: Deps, actor: Account, id: string, renewal: Renewal) {
  const claim = await ownClaim(deps, actor, id)
  requireVersion(renewal.version, claim.version, { details: claim.details })
  if (claim.details.kind !== 'licence' && claim.details.kind !== 'certificate') throw problems.notACredential()
  const before = claim.details
  const { version: _version, ...renewed } = renewal
  const details = bySteps({ ...before, ...renewed })
  const { through, fields } = details
  await requireSense(deps, details)
  const later = (text: string) =>
    text === 'does not expire' ? Number.POSITIVE_INFINITY : readPartialDate(text).ok ? dayNumber(text) : 0
  // Cover that was raised may end on the same day.
  const sameDay = later(through) === later(before.through) && JSON.stringify(fields) !== JSON.stringify(before.fields)
  if (later(through) <= later(before.through) && !sameDay)
    throw invalidField('/body/through', say('problem.aRenewalRunsLongerThan'))
  await EarlierCredential.create({
    claimId: id,
    credentialVersion: claim.credentialVersion,
    details: before,
    rung: claim.rung,
    replacedAt: deps.clock.now(),
  })
  await compareAndSet(claim, renewal.version, {
    details,
    number: numberOf(details),
    rung: 'claimed',
    saidAt: deps.clock.now(),
    credentialVersion: claim.credentialVersion + 1,
  })
  await recordEvent(deps, actor, {
    code: 'credential-renewed',
    values: { claim: labelValue(details) },
    candidateId: claim.candidateId,
    claimId: id,
    details: { before },
  })
  return claimView(claim)
}

const dayNumber = (text: string) => spanOf(partialDate(text)).latest.since('1970-01-01', { largestUnit: 'day' }).days

/** Files of one person; a long application has some thirty. */
const uploadLimit = { most: 120, seconds: 3600 }

/** Takes a file, and puts it behind a claim of one's own in a transaction that does not wait for the bytes. */
export async function uploadDocument(deps: Deps, actor: Account, claimId: string, what: WhatItIs, file: GivenFile) {
  const { details } = await ownClaim(deps, actor, claimId)
  await countAttempt(deps, `upload ${actor.id}`, uploadLimit)
  const kept = await takeFile(deps, file, details.kind === 'paper' ? details.videoSeconds : undefined)
  return inTransaction(deps.sequelize, () => putBehind(deps, actor, claimId, what, kept))
}

async function putBehind(deps: Deps, actor: Account, claimId: string, what: WhatItIs, file: KeptFile) {
  const claim = await ownClaim(deps, actor, claimId)
  const { candidateId, credentialVersion } = claim
  requireFinalDay(deps, what)
  const { document, twin } = await addDocument(deps, { candidateId, claimId, credentialVersion }, what, file)
  // A translation stands beside its original and does not take the place of one that was sent back.
  if (!what.translationOf) await replaceSentBack(claimId, document.part)
  await recordEvent(deps, actor, {
    code: 'document-added',
    values: { file: document.fileName, claim: labelValue(claim.details) },
    candidateId,
    claimId,
  })
  const other = twin && (await Claim.findByPk(twin.claimId))
  return { ...documentLine(document), alsoBehind: other ? labelOf(other.details) : null }
}

const longestInterimDays = 730

/** An interim paper says by when the final one is owed, and nothing else does. */
function requireFinalDay({ clock }: Pick<Deps, 'clock'>, { part = 'certificate', finalBy }: WhatItIs) {
  const at = '/body/finalBy'
  if (!isInterim(part)) {
    if (finalBy !== undefined) throw invalidField(at, say('problem.onlyInterimHasAFinal'))
    return
  }
  const [today, last] = [clock.today(), clock.today().add({ days: longestInterimDays })].map(String)
  if (finalBy === undefined || finalBy < today! || finalBy > last!)
    throw invalidField(at, say('problem.sayWhenTheFinalComes', { last: writeWhen(last!) }))
}

/** Takes what was uploaded in pieces, once it is whole. */
export const attachUpload = (deps: Deps, actor: Account, claimId: string, upload: string, what: WhatItIs) =>
  takeUpload(deps, actor, upload, (file) => uploadDocument(deps, actor, claimId, what, file))

export async function removeDocument(deps: Deps, actor: Account, id: string) {
  const document = await documentById(id)
  const claim = await ownClaim(deps, actor, document.claimId)
  await removeUnseen(id)
  await recordEvent(deps, actor, {
    code: 'document-removed',
    values: { file: document.fileName },
    candidateId: claim.candidateId,
    claimId: claim.id,
  })
  return { done: true as const }
}

/** The same licence or certificate stands in a file once: it is opened or renewed instead. */
async function requireNew(candidateId: string, details: ClaimDetails) {
  if (!('credential' in details) || details.number === '') return
  const plain = (number: string) => number.replace(/[\s./-]/g, '').toUpperCase()
  const held = await Claim.findAll({ where: { candidateId, kind: details.kind, removedAt: { [Op.is]: null } } })
  const twin = held.find(
    ({ details: other }) =>
      'credential' in other &&
      other.credential === details.credential &&
      (other.sourceId ?? other.sourceName) === (details.sourceId ?? details.sourceName) &&
      plain(other.number) === plain(details.number),
  )
  if (twin) throw problems.alreadyGiven(twin.id)
}

/** A claim of the person's own; somebody else's is not there. */
export async function ownClaim(deps: Deps, actor: Account, id: string): Promise<Claim> {
  const candidate = await candidateOf(deps, actor)
  const claim = await Claim.findOne({ where: { id, candidateId: candidate.id, removedAt: { [Op.is]: null } } })
  if (!claim) throw notFound()
  return claim
}

/** What a claim says by what else is known: days by steps, and how sensitive the paper is that somebody vouches for. */
async function completed(candidateId: string, details: ClaimDetails): Promise<ClaimDetails> {
  if (details.kind !== 'attestation') return bySteps(details)
  // Locked, so that it is not removed while somebody is being named who vouches for it.
  const where = { id: details.of, candidateId, removedAt: { [Op.is]: null } }
  const original = await Claim.findOne({ where, lock: true })
  if (!original || original.kind === 'attestation')
    throw invalidField('/body/details/of', say('problem.chooseAPaperOfYours'))
  const { kind } = original
  const { credential, documentKind } = original.details as { credential?: string; documentKind?: string }
  return {
    ...details,
    paper: { kind, ...(credential ? { credential } : {}), ...(documentKind ? { documentKind } : {}) },
  }
}

/**
 * Names the source as it is now: where it was merged, the one it became. A name that became one of the directory since the
 * form was opened stays that. The source's row is locked, so that a merge waits, and takes this claim along.
 */
async function withSource(details: ClaimDetails, before?: Claim): Promise<ClaimDetails> {
  const same = before?.sourceId && details.sourceName === before.details.sourceName
  const wanted = details.sourceId ?? (same ? before.sourceId : null)
  if (!wanted) return details
  const source = await sourceToName(wanted)
  return { ...details, sourceId: source.id, ...(source.id === wanted ? {} : { sourceName: source.name }) }
}

/** Of a kind that is given in steps, issue and last day are what its steps make them. */
function bySteps<Details extends ClaimDetails>(details: Details): Details {
  if (!('credential' in details)) return details
  const series = credentialKind(details.credential)?.series
  const { steps: given = [], ...plain } = details
  if (!series) return plain as Details
  const steps = [...given].sort()
  return { ...details, steps, ...bySeries(series, steps) }
}

const numberOf = (details: ClaimDetails) => ('number' in details && details.number !== '' ? details.number : null)

/** What a schema cannot say: real days, an order in time, a source that exists. */
async function requireSense(deps: Deps, details: ClaimDetails) {
  const faults: { pointer: string; message: string }[] = []
  const dates =
    'from' in details
      ? { from: details.from, to: details.to }
      : details.kind === 'paper' || details.kind === 'identity'
        ? {}
        : details.kind === 'attestation'
          ? { on: details.on }
          : { issued: details.issued, through: details.through }
  for (const [field, text] of Object.entries(dates)) {
    if (/^\d/.test(text) && !readPartialDate(text).ok)
      faults.push({ pointer: `/body/details/${field}`, message: say('problem.thereIsNoSuchDay') })
  }
  if (faults.length === 0 && 'from' in details) {
    const from = spanOf(partialDate(details.from))
    if (
      details.to !== 'present' &&
      Temporal.PlainDate.compare(spanOf(partialDate(details.to)).latest, from.earliest) < 0
    ) {
      faults.push({ pointer: '/body/details/to', message: say('problem.thisEndsBeforeItBegins') })
    }
    if (Temporal.PlainDate.compare(from.earliest, deps.clock.today()) > 0)
      faults.push({ pointer: '/body/details/from', message: say('problem.thisBeginsInTheFuture') })
  }
  if (faults.length === 0 && 'credential' in details)
    faults.push(
      ...faultsOfCredential(details, deps.clock.today().toString()).map(({ at, ...fault }) => ({
        pointer: `/body/details/${at}`,
        message: credentialFaultWords(fault),
      })),
    )
  if (details.kind === 'language' && !catalogue().languages.some(({ key }) => key === details.language))
    faults.push({ pointer: '/body/details/language', message: say('problem.chooseALanguage') })
  if (details.kind === 'attestation') {
    const { sourceId, sourceName, capacity, on } = details
    if (!(sourceId || sourceName.trim()) || !capacity.trim() || !on)
      faults.push({ pointer: '/body/details/sourceName', message: say('problem.sayWhoAndAsWhom') })
  }
  if (faults.length > 0) throw invalid(faults)
}
