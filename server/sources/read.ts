import { Op } from 'sequelize'
import type { SourceGiven } from '#contract/sources'
import { isSent } from '#core/hiring/stages'
import { lostInMerge, type SourceField, sourceFields } from '#core/sources/merge'
import type { ContactGiven } from '#core/sources/source'
import type { Account } from '../platform/deps'
import { othersBeside } from '../records/accounts/policies'
import { applicationsOf } from '../records/applications/find'
import { isInSight } from '../records/applications/sight'
import { labelOf } from '../records/claims/label'
import { Claim } from '../records/claims/model'
import { shownNames } from '../records/people/shownNames'
import { Source, SourceMerge, SourceMergeMove, SourceVersion } from '../records/sources/model'
import { factsOfSource, type StoredFacts, sourceEntry } from '../records/sources/sources'
import { currentWatchlist, sellerMatch } from '../records/sources/watchlist'
import { standingOf } from './directory'
import { claimsNaming, flagsOfContacts } from './flags'
import { checkableBy } from './keep'
import { twinsOf } from './twins'

const mostVersions = 50
const mostSaying = 20

/** All that is known of a source. */
export async function readSource(actor: Account, id: string) {
  const source = await sourceEntry(id)
  const facts = factsOfSource(source)
  const [flags, claims, beside, { watchlist }, into, said, twins, merges, versions] = await Promise.all([
    flagsOfContacts(source),
    countNaming(id),
    othersBeside(actor, 'source-check', 'sources.keep'),
    currentWatchlist(),
    source.mergedIntoId ? Source.findByPk(source.mergedIntoId) : null,
    saidOf(actor, source),
    readTwins(source, facts),
    mergesInto(id),
    SourceVersion.findAll({ where: { sourceId: id }, order: [['version', 'DESC']], limit: mostVersions }),
  ])
  return {
    id,
    ...standingOf(source),
    ...checkableBy(source, actor, beside),
    seller: sellerMatch(source, watchlist) ?? null,
    source: given(facts),
    contacts: facts.contacts.map(({ enteredById: _id, ...contact }) => ({
      ...contact,
      flags: flags.get(contact.id) ?? [],
    })),
    origin: source.origin,
    mergedInto: into && otherSource(into),
    retiredBecause: source.retiredBecause ?? null,
    claims,
    said,
    twins,
    merges,
    history: versions.map(({ version, source: now, changedBy, changedAt }, nth) => ({
      version,
      by: changedBy,
      at: changedAt.toISOString(),
      changed: changedFields(versions[nth + 1]?.source, now),
    })),
  }
}

const otherSource = ({ id, name, town, country }: Source) => ({ id, name, town, country })

/** What is known as the desk writes it: who made sure of a contact is not theirs to say. */
export const given = ({ contacts, ...facts }: StoredFacts): SourceGiven => ({
  ...facts,
  contacts: contacts.map(
    ({ id, purposes, name, mail, phone, address }): ContactGiven => ({ id, purposes, name, mail, phone, address }),
  ),
})

const countNaming = (id: string): Promise<number> =>
  Claim.count({
    where: { removedAt: { [Op.is]: null }, [Op.or]: [{ sourceId: id }, { proposedSourceId: id }] },
  })

/** What those say of a source who named it before it was known, as far as their names may be read. */
async function saidOf(actor: Account, source: Source) {
  if (source.origin !== 'candidate') return []
  const naming = (await claimsNaming(source.id)).slice(0, mostSaying)
  const seen = await Promise.all(naming.map(({ candidateId: id }) => isInSight(actor, { of: 'candidate', id })))
  const claims = naming.filter((_, nth) => seen[nth])
  const names = await shownNames(claims.map(({ candidateId }) => candidateId))
  const files = await Promise.all(
    claims.map(async ({ candidateId }) => (await applicationsOf(candidateId)).find(isSent)?.id ?? null),
  )
  return claims.map(({ candidateId, details }, nth) => {
    const {
      town = '',
      country = '',
      mail = '',
      phone = '',
      site = '',
    } = ('sourceSaid' in details ? details.sourceSaid : undefined) ?? {}
    return {
      file: files[nth]!,
      who: names.get(candidateId) ?? '',
      claim: details.kind === 'work' ? details.position : labelOf(details),
      ...{ town, country, mail, phone, site },
    }
  })
}

/** Its likely twins, each with what would be lost of it if it went into this one. */
async function readTwins(source: Source, facts: StoredFacts) {
  const pairs = await twinsOf(source.id)
  const idOf = ({ oneId, otherId }: (typeof pairs)[number]) => (oneId === source.id ? otherId : oneId)
  const others = new Map((await Source.findAll({ where: { id: pairs.map(idOf) } })).map((other) => [other.id, other]))
  return Promise.all(
    pairs.flatMap((pair) => {
      const other = others.get(idOf(pair))
      if (!other) return []
      const swapped = pair.oneId !== source.id
      return [
        readTwin(
          other,
          pair.score,
          pair.reasons.map((reason) =>
            'one' in reason && swapped ? { ...reason, one: reason.other, other: reason.one } : reason,
          ),
          facts,
        ),
      ]
    }),
  )
}

async function readTwin<R>(other: Source, score: number, reasons: R[], facts: StoredFacts) {
  const theirs = factsOfSource(other)
  return {
    ...otherSource(other),
    ...{ version: other.version, state: other.state, score, reasons },
    lost: lostInMerge(facts, theirs),
    source: given(theirs),
    claims: await countNaming(other.id),
  }
}

/** What was merged into a source and can be taken out again. */
async function mergesInto(keptId: string) {
  const merges = await SourceMerge.findAll({
    where: { keptId, undoneAt: { [Op.is]: null } },
    order: [['mergedAt', 'DESC']],
  })
  return Promise.all(
    merges.map(async ({ id, goneId, mergedBy, mergedAt }) => ({
      id,
      name: (await sourceEntry(goneId)).name,
      by: mergedBy,
      at: mergedAt.toISOString(),
      claims: await SourceMergeMove.count({ where: { mergeId: id, kind: ['claim', 'proposed'] } }),
    })),
  )
}

/** What one version has differently from the one before; of the first, nothing. */
function changedFields(before: SourceVersion['source'] | undefined, now: SourceVersion['source']): SourceField[] {
  if (!before) return []
  return sourceFields.filter((field) => JSON.stringify(before[field]) !== JSON.stringify(now[field]))
}
