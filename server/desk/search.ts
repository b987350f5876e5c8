import { Op, QueryTypes } from 'sequelize'
import { namePartsOf, plainNumber, soundsOf } from '#core/comparison/keys'
import { readReference } from '#core/references/reference'
import { say } from '#core/words/say'
import type { Account, Deps } from '../platform/deps'
import { Application } from '../records/applications/model'
import { whereInSight } from '../records/applications/sight'
import { labelOf } from '../records/claims/label'
import { Claim } from '../records/claims/model'
import { ApplicationSummary } from '../records/hiring/model'
import { importedAmong } from '../records/imports/people'
import { namesHiddenIn } from '../records/people/shownNames'

const most = 12
/** Enough people to choose the shown ones from, however common a name is. */
const pool = 60

type Found = Map<string, string>

/**
 * Finds people by reference (with the likely one where a slip was made), by the beginning of any part of their names in
 * any spelling, by how a name sounds, by mail, or by the beginning of a number on a paper. Every search is a range of an
 * index, so that it takes the same time among a hundred thousand.
 */
export async function find(deps: Deps, actor: Account, text: string) {
  const reading = readReference(deps.organisation.referencePrefix, text)
  const reference = reading.ok ? reading.reference : undefined
  const likely = !reading.ok && reading.code === 'check-failed' ? (reading.likely ?? null) : null
  const references = [reference, likely].filter((value) => value != null)
  const byReference =
    references.length === 0 ? [] : await Application.findAll({ where: { reference: references }, attributes: ['id'] })
  const found: Found = new Map()
  if (!reference) {
    if (text.includes('@')) await addBy(deps, found, 'm', text.trim().toLowerCase(), () => 'by mail')
    if (/\d/.test(text)) await addNumbers(deps, found, plainNumber(text))
    await addNames(deps, found, namePartsOf(text))
  }
  const rows = await ApplicationSummary.findAll({
    where: {
      ...whereInSight(actor),
      // Whose name is hidden is found by reference alone: an answer to a name would tell whose it is.
      [Op.or]: [
        { applicationId: byReference.map(({ id }) => id) },
        { candidateId: [...found.keys()], hidesName: false },
      ],
    },
    order: ['candidate', 'applicationId'],
    limit: pool,
  })
  const order = [...found.keys()]
  const sorted = rows.sort((a, b) => order.indexOf(a.candidateId ?? '') - order.indexOf(b.candidateId ?? ''))
  const keeps = actor.rights.includes('people.import')
  const hiding = await namesHiddenIn(order)
  const without = order.filter((id) => !hiding.has(id) && !rows.some(({ candidateId }) => candidateId === id))
  return {
    imported: (keeps ? await importedAmong(deps, without) : [])
      .slice(0, most)
      .map(({ candidateId, name, fileName }) => ({
        candidateId,
        name,
        because: found.get(candidateId) || say('desk.foundBy.import', { file: fileName }),
      })),
    people: sorted.slice(0, most).map(({ applicationId, candidateId, candidate, vacancy, reference: own }) => ({
      id: applicationId,
      candidate,
      vacancy,
      reference: own ?? null,
      because:
        own && own === likely
          ? say('desk.foundBy.likely', { reference: own })
          : (found.get(candidateId ?? '') ?? own ?? ''),
    })),
    likely,
  }
}

/** People whose every typed part begins a part of a name; where there are few, those whose names sound alike. */
async function addNames(deps: Deps, found: Found, parts: readonly string[]) {
  if (parts.length === 0) return
  const begun = await peopleWith(
    deps,
    parts.slice(0, 4).map((part) => ({ kind: 'n', like: `${part}%` })),
  )
  for (const id of begun) found.set(id, found.get(id) ?? '')
  if (begun.length >= 5) return
  const sounds = parts.slice(0, 4).map((part) => ({ kind: 's', oneOf: soundsOf(part) }))
  if (sounds.every(({ oneOf }) => oneOf.length > 0))
    for (const id of await peopleWith(deps, sounds)) found.set(id, found.get(id) ?? say('desk.foundBy.sound'))
}

async function addNumbers(deps: Deps, found: Found, number: string) {
  if (number.length < 3) return
  await addBy(deps, found, 'i', number, () => say('desk.foundBy.identityNumber'))
  const ids = await peopleWith(deps, [{ kind: 'c', like: `${likely(number)}%` }])
  const claims = await Claim.findAll({
    where: { candidateId: ids, number: { [Op.ne]: null } },
    attributes: ['candidateId', 'number', 'details'],
  })
  for (const { candidateId, number: own, details } of claims)
    if (plainNumber(own ?? '').startsWith(number)) found.set(candidateId, `${labelOf(details)}, ${own}`)
  const digits = number.replace(/\D/g, '')
  if (digits.length >= 6 && digits === number)
    await addBy(deps, found, 'p', digits.slice(-9), () => say('desk.foundBy.phone'))
}

async function addBy(deps: Deps, found: Found, kind: string, value: string, because: () => string) {
  for (const id of await peopleWith(deps, [{ kind, like: `${likely(value)}%` }])) found.set(id, because())
}

const likely = (text: string) => text.replace(/[\\%_]/g, '\\$&')

type Wanted = { kind: string; like: string } | { kind: string; oneOf: string[] }

async function peopleWith({ sequelize }: Deps, wanted: readonly Wanted[]): Promise<string[]> {
  const replacements: Record<string, unknown> = {}
  const holds = (want: Wanted, nth: number) => {
    replacements[`kind${nth}`] = want.kind
    replacements[`value${nth}`] = 'like' in want ? want.like : want.oneOf
    return `k${nth}.kind = :kind${nth} AND k${nth}.value ${'like' in want ? `LIKE :value${nth}` : `IN (:value${nth})`}`
  }
  const [first, ...others] = wanted
  const joins = others.map(
    (want, at) =>
      `JOIN candidate_keys k${at + 1} ON k${at + 1}.candidateId = k0.candidateId AND ${holds(want, at + 1)}`,
  )
  const rows = await sequelize.query<{ candidateId: string }>(
    `SELECT DISTINCT k0.candidateId FROM candidate_keys k0 ${joins.join(' ')} WHERE ${holds(first!, 0)} LIMIT ${pool}`,
    { replacements, type: QueryTypes.SELECT },
  )
  return rows.map(({ candidateId }) => candidateId)
}
