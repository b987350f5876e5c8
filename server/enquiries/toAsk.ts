import { Op } from 'sequelize'
import { mostAtOnce } from '#contract/enquiries'
import { isSent } from '#core/hiring/stages'
import type { Rung } from '#core/requirements/requirement'
import { isStillAskedAbout } from '#core/sources/asked'
import type { Account, Deps } from '../platform/deps'
import { notFound } from '../platform/errors/problems'
import { readinessOf } from '../readiness/readiness'
import { sentApplication } from '../records/applications/find'
import { Application } from '../records/applications/model'
import { whereInSight } from '../records/applications/sight'
import { Claim } from '../records/claims/model'
import { confirmedNow } from '../records/enquiries/confirmed'
import { enquiriesOf } from '../records/enquiries/enquiries'
import { ApplicationSummary } from '../records/hiring/model'

/** Somebody has decided on these. */
const settled = new Set<Rung>(['contradicted', 'unconfirmable', 'waived'])

/**
 * The claims of files, or about one source, that somebody still has to ask about: what a vacancy asks to be confirmed, and is asked
 * of nobody yet. Those of the person with the least slack come first.
 *
 * @throws Problem 404 where neither is named
 */
export async function listToAsk(deps: Deps, actor: Account, of: { applicationIds?: string; sourceId?: string }) {
  if (of.applicationIds) return toAskIn(deps, actor, of.applicationIds.split(','))
  if (of.sourceId) return toAskOf(deps, actor, of.sourceId)
  throw notFound()
}

async function toAskIn(deps: Deps, actor: Account, applicationIds: readonly string[]) {
  const summaries = await ApplicationSummary.findAll({
    where: { [Op.and]: [whereInSight(actor), { applicationId: [...applicationIds] }] },
    order: ['slack', 'applicationId'],
  })
  const items: { claimId: string; applicationId: string }[] = []
  // A claim of one person is asked about once, whichever of their applications are chosen.
  const seen = new Set<string>()
  for (const { applicationId } of summaries) {
    if (items.length >= mostAtOnce) break
    for (const id of await wantedIn(deps, applicationId)) {
      if (!seen.has(id)) items.push({ claimId: id, applicationId })
      seen.add(id)
    }
  }
  return items.slice(0, mostAtOnce)
}

async function wantedIn(deps: Deps, applicationId: string): Promise<string[]> {
  const { outcomes } = await readinessOf(deps, await sentApplication(applicationId))
  const wanted = outcomes.flatMap(({ claims, steps }) =>
    steps.some(({ who, what }) => who === 'desk' && what === 'ask') ? claims : [],
  )
  const claims = await Claim.findAll({
    where: { id: [...new Set(wanted)], removedAt: { [Op.is]: null } },
    order: ['id'],
  })
  return (await stillOpen(deps, claims)).map(({ id }) => id)
}

/** One question for each claim: for the application of its person that is nearest to its start. */
async function toAskOf(deps: Deps, actor: Account, sourceId: string) {
  const claims = await Claim.findAll({
    where: { sourceId, rung: ['claimed', 'evidenced'], removedAt: { [Op.is]: null } },
    order: ['id'],
    limit: mostAtOnce,
  })
  const summaries = await ApplicationSummary.findAll({
    where: { [Op.and]: [whereInSight(actor), { candidateId: claims.map(({ candidateId }) => candidateId) }] },
    order: ['slack', 'applicationId'],
  })
  const applications = new Map(
    (await Application.findAll({ where: { id: summaries.map(({ applicationId }) => applicationId) } }))
      .filter(isSent)
      .map((one) => [one.id, one]),
  )
  const open = await stillOpen(deps, claims)
  return open.flatMap(({ id, candidateId }) => {
    const own = summaries.find((one) => one.candidateId === candidateId && applications.has(one.applicationId))
    return own ? [{ claimId: id, applicationId: own.applicationId }] : []
  })
}

async function stillOpen(deps: Deps, claims: readonly Claim[]): Promise<Claim[]> {
  const asked = new Set(
    (await enquiriesOf(claims.map(({ id }) => id)))
      // What was answered, or will not be, is compared and decided first.
      .filter(({ turn }) => turn !== null)
      .map(({ claimId }) => claimId),
  )
  const open: Claim[] = []
  for (const claim of claims)
    if (
      !asked.has(claim.id) &&
      !settled.has(claim.rung) &&
      isStillAskedAbout({ ...claim.get(), confirmed: await confirmedNow(deps, claim) })
    )
      open.push(claim)
  return open
}
