import { UniqueConstraintError } from 'sequelize'
import { v7 as uuid } from 'uuid'
import { isWithdrawn } from '#core/hiring/stages'
import { recordEvent } from '../platform/audit/record'
import { lockOf } from '../platform/database/connection'
import type { Account, Deps } from '../platform/deps'
import { candidateOf } from '../records/accounts/candidate'
import { applicationsOf } from '../records/applications/find'
import { Application } from '../records/applications/model'
import { isOpen, rulesOfVacancy, vacancyBySlug } from '../records/vacancies/vacancies'
import { takenOverFrom } from './carryOver'
import { problems } from './problems'

/**
 * Begins an application, or comes back to the one already begun; after a withdrawn one another is begun. What is known
 * already is taken over.
 */
export async function beginApplication(deps: Deps, actor: Account, slug: string) {
  const vacancy = await vacancyBySlug(slug)
  const candidate = await candidateOf(deps, actor)
  const earlier = await newestFor(candidate.id, vacancy.id)
  if (earlier && !isWithdrawn(earlier)) return { id: earlier.id }
  if (!isOpen(vacancy, deps.clock.now())) throw problems.closed()
  const now = deps.clock.now()
  const { form } = await rulesOfVacancy(vacancy)
  const { answers, ...known } = takenOverFrom(await applicationsOf(candidate.id), form)
  const application = await Application.create({
    id: uuid(),
    candidateId: candidate.id,
    vacancyId: vacancy.id,
    duplicateOrdinal: earlier ? earlier.duplicateOrdinal + 1 : 0,
    stage: 'being written',
    answers: { 'contact.mail': actor.mail, ...answers },
    ...known,
    version: 0,
    targetStart: vacancy.targetStart,
    createdAt: now,
    savedAt: now,
  }).catch((error: unknown) => {
    if (error instanceof UniqueConstraintError) return undefined
    throw error
  })
  // Begun in another window at the same moment.
  if (!application) return { id: (await newestFor(candidate.id, vacancy.id, lockOf()))!.id }
  await recordEvent(deps, actor, {
    code: 'application-begun',
    values: { vacancy: vacancy.title },
    candidateId: candidate.id,
    applicationId: application.id,
  })
  return { id: application.id }
}

const newestFor = (candidateId: string, vacancyId: string, lock = {}) =>
  Application.findOne({ where: { candidateId, vacancyId }, order: [['duplicateOrdinal', 'DESC']], ...lock })
