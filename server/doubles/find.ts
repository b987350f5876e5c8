import { Op } from 'sequelize'
import { compareFiles } from '#core/comparison/samePerson'
import { agreementWords } from '#core/words/samePerson'
import { Candidate } from '../accounts/model'
import { applicationsOf } from '../applications/find'
import { claimsOf } from '../claims/face'
import { labelOf } from '../claims/label'
import { rowsOf } from '../database/rows'
import type { Deps } from '../deps'
import { notFound } from '../http/problems'
import { knownPeople } from '../people/known'
import { titlesOfVacancies } from '../vacancies/vacancies'
import { Merge, PossibleDouble } from './model'

const mostPairs = 200
const undoableDays = 30

/** A pair is kept once, whoever is looked at first. */
export const inOrder = (a: string, b: string): [string, string] => (a < b ? [a, b] : [b, a])

/** Those of some candidates who are in a pair that nobody has decided. */
export async function withOpenDoubles(candidateIds: readonly string[]): Promise<Set<string>> {
  const pairs = await PossibleDouble.findAll({ where: isOpenDouble(candidateIds), attributes: ['oneId', 'otherId'] })
  return new Set(pairs.flatMap(({ oneId, otherId }) => [oneId, otherId]))
}

const isOpenDouble = (candidateIds: readonly string[]) => ({
  state: 'open',
  [Op.or]: [{ oneId: [...candidateIds] }, { otherId: [...candidateIds] }],
})

/** The pairs somebody is in that nobody has decided, with the other's name. */
export async function doublesOf(candidateId: string) {
  const pairs = await rowsOf(PossibleDouble, isOpenDouble([candidateId]), ['weight'])
  if (pairs.length === 0) return []
  const others = await Candidate.findAll({
    where: { id: pairs.map(({ oneId, otherId }) => (oneId === candidateId ? otherId : oneId)) },
    attributes: ['id', 'name'],
  })
  return pairs.reverse().map(({ oneId, otherId }) => ({
    oneId,
    otherId,
    name: others.find(({ id }) => id !== candidateId && (id === oneId || id === otherId))?.name ?? '',
  }))
}

export async function listDoubles(deps: Deps) {
  const pairs = await PossibleDouble.findAll({
    where: { state: 'open' },
    order: [
      ['weight', 'DESC'],
      ['oneId', 'ASC'],
    ],
    limit: mostPairs,
  })
  const merges = await Merge.findAll({
    where: {
      undoneAt: null,
      mergedAt: { [Op.gt]: new Date(deps.clock.now().getTime() - undoableDays * 86_400_000) },
    },
    order: [['mergedAt', 'DESC']],
    limit: mostPairs,
  })
  const ids = [
    ...pairs.flatMap(({ oneId, otherId }) => [oneId, otherId]),
    ...merges.flatMap((m) => [m.keptId, m.mergedId]),
  ]
  const names = new Map(
    (await Candidate.findAll({ where: { id: ids }, attributes: ['id', 'name'] })).map(({ id, name }) => [id, name]),
  )
  return {
    pairs: pairs.map(({ oneId, otherId, likelihood, agreements }) => ({
      oneId,
      otherId,
      names: [names.get(oneId) ?? '', names.get(otherId) ?? ''] as [string, string],
      likelihood: likelihood as 'certain' | 'likely' | 'possible',
      agreeing: agreements
        .filter(({ verdict }) => verdict === 'same' || verdict === 'equivalent' || verdict === 'close')
        .map(({ field }) => field),
    })),
    merged: merges.map(({ id, keptId, mergedId, mergedBy, mergedAt }) => ({
      id,
      kept: names.get(keptId) ?? '',
      merged: names.get(mergedId) ?? '',
      by: mergedBy,
      at: mergedAt.toISOString(),
    })),
  }
}

/** Two files side by side, compared as they stand now. */
export async function readDouble(one: string, other: string) {
  const [oneId, otherId] = inOrder(one, other)
  const pair = await PossibleDouble.findOne({ where: { oneId, otherId, state: ['open', 'apart'] } })
  if (!pair) throw notFound()
  const known = await knownPeople([oneId, otherId])
  const { likelihood, agreements } = compareFiles(known.get(oneId)!, known.get(otherId)!)
  const side = async (id: string) => {
    const candidate = await Candidate.findByPk(id, { rejectOnEmpty: true })
    const applications = await applicationsOf(id)
    const titles = await titlesOfVacancies(applications.map(({ vacancyId }) => vacancyId))
    return {
      candidateId: id,
      name: candidate.name,
      otherNames: candidate.otherNames,
      born: candidate.born,
      phone: candidate.phone ?? null,
      mails: [...known.get(id)!.mails],
      since: candidate.createdAt.toISOString(),
      applications: applications
        .filter(({ stage }) => stage !== 'being written')
        .map(({ id: application, reference, stage, vacancyId }) => ({
          id: application,
          reference: reference ?? null,
          title: titles.get(vacancyId) ?? '',
          stage,
        })),
      // Numbers of identity papers stay hidden; whether they agree is said.
      claims: (await claimsOf(id)).map(({ details, number, rung, kind }) => ({
        label: labelOf(details),
        number: kind === 'identity' ? '' : (number ?? ''),
        rung,
      })),
    }
  }
  return {
    sides: [await side(oneId), await side(otherId)] as [
      Awaited<ReturnType<typeof side>>,
      Awaited<ReturnType<typeof side>>,
    ],
    likelihood,
    agreements: agreements.map((agreement) => ({
      ...agreement,
      ...(agreement.field === 'identity number' ? { ours: '', theirs: '' } : {}),
      words: agreementWords(agreement),
    })),
    state: pair.state as 'open' | 'apart',
  }
}
