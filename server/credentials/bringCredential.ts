import { Op } from 'sequelize'
import { v7 as uuid } from 'uuid'
import type { CredentialFault } from '#core/credentials/credential'
import { judgeCredential } from '#core/credentials/judge'
import { writeReference } from '#core/references/reference'
import { ownClaim } from '../claims/change'
import { callOffAbout } from '../enquiries/callOff'
import { recordEvent } from '../platform/audit/record'
import { compareAndSet } from '../platform/database/compareAndSet'
import { inTransaction } from '../platform/database/connection'
import { nextNumber } from '../platform/database/counter'
import type { Account, Deps } from '../platform/deps'
import { countAttempt } from '../platform/http/limits'
import { candidateWithMail } from '../records/accounts/candidate'
import { ownApplication } from '../records/applications/find'
import { labelValue } from '../records/claims/label'
import { Claim } from '../records/claims/model'
import { keepBytes } from '../records/documents/bytes'
import { settleEnquiries } from '../records/enquiries/enquiries'
import { Enquiry, Finding } from '../records/enquiries/model'
import { claimedStatement } from '../records/enquiries/statement'
import { keepStep } from '../records/enquiries/steps'
import { isFlagged } from '../records/redFlags/flags'
import type { Source } from '../records/sources/model'
import { sourceById } from '../records/sources/sources'
import { soldBy } from '../records/sources/watchlist'
import { problems } from './problems'
import { verifyCredential } from './verifyCredential'

const mostBytes = 200_000
/** Whoever tries what could pass is held up. */
const limit = { most: 20, seconds: 3600 }
const waiting = new Set(['claimed', 'evidenced', 'asked', 'unconfirmable'])

/** The claims of an application whose source issues digital credentials, and that nobody has confirmed. */
export async function listCredentials(_deps: Deps, actor: Account, applicationId: string) {
  const { candidateId } = await ownApplication(actor, applicationId)
  const claims = await Claim.findAll({
    where: { candidateId, removedAt: { [Op.is]: null }, sourceId: { [Op.ne]: null } },
    order: ['id'],
  })
  const found: { claim: string; source: string }[] = []
  for (const claim of claims) {
    const source = await issuerOf(claim)
    if (source && (await isUnsettled(claim))) found.push({ claim: claim.id, source: source.name })
  }
  return found
}

/** The source of a claim, where it is checked, no seller, and its keys are known. */
async function issuerOf({ sourceId }: Pick<Claim, 'sourceId'>): Promise<Source | undefined> {
  if (!sourceId) return undefined
  const source = await sourceById(sourceId)
  const issues = source.checkedAt && !source.retiredAt && source.known.issuer
  return issues && !(await soldBy(source)) ? source : undefined
}

/** Whether a credential could still say something: nobody has confirmed the claim, and none is kept for people to look at. */
const isUnsettled = async ({ id: claimId, credentialVersion, rung }: Claim) =>
  waiting.has(rung) &&
  (await Enquiry.count({ where: { claimId, credentialVersion, channel: 'credential', turn: 'desk' } })) === 0

/**
 * Takes a digital credential of a claim. It confirms at once where it is genuine and speaks of this person and this thing, and no
 * red flag stands; otherwise it is said exactly why not, nothing is kept of it, and that it was tried is in the trail.
 */
export async function bringCredential(
  deps: Deps,
  actor: Account,
  { id, claim: claimId }: { id: string; claim: string },
  bytes: Buffer,
) {
  const application = await ownApplication(actor, id)
  const claim = await ownClaim(deps, actor, claimId)
  const source = await issuerOf(claim)
  if (!source) throw problems.noCredentials()
  if (!(await isUnsettled(claim))) throw problems.settled()
  await countAttempt(deps, `credential ${actor.id}`, limit)
  const judged = await judge(deps, claim, source, bytes)
  await inTransaction(deps.sequelize, () =>
    judged.fault !== undefined
      ? refuse(deps, actor, claim, source, judged)
      : confirm(deps, actor, { claim, source, applicationId: application.id, bytes, judged }),
  )
  if (judged.fault === undefined) return { fault: null, because: '', confirmed: claim.rung === 'confirmed' }
  return { fault: judged.fault, because: judged.because ?? '', confirmed: false }
}

type Confirming = Extract<ReturnType<typeof judgeCredential>, { fault: undefined }> & {
  kind: 'credential' | 'open badge'
  kid: string
}

async function judge(
  deps: Deps,
  claim: Claim,
  { known }: Source,
  bytes: Buffer,
): Promise<Confirming | { fault: CredentialFault; because?: string }> {
  if (bytes.length === 0 || bytes.length > mostBytes) return { fault: 'not-a-credential' }
  const person = await candidateWithMail(claim.candidateId)
  const genuine = await verifyCredential(bytes.toString('utf8').trim(), {
    issuer: known.issuer!,
    mail: person.mail,
    lists: deps.statusLists,
  })
  if (genuine.fault !== undefined) return genuine
  const statement = claimedStatement(claim.details, person)
  const now = deps.clock.now().toISOString()
  const judged = judgeCredential(genuine.credential, { kind: claim.kind, statement }, now, genuine.sameMail)
  return judged.fault === undefined ? { ...judged, kind: genuine.credential.kind, kid: genuine.kid } : judged
}

type Refused = { fault: CredentialFault; because?: string }

async function refuse(deps: Deps, actor: Account, claim: Claim, source: Source, { fault, because = '' }: Refused) {
  await recordEvent(deps, actor, {
    code: 'credential-refused',
    values: {
      ...{ claim: labelValue(claim.details), source: source.name },
      why: { code: `apply.credential.fault.${fault}`, values: { because: because || '–' } },
    },
    about: source.name,
    candidateId: claim.candidateId,
    claimId: claim.id,
  })
}

type Confirmed = { claim: Claim; source: Source; applicationId: string; bytes: Buffer; judged: Confirming }

/** Keeps a genuine one as what its source says, and confirms by it, unless a red flag stands: that is for people then. */
async function confirm(deps: Deps, actor: Account, { claim, source, applicationId, bytes, judged }: Confirmed) {
  const { kind, kid, comparison, said } = judged
  const person = await candidateWithMail(claim.candidateId)
  const now = deps.clock.now()
  const { rung } = claim
  const flagged = await isFlagged(claim)
  await compareAndSet(claim, claim.version, { rung: flagged ? 'asked' : 'confirmed' })
  const sha256 = await keepBytes(bytes, 'text/plain; charset=utf-8', now)
  const id = uuid()
  const enquiry = await Enquiry.create({
    ...{ id, batchId: id, claimId: claim.id, credentialVersion: claim.credentialVersion, applicationId },
    ...{ sourceId: source.id, country: source.country, round: 1, channel: 'credential', state: 'answered' },
    turn: 'desk',
    reference: writeReference('EQ', await nextNumber(deps, 'enquiries')),
    claimed: claimedStatement(claim.details, person),
    ...{ askedAt: now, askedBy: person.name, answerBy: deps.clock.today().toString(), expiresAt: now, answeredAt: now },
    ...{ statement: said, respondent: source.name },
    paper: { sha256, fileName: 'credential.jwt', cameAt: now.toISOString() },
  })
  await keepStep(enquiry, { step: 'answered', at: now, by: source.name })
  // Whoever is asked meanwhile need not answer any more.
  await callOffAbout(deps, actor, claim, 'never')
  const event = {
    values: { claim: labelValue(claim.details), source: source.name },
    ...{ about: source.name, candidateId: claim.candidateId, claimId: claim.id, details: { kid, kind } },
  }
  if (flagged) {
    await recordEvent(deps, actor, { code: 'credential-kept', ...event })
    return
  }
  await Finding.create({
    ...{
      id: uuid(),
      claimId: claim.id,
      credentialVersion: claim.credentialVersion,
      enquiryId: id,
      decision: 'confirmed',
    },
    ...{ note: '', comparison, rungBefore: rung, decidedBy: '', decidedAt: now },
    basis: { credential: kind, issuer: source.known.issuer!.id, kid },
  })
  await settleEnquiries(deps, claim.id)
  await recordEvent(deps, actor, { code: 'credential-confirmed', ...event })
}
