import { v7 as uuid } from 'uuid'
import { candidateOf } from '../accounts/candidate'
import { recordEvent } from '../audit/record'
import type { Account, Deps } from '../deps'
import { conflict } from '../http/problems'
import { isOpen, vacancyBySlug } from '../vacancies/vacancies'
import { applicationsOf } from './find'
import { Application } from './model'

/** Begins an application, or comes back to the one already begun. Answers about the person are taken over from the last one. */
export async function beginApplication(deps: Deps, actor: Account, slug: string) {
  const vacancy = await vacancyBySlug(slug)
  const candidate = await candidateOf(deps, actor)
  const existing = await Application.findOne({ where: { candidateId: candidate.id, vacancyId: vacancy.id } })
  if (existing) return { id: existing.id }
  if (!isOpen(vacancy, deps.clock.now()))
    throw conflict('closed', 'This vacancy is closed. Nothing can be begun for it any more.')
  const earlier = (await applicationsOf(candidate.id)).at(-1)
  const now = deps.clock.now()
  const reused = Object.entries(earlier?.answers ?? {}).filter(
    ([key]) => key.startsWith('about.') || key.startsWith('contact.'),
  )
  const application = await Application.create({
    id: uuid(),
    candidateId: candidate.id,
    vacancyId: vacancy.id,
    stage: 'being written',
    answers: { 'contact.mail': actor.mail, ...Object.fromEntries(reused) },
    version: 0,
    targetStart: vacancy.targetStart,
    createdAt: now,
    savedAt: now,
  })
  await recordEvent(deps, actor, {
    code: 'application-begun',
    what: `Began to apply for ${vacancy.title}`,
    forCandidate: `You began your application.`,
    candidateId: candidate.id,
    applicationId: application.id,
  })
  return { id: application.id }
}
