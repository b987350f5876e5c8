import type { Matter } from '#contract/matters'
import { isActive } from '#core/hiring/stages'
import { sees } from '#core/privacy/hidden'
import { tallyOf } from '#core/requirements/matter'
import { requirementTitle } from '#core/words/requirementTitle'
import { isKnown, say, sayCoded } from '#core/words/say'
import type { Account, Deps } from '../platform/deps'
import { logAccess, shownTo } from '../privacy/accessLog'
import { readinessOf } from '../readiness/readiness'
import { sentApplication } from '../records/applications/find'
import { mattersOfCandidates } from '../records/matters/find'
import { MatterVote } from '../records/matters/model'
import { hidesName } from '../records/scoring/find'
import { decidersOf, declaredIn } from './matter'

/**
 * What somebody declared that is for a person to decide. What was declared is read by those who see declarations, have asked to,
 * or decide it; while names are hidden nobody reads what was written freely.
 */
export async function readMatters(deps: Deps, actor: Account, applicationId: string): Promise<Matter[]> {
  const application = await sentApplication(applicationId)
  const readiness = await readinessOf(deps, application)
  const declared = declaredIn(application, readiness)
  if (declared.length === 0) return []
  const { candidateId } = application
  const [nameless, shown, all] = await Promise.all([
    hidesName(application),
    shownTo(deps, actor, candidateId),
    mattersOfCandidates([candidateId]),
  ])
  const votes = await MatterVote.findAll({ where: { matterId: all.map(({ id }) => id) }, order: ['votedAt'] })
  const matters = await Promise.all(
    declared.map(async ({ requirement, ask, answer, explanation, digest }): Promise<Matter> => {
      const { who, named, together } = await decidersOf(ask)
      const mine = who.some(({ id }) => id === actor.id) && actor.rights.includes('matters.decide')
      const reads = sees(actor.rights, 'declarations') || shown.has('declarations') || (named && mine)
      const matter = all.find(
        (one) => one.applicationId === applicationId && one.requirement === requirement.key && one.digest === digest,
      )
      const cast = votes.filter(({ matterId }) => matterId === matter?.id)
      const tally = tallyOf(
        cast.map(({ accountId, outcome }) => ({ by: accountId, outcome })),
        who.map(({ id }) => id),
        together,
      )
      return {
        requirement: requirement.key,
        title: requirementTitle(requirement),
        answer: reads ? answerWords(answer) : '',
        explanation: reads && !nameless ? explanation : null,
        papers:
          reads && !nameless
            ? readiness.claims
                .filter(({ details }) => details.kind === 'paper' && details.question === ask.question)
                .flatMap(({ id }) => readiness.documents.filter(({ claimId }) => claimId === id))
                .map(({ id, fileName }) => ({ id, fileName }))
            : [],
        state: matter?.outcome ?? (tally.state === 'decided' ? 'waiting' : tally.state),
        decidedOn: matter?.decidedAt?.toISOString().slice(0, 10) ?? null,
        deciders: who.map(({ id, name }) => ({ id, name })),
        together,
        votes: cast.map(({ name, outcome, reason, conditions }) => ({ name, outcome, reason, conditions })),
        earlier: all
          .filter((one) => one.applicationId !== applicationId && one.question === ask.question && one.outcome)
          .map(({ outcome, decidedAt, reason }) => ({
            outcome: outcome!,
            on: decidedAt!.toISOString().slice(0, 10),
            reason: reads ? reason : '',
          })),
        mayDecide: mine && isActive(application),
        version: matter?.version ?? 0,
      }
    }),
  )
  if (matters.some(({ explanation }) => explanation !== null))
    await logAccess(deps, actor, { candidateId, applicationId, subject: 'declarations matters', what: 'declarations' })
  return matters
}

const answerWords = (answer: string) => {
  const code = `names.answer.${answer}`
  return isKnown(code) ? sayCoded({ code }) : answer || say('file.answerUnknown')
}
