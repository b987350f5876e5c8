import { Op } from 'sequelize'
import { isActive, isSent } from '#core/hiring/stages'
import { isMeetable } from '#core/sources/conditions'
import type { SourceCondition } from '#core/sources/source'
import { recordEvent } from '../platform/audit/record'
import type { Account as Actor, Deps } from '../platform/deps'
import { conditionsOf } from '../readiness/claimFacts'
import { applicationsOf } from '../records/applications/find'
import { labelValue } from '../records/claims/label'
import { Claim } from '../records/claims/model'
import { documentsOf } from '../records/documents/documents'
import type { Source } from '../records/sources/model'

const most = 2000

/**
 * Whoever has sent a claim before its source asked for more is told of it, and finds it among what they have to do. What is
 * being written is asked for it before it is sent, and needs no mail.
 */
export async function tellOfMore(deps: Deps, actor: Actor, source: Source, before: readonly SourceCondition[]) {
  const known = new Set(before.filter(isMeetable).map(({ id }) => id))
  const added = new Set(
    source.known.conditions
      .filter(isMeetable)
      .map(({ id }) => id)
      .filter((id) => !known.has(id)),
  )
  if (added.size === 0) return
  const claims = await Claim.findAll({
    where: { sourceId: source.id, removedAt: { [Op.is]: null }, rung: ['claimed', 'evidenced', 'asked'] },
    order: ['id'],
    limit: most,
  })
  for (const claim of claims) {
    const open = await openOf(deps, claim, source, added)
    if (open.length === 0) continue
    const applications = await applicationsOf(claim.candidateId)
    if (!applications.some((application) => isSent(application) && isActive(application))) continue
    await recordEvent(deps, actor, {
      code: 'source-asks-more',
      values: {
        source: source.name,
        claim: labelValue(claim.details),
        what: { list: [...new Set(open)].map((kind) => ({ code: `condition.source.${kind}` as const })) },
      },
      about: source.name,
      candidateId: claim.candidateId,
      claimId: claim.id,
    })
  }
}

/** What of it is not there already. */
async function openOf({ clock }: Deps, claim: Claim, source: Source, added: ReadonlySet<string>) {
  const documents = (await documentsOf([claim.id])).filter(
    ({ credentialVersion }) => credentialVersion === claim.credentialVersion,
  )
  const facts = { sources: new Map([[source.id, source]]), documents, posted: new Map(), today: clock.today() }
  const { conditions = [] } = conditionsOf(claim, facts)
  return conditions.filter(({ id, state }) => added.has(id) && state !== 'met').map(({ kind }) => kind)
}
