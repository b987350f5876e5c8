import { enquiryReferencesIn } from '#core/tray/coverSheet'
import { say } from '#core/words/say'
import { recordEvent } from '../platform/audit/record'
import { changeWhere } from '../platform/database/compareAndSet'
import type { Account, Actor, Deps } from '../platform/deps'
import { invalidField } from '../platform/errors/problems'
import { isInSight } from '../records/applications/sight'
import { labelValue } from '../records/claims/label'
import { Claim } from '../records/claims/model'
import { Enquiry } from '../records/enquiries/model'
import { withStanding } from '../records/enquiries/standing'
import { keepStep } from '../records/enquiries/steps'
import { Source } from '../records/sources/model'
import { problems } from './problems'

type Came = {
  sha256: string
  fileName: string
  from: string
  /** Who has said that it is the answer, where it did not find its question by itself. */
  actor?: Actor
}

/** An enquiry that a paper can be the answer of: by the reference on it, while nobody has answered otherwise. */
export const awaitingPaper = (reference: string): Promise<Enquiry | null> =>
  Enquiry.findOne({ where: { reference, state: 'open' } })

/**
 * The open question by a reference that somebody has typed, in whatever spelling.
 *
 * @throws Problem `invalid` where there is none that they may see, `paper-there` where its answer has come already
 */
export async function questionFor(actor: Account, reference: string): Promise<Enquiry> {
  const [read] = enquiryReferencesIn(reference)
  const enquiry = read === undefined ? null : await awaitingPaper(read)
  if (!enquiry || !(await isInSight(actor, { of: 'application', id: enquiry.applicationId })))
    throw invalidField('/body/reference', say('problem.noQuestionHasThisReference'))
  if (enquiry.paper) throw problems.paperThere()
  return enquiry
}

/**
 * A paper came as the answer to a question: it lies with it until somebody has read it and typed in what it says. A second paper
 * waits for a person like any other, so that none takes the place of another.
 *
 * @returns whether it was taken
 */
export async function takePaper(
  deps: Deps,
  enquiry: Enquiry,
  { sha256, fileName, from, actor = { kind: 'system' } }: Came,
): Promise<boolean> {
  const now = deps.clock.now()
  const paper = { sha256, fileName, cameAt: now.toISOString() }
  const changes = { ...withStanding(enquiry, { paper, dueOn: null, toPrint: null }), version: enquiry.version + 1 }
  if (!(await changeWhere(enquiry, { state: 'open', version: enquiry.version }, changes))) return false
  await keepStep(enquiry, { step: 'paper came', at: now, by: from })
  const claim = await Claim.findByPk(enquiry.claimId, { rejectOnEmpty: true })
  const source = await Source.findByPk(enquiry.sourceId, { rejectOnEmpty: true })
  await recordEvent(deps, actor, {
    code: 'enquiry-paper-came',
    values: { source: source.name, claim: labelValue(claim.details) },
    about: source.name,
    candidateId: claim.candidateId,
    applicationId: enquiry.applicationId,
    claimId: claim.id,
  })
  return true
}
