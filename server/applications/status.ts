import type { Status } from '#contract/applications'
import { writeWhen } from '#core/dates/write'
import { questionsOf } from '#core/form/form'
import { openAt } from '#core/requirements/evaluate'
import { type Gate, gates, type Outcome, type Requirement, type Step } from '#core/requirements/requirement'
import { outcomeWords } from '#core/words/requirements'
import { retell } from '#core/words/retell'
import { say } from '#core/words/say'
import { candidateOf, mergedWith } from '../accounts/candidate'
import { trailOf } from '../audit/trail'
import { claimFaces } from '../claims/face'
import type { Account, Deps } from '../deps'
import { nextGate, readinessOf } from '../hiring/readiness'
import { namesFor } from '../rules/versions'
import { checkByKey } from '../skills/checks'
import { allVacancies } from '../vacancies/vacancies'
import { applicationsOf, ownApplication } from './find'
import { leftOf } from './left'
import type { Application } from './model'
import { isContact, reopenedParts } from './reopen'

const gateName = (gate: Gate): string =>
  ({
    send: say('Application'),
    shortlist: say('Shortlist'),
    offer: say('Offer'),
    start: say('Cleared to start'),
  })[gate]

/** Whose step it is, said to the candidate. */
const holderOf = (who: Step['who']): string =>
  ({ candidate: say('you'), desk: say('us'), source: say('the source'), 'hiring manager': say('us') })[who]

const acts: Partial<Record<Step['what'], Status['toDo'][number]['act']>> = {
  upload: 'upload',
  renew: 'renew',
  'sit check': 'sit check',
  'do task': 'do task',
  explain: 'explain',
  pay: 'pay',
  sign: 'sign',
  answer: 'explain',
}

/** What happened, who has the ball, what to do next: the page a candidate comes back to. */
export async function readStatus(deps: Deps, actor: Account, id: string): Promise<Status> {
  const application = await ownApplication(actor, id)
  const readiness = await readinessOf(deps, application)
  const { vacancy, rules, outcomes, forecast, requirements, permission, passages, offer, tasks } = readiness
  const names = await namesFor(rules)
  const nameOf = (key: string) => names[key] ?? key
  const trail = await trailOf({ candidateIds: await mergedWith(application.candidateId), applicationId: id })
  const ended = ['withdrawn', 'declined', 'turned down', 'cleared'].includes(application.stage)
  const afterSending = outcomes.filter(({ gate, steps }) => gate !== 'send' || steps.length > 0)
  const line = (outcome: Outcome) => ({ title: retell(outcome.title), why: outcomeWords(outcome, nameOf) })
  const theirs = ended
    ? []
    : afterSending.filter((outcome) => outcome.steps[0]?.who === 'candidate' && isDue(outcome, offer !== undefined))
  const reopened = await reopenedParts(rules.form, application, readiness.reopenings)
  const changesToMake = ended
    ? []
    : reopened
        .filter(({ state }) => state === 'open')
        .map(({ id: key, title, reason, dueOn, section }) => ({
          key,
          title: say('Change “{{title}}”', { title }),
          why: `${reason} ${say('Please do so by {{day}}.', { day: writeWhen(dueOn) })}`,
          act: 'change' as const,
          target: section,
          minutes: null,
        }))
  const toDo = await Promise.all(theirs.map((outcome) => toDoOf(outcome, requirements, line(outcome).why)))
  return {
    id,
    reference: application.reference ?? null,
    title: vacancy.title,
    stage: application.stage,
    targetStart: application.targetStart,
    ball: ballOf(application, toDo.length + changesToMake.length, outcomes),
    likely:
      ended || application.stage === 'being written'
        ? null
        : { early: forecast.early.toString(), likely: forecast.likely.toString(), late: forecast.late.toString() },
    gates: gates.map((gate) => {
      const passedAt =
        gate === 'send' ? application.sentAt : passages.find((passage) => passage.gate === gate)?.passedAt
      return {
        gate,
        name: gateName(gate),
        state: passedAt ? 'passed' : nextGate[application.stage] === gate ? 'next' : 'later',
        passedAt: passedAt?.toISOString() ?? null,
      }
    }),
    toDo:
      application.stage === 'being written'
        ? [
            {
              key: 'finish',
              title: say('Finish and send your application'),
              why: say('{{count}} things are left.', { count: (await leftOf(readiness, application)).length }),
              act: 'finish',
              target: id,
              minutes: null,
            },
          ]
        : [...changesToMake, ...toDo],
    withOthers:
      ended || application.stage === 'being written'
        ? []
        : afterSending
            .filter(({ steps }) => steps[0] && steps[0].who !== 'candidate')
            .map((outcome) => ({ ...line(outcome), who: holderOf(outcome.steps[0]!.who) })),
    done: afterSending.filter(({ state }) => state === 'met').map(line),
    claims: await claimFaces(readiness.claims, readiness),
    contact: {
      version: application.version,
      questions: questionsOf(rules.form).filter(({ key }) => isContact(key)),
      answers: Object.fromEntries(Object.entries(application.answers).filter(([key]) => isContact(key))),
    },
    reopened,
    permission: permission
      ? {
          signedAt: permission.signedAt.toISOString(),
          asked: readiness.enquiries.filter(({ state, applicationId }) => state === 'open' && applicationId === id)
            .length,
        }
      : null,
    offer: offer
      ? {
          salary: offer.salary,
          startsOn: offer.startsOn,
          answerBy: offer.answerBy,
          answer: offer.answer ?? null,
        }
      : null,
    tasks: tasks.map(({ key, title, text, doneAt }) => ({ key, title, text, doneAt: doneAt?.toISOString() ?? null })),
    happenings: trail.flatMap(({ at, forCandidate }) =>
      forCandidate ? [{ at: at.toISOString(), text: retell(forCandidate) }] : [],
    ),
    today: deps.clock.today().toString(),
  }
}

/** Onboarding tasks and the offer come up only once there is an offer. */
function isDue(outcome: Outcome, hasOffer: boolean): boolean {
  return outcome.reason.code === 'task-open' || outcome.reason.code === 'offer-open' ? hasOffer : true
}

async function toDoOf(
  outcome: Outcome,
  requirements: readonly Requirement[],
  why: string,
): Promise<Status['toDo'][number]> {
  const { asks } = requirements.find(({ key }) => key === outcome.requirement)!
  const step = outcome.steps[0]!
  if (asks.kind === 'skills check') {
    const check = await checkByKey(asks.check)
    return {
      key: outcome.requirement,
      title: say(check.title),
      why,
      act: 'sit check',
      target: asks.check,
      minutes: check.minutes,
    }
  }
  if (asks.kind === 'onboarding task')
    return {
      key: outcome.requirement,
      title: retell(outcome.title),
      why,
      act: 'do task',
      target: asks.task,
      minutes: null,
    }
  if (asks.kind === 'offer accepted')
    return {
      key: outcome.requirement,
      title: say('Answer the offer'),
      why,
      act: 'answer offer',
      target: '',
      minutes: null,
    }
  return {
    key: outcome.requirement,
    title: retell(outcome.title),
    why,
    act: acts[step.what] ?? 'upload',
    target: outcome.claims[0] ?? '',
    minutes: null,
  }
}

function ballOf({ stage }: Application, toDo: number, outcomes: readonly Outcome[]): string {
  if (stage === 'being written') return say('With you: the application has not been sent yet.')
  if (stage === 'withdrawn') return say('Nobody: you withdrew this application.')
  if (stage === 'declined') return say('Nobody: you declined the offer.')
  if (stage === 'turned down') return say('Nobody: we decided to go on with others.')
  if (stage === 'cleared') return say('All done. See you on the first day.')
  if (toDo > 0) return say('With you: {{count}} things to do.', { count: toDo })
  const gate = nextGate[stage]
  const open = gate ? openAt(outcomes, gate) : []
  const source = open.find(({ steps }) => steps[0]?.who === 'source')
  if (source && open.every(({ steps }) => steps[0]?.who === 'source'))
    return say('With a source we have asked. Nothing is needed from you.')
  return say('With us. Nothing is needed from you.')
}

/** One's own applications, with what is left in each. */
export async function myApplications(deps: Deps, actor: Account) {
  const candidate = await candidateOf(deps, actor)
  const vacancies = new Map((await allVacancies()).map((vacancy) => [vacancy.id, vacancy]))
  const own = await applicationsOf(candidate.id)
  return Promise.all(
    own.map(async (application) => {
      const vacancy = vacancies.get(application.vacancyId)!
      const { outcomes } = await readinessOf(deps, application)
      const left = application.stage === 'being written' ? openAt(outcomes, 'send').length : 0
      const toDo = outcomes.filter((outcome) => outcome.gate !== 'send' && outcome.steps[0]?.who === 'candidate').length
      return {
        id: application.id,
        reference: application.reference ?? null,
        title: vacancy.title,
        place: vacancy.place,
        stage: application.stage,
        left,
        ball: ballOf(application, toDo, outcomes),
        closesAt: vacancy.closesAt.toISOString(),
        timeZone: vacancy.timeZone,
      }
    }),
  )
}
