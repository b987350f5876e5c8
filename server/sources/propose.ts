import { Op, UniqueConstraintError } from 'sequelize'
import { v7 as uuid } from 'uuid'
import { isActive, isSent } from '#core/hiring/stages'
import { isAskedAbout } from '#core/sources/asked'
import { issuedClaims, type SourceKind } from '#core/sources/source'
import { nameKey } from '#core/sources/spelling'
import { recordEvent } from '../platform/audit/record'
import type { Change } from '../platform/changes'
import type { Deps } from '../platform/deps'
import { applicationsOf } from '../records/applications/find'
import { labelValue } from '../records/claims/label'
import { Claim } from '../records/claims/model'
import { Source } from '../records/sources/model'
import { columnsOf, unknownFacts } from '../records/sources/sources'
import { settle } from './keep'

const kindOfSource: Record<(typeof issuedClaims)[number], SourceKind> = {
  study: 'university',
  licence: 'licensing body',
  certificate: 'certifier',
  language: 'certifier',
  attestation: 'certifier',
  work: 'employer',
}

const longestKey = 255

/** Sources that candidates name and nobody knows are proposed with what they have sent: for the desk to look at. */
export async function proposeSources(deps: Deps, changes: readonly Change[]) {
  const candidates = [...new Set(changes.flatMap(({ candidateId }) => candidateId ?? []))]
  for (const candidateId of candidates) {
    const unknown = (
      await Claim.findAll({
        where: {
          candidateId,
          kind: [...issuedClaims],
          ...{ sourceId: { [Op.is]: null }, proposedSourceId: { [Op.is]: null }, removedAt: { [Op.is]: null } },
        },
      })
    ).filter(({ details }) => nameKey(details.sourceName) !== '' && isAskedAbout(details))
    if (unknown.length === 0) continue
    const applications = await applicationsOf(candidateId)
    if (!applications.some((application) => isSent(application) && isActive(application))) continue
    for (const claim of unknown) await propose(deps, claim)
  }
}

async function propose(deps: Deps, claim: Claim) {
  const { details } = claim
  const kind = kindOfSource[details.kind as keyof typeof kindOfSource]
  const said = 'sourceSaid' in details ? details.sourceSaid : undefined
  const country = said?.country || ('country' in details ? (details.country ?? '') : '')
  const name = details.sourceName.trim()
  const proposalKey = `${kind} ${country} ${nameKey(name)}`.slice(0, longestKey)
  const source = await theOnly(deps, { name, kind, country, town: said?.town?.trim() ?? '', proposalKey })
  await Claim.update({ proposedSourceId: source.id }, { where: { id: claim.id, sourceId: null } })
  await recordEvent(
    deps,
    { kind: 'system' },
    {
      code: 'source-proposed',
      values: { source: name, claim: labelValue(details) },
      about: name,
      candidateId: claim.candidateId,
      claimId: claim.id,
    },
  )
}

/** One proposal, however many name it, also at the same moment: its key is unique. */
async function theOnly(
  deps: Deps,
  given: Pick<Source, 'name' | 'kind' | 'country' | 'town'> & { proposalKey: string },
) {
  const there = () => Source.findOne({ where: { proposalKey: given.proposalKey } })
  const known = await there()
  if (known) return known
  const { name, kind, country, town, proposalKey } = given
  try {
    const made = await Source.create({
      ...columnsOf({ ...unknownFacts, name, kind, country, town, contacts: [] }),
      ...{ id: uuid(), proposalKey, origin: 'candidate' as const, version: 1 },
    })
    await settle(deps, { name: '' }, made)
    return made
  } catch (error) {
    const other = error instanceof UniqueConstraintError ? await there() : null
    if (!other) throw error
    return other
  }
}
