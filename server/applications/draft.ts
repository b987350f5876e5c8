import { factsOfFile } from '#core/requirements/fileFacts'
import { askedBySources } from '#core/requirements/sourceCondition'
import type { Account, Deps } from '../platform/deps'
import { readinessOf } from '../readiness/readiness'
import { ownApplication } from '../records/applications/find'
import { behalfOf } from '../records/applications/writtenFor'
import { claimFaces } from '../records/claims/view'
import { permissionOf } from '../records/permissions/permissions'
import { permissionText } from '../records/permissions/text'
import { knownStudies } from '../records/sources/knownStudies'
import { isOpen } from '../records/vacancies/vacancies'
import { ownVouching } from '../records/vouching/vouchings'
import { completionOf } from './completion'
import { leftOf } from './remaining'
import { reopenedParts } from './reopen'
import { stillAsked } from './stillAsked'

/** An application as its candidate writes it. */
export async function readDraft(deps: Deps, actor: Account, id: string) {
  const application = await ownApplication(actor, id)
  const readiness = await readinessOf(deps, application)
  const { outcomes, vacancy, rules, requirements, facts } = readiness
  const permission = await permissionOf(id)
  return {
    id,
    version: application.version,
    stage: application.stage,
    reference: application.reference ?? null,
    vacancy: {
      slug: vacancy.slug,
      title: vacancy.title,
      closesAt: vacancy.closesAt.toISOString(),
      timeZone: vacancy.timeZone,
      targetStart: vacancy.targetStart,
      paperLanguages: vacancy.paperLanguages,
      open: isOpen(vacancy, deps.clock.now()),
    },
    form: rules.form,
    requirements,
    askedBySources: askedBySources(requirements, outcomes),
    studies: await knownStudies(readiness.claims, readiness.sources),
    answers: application.answers,
    begunAt: application.createdAt.toISOString(),
    behalf: await behalfOf(application),
    decided: Object.fromEntries(
      (facts.matters ?? [])
        .filter(({ own, outcome }) => !own && outcome === 'no bearing')
        .reverse()
        .map(({ question, answer, explanation, decidedOn: on }) => [question, { on, answer, explanation }]),
    ),
    takenOver: Object.fromEntries(
      application.takenOver.map((key) => [key, application.answeredAt[key] ?? application.createdAt.toISOString()]),
    ),
    reopened: (await reopenedParts(rules.form, application, readiness.reopenings)).filter(
      ({ state }) => state === 'open',
    ),
    fileFacts: factsOfFile(facts),
    claims: await claimFaces(readiness.claims, readiness),
    vouchings: readiness.vouchings.map(ownVouching),
    equalityGiven: application.equalityGiven,
    permission: permission && { signedAt: permission.signedAt.toISOString(), fullName: permission.fullName },
    authorised: [...(facts.authorised ?? [])],
    permissionText: (await permissionText(deps)).text,
    outcomes,
    left: await leftOf(readiness, application),
    lastSection: application.lastSection ?? null,
    stillAsked: [...(await stillAsked(application, readiness))],
    savedAt: application.savedAt.toISOString(),
    completion: completionOf(deps, application, readiness),
    today: deps.clock.today().toString(),
  }
}
