import { Op } from 'sequelize'
import { compareFiles } from '#core/comparison/samePerson'
import { isSent } from '#core/hiring/stages'
import { hiddenKindOfClaim } from '#core/privacy/hidden'
import { agreementWords } from '#core/words/samePerson'
import { rowsOf } from '../platform/database/rows'
import type { Account, Deps } from '../platform/deps'
import { notFound } from '../platform/errors/problems'
import { shownTo } from '../privacy/accessLog'
import { coverFor } from '../privacy/redactionFor'
import { candidateById } from '../records/accounts/candidate'
import { applicationsOf } from '../records/applications/find'
import { labelOf } from '../records/claims/label'
import { claimsOf } from '../records/claims/view'
import { DuplicatePair, Merge } from '../records/duplicates/model'
import { inOrder, isOpenDuplicate } from '../records/duplicates/open'
import { knownPeople } from '../records/people/known'
import { namesHiddenIn, shownNames } from '../records/people/shownNames'
import { titlesOfVacancies } from '../records/vacancies/vacancies'

const mostPairs = 200
const undoableDays = 30

/** The pairs somebody is in that nobody has decided, with the other's name. */
export async function duplicatesOf(candidateId: string) {
  const pairs = await rowsOf(DuplicatePair, isOpenDuplicate([candidateId]), ['weight'])
  if (pairs.length === 0) return []
  const names = await shownNames(pairs.flatMap(({ oneId, otherId }) => [oneId, otherId]))
  return pairs.reverse().map(({ oneId, otherId }) => ({
    oneId,
    otherId,
    name: names.get(oneId === candidateId ? otherId : oneId) ?? '',
  }))
}

export async function listDuplicates(deps: Deps) {
  const pairs = await DuplicatePair.findAll({
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
  const names = await shownNames(ids)
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

/** Two files side by side, compared as they stand now, without what the reader's roles do not need. */
export async function readDuplicate(deps: Deps, actor: Account, one: string, other: string) {
  const [oneId, otherId] = inOrder(one, other)
  const pair = await DuplicatePair.findOne({ where: { oneId, otherId, state: ['open', 'apart'] } })
  if (!pair) throw notFound()
  const known = await knownPeople([oneId, otherId])
  const { likelihood, agreements } = compareFiles(known.get(oneId)!, known.get(otherId)!)
  const sides = [
    await sideOf(deps, actor, oneId, known.get(oneId)!.mails),
    await sideOf(deps, actor, otherId, known.get(otherId)!.mails),
  ] as const
  const covered = new Set<string>(
    sides.flatMap(({ hidden }) => hidden.flatMap(({ subject }) => telling[subject] ?? [])),
  )
  return {
    sides: [sides[0], sides[1]] as [Side, Side],
    likelihood,
    agreements: agreements.map((agreement) => {
      const hides = agreement.field === 'identity number' || covered.has(agreement.field)
      // Whether they agree is said all the same; by which letters they differ would tell what is hidden.
      const told = hides ? { ...agreement, ours: '', theirs: '', reasons: [] } : agreement
      return { ...told, words: agreementWords(told) }
    }),
    state: pair.state as 'open' | 'apart',
  }
}

/** The fields that tell what is hidden. */
const telling: Record<string, string[]> = { name: ['name', 'mail'], 'birth date': ['birth date'] }

type Side = Awaited<ReturnType<typeof sideOf>>

async function sideOf(deps: Deps, actor: Account, id: string, mails: readonly string[]) {
  const [person, shown, all, hiding, claims] = await Promise.all([
    candidateById(id),
    shownTo(deps, actor, id),
    applicationsOf(id),
    namesHiddenIn([id]),
    claimsOf(id),
  ])
  const titles = await titlesOfVacancies(all.map(({ vacancyId }) => vacancyId))
  const applications = all.filter(isSent)
  const { hidden, covers } = coverFor({ ...actor, shown })
  const reference = hiding.get(id)?.reference ?? 'This person'
  const named = !(hiding.has(id) && covers('name'))
  const born = person!.born !== null && covers('birth date') ? null : person!.born
  return {
    candidateId: id,
    name: named ? person!.name : reference,
    otherNames: named ? person!.otherNames : [],
    born,
    phone: person!.phone ?? null,
    mails: named ? [...mails] : [],
    // It is had shown by an application.
    hidden: hidden.map((part) => ({ ...part, mayReveal: part.mayReveal && applications.length > 0 })),
    since: person!.createdAt.toISOString(),
    applications: applications.map(({ id: application, reference: own, stage, vacancyId }) => ({
      id: application,
      reference: own ?? null,
      title: titles.get(vacancyId) ?? '',
      stage,
    })),
    // Numbers of identity papers stay hidden, and what is about health; whether they agree is said.
    claims: claims.map(({ details, number, rung }) => ({
      label: labelOf(details),
      number: hiddenKindOfClaim(details) ? '' : (number ?? ''),
      rung,
    })),
  }
}
