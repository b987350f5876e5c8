import { QueryTypes } from 'sequelize'
import type { QueuedFlag } from '#contract/redFlags'
import { activeStages } from '#core/hiring/stages'
import { hiddenKindOfClaim, sees } from '#core/privacy/hidden'
import type { FlagKind } from '#core/redFlags/redFlag'
import type { Account, Deps } from '../platform/deps'
import { applicationsById } from '../records/applications/find'
import { Claim } from '../records/claims/model'
import { shownNames } from '../records/people/shownNames'
import { offKinds } from '../records/redFlags/flags'
import { Flag } from '../records/redFlags/model'
import { coveredFlag, flagLines } from './flagLines'

const page = 50

/**
 * Open flags of people the desk works on, each with the application of theirs that has least slack. Driven by the flags, which are
 * few beside the summaries.
 */
const openOnes = `red_flags f JOIN application_summaries s ON s.applicationId = (
    SELECT t.applicationId FROM application_summaries t WHERE t.candidateId = f.candidateId AND t.stage IN (:stages)
    ORDER BY t.slack, t.applicationId LIMIT 1)
  WHERE f.state = 'open'`
const stages = [...activeStages, 'cleared']

/** How many of each kind are in the queue, or would be if their kind were looked for. */
export async function openByKind({ sequelize }: Pick<Deps, 'sequelize'>): Promise<Map<FlagKind, number>> {
  const rows = await sequelize.query<{ kind: FlagKind; count: number }>(
    `SELECT f.kind, COUNT(*) AS count FROM ${openOnes} GROUP BY f.kind`,
    { replacements: { stages }, type: QueryTypes.SELECT },
  )
  return new Map(rows.map(({ kind, count }) => [kind, Number(count)]))
}

/** How many wait for somebody: as many as the queue lists. */
export async function countOpenFlags(deps: Pick<Deps, 'sequelize'>): Promise<number> {
  const [open, off] = await Promise.all([openByKind(deps), offKinds()])
  return [...open].reduce((sum, [kind, count]) => (off.includes(kind) ? sum : sum + count), 0)
}

type Place = { id: string; applicationId: string; slack: number }

/** A page of what nobody has settled: by the slack of the person, then by age. */
export async function listRedFlags(deps: Deps, actor: Account, { after }: { after?: string }) {
  const [slack, id] = after?.split('_') ?? []
  const off = await offKinds()
  const found = await deps.sequelize.query<Place>(
    `SELECT f.id, s.slack, s.applicationId FROM ${openOnes} ${off.length > 0 ? 'AND f.kind NOT IN (:off)' : ''}
       ${slack && id ? 'AND (s.slack > :slack OR (s.slack = :slack AND f.id > :id))' : ''}
     ORDER BY s.slack, f.id LIMIT ${page + 1}`,
    { replacements: { stages, off, slack: Number(slack), id }, type: QueryTypes.SELECT },
  )
  const places = found.slice(0, page)
  const flags = await Flag.findAll({ where: { id: places.map((place) => place.id) } })
  const last = found.length > page ? places.at(-1) : undefined
  return {
    flags: await queued(actor, places, flags),
    next: last ? `${last.slack}_${last.id}` : null,
  }
}

async function queued(actor: Account, places: readonly Place[], flags: readonly Flag[]): Promise<QueuedFlag[]> {
  const claimIds = flags.flatMap(({ claimId }) => claimId ?? [])
  const [lines, claims, applications, names] = await Promise.all([
    flagLines(flags),
    Claim.findAll({ where: { id: claimIds }, attributes: ['id', 'details'] }),
    applicationsById(places.map(({ applicationId }) => applicationId)),
    shownNames(flags.map(({ candidateId }) => candidateId)),
  ])
  return places.flatMap(({ id, applicationId, slack }): QueuedFlag[] => {
    const flag = flags.find((one) => one.id === id)
    const line = lines.find((one) => one.id === id)
    const application = applications.find((one) => one.id === applicationId)
    if (!flag || !line || !application) return []
    const details = claims.find((claim) => claim.id === flag.claimId)?.details
    const kind = details && hiddenKindOfClaim(details)
    const covers =
      (kind && !sees(actor.rights, kind)) || (line.kind === 'too young' && !sees(actor.rights, 'birth date'))
    const shown = covers ? coveredFlag(line) : line
    const name = names.get(flag.candidateId) ?? ''
    return [{ ...shown, name, applicationId, reference: application.reference ?? null, slack }]
  })
}
