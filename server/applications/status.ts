import type { Status } from '#contract/status'
import { writeWhen } from '#core/dates/write'
import { questionsOf } from '#core/form/form'
import {
  hasEnded,
  isActive,
  isBeforeOffer,
  isCleared,
  isDraft,
  isWithdrawn,
  nextGateOf,
  type Stage,
} from '#core/hiring/stages'
import { openAt } from '#core/requirements/evaluate'
import { type Gate, gates, type Outcome, type Step } from '#core/requirements/requirement'
import { askedBySources } from '#core/requirements/sourceCondition'
import { outcomeWords } from '#core/words/outcomes'
import { requirementTitle } from '#core/words/requirementTitle'
import { say } from '#core/words/say'
import { writeValue } from '#core/words/stored'
import { trailOf } from '../audit/trail'
import { eventWordsForCandidate } from '../platform/audit/wording'
import type { Account, Deps } from '../platform/deps'
import { forecastOf } from '../readiness/forecast'
import { type Readiness, readinessOf } from '../readiness/readiness'
import { candidateOf, mergedWith } from '../records/accounts/candidate'
import { applicationsOf, ownApplication } from '../records/applications/find'
import type { Application } from '../records/applications/model'
import { claimFaces } from '../records/claims/view'
import { namesFor } from '../records/rules/versions'
import { knownStudies } from '../records/sources/knownStudies'
import { allVacancies, isOpen } from '../records/vacancies/vacancies'
import { completionOf } from './completion'
import { dueFromCandidate } from './due'
import { leftOf } from './remaining'
import { isContact, reopenedParts } from './reopen'
import { toDoOf } from './toDo'

const gateName = (gate: Gate): string =>
  ({
    send: say('status.application'),
    shortlist: say('status.shortlist'),
    offer: say('status.offer'),
    start: say('status.clearedToStart'),
  })[gate]

/** What they declared that a person decides, and how it stands. */
function mattersIn({ requirements, outcomes, matters }: Readiness, applicationId: string): Status['matters'] {
  const states = {
    'answer-other': 'waiting',
    'matter-settled': 'no bearing',
    'matter-conditions': 'conditions',
    'matter-refused': 'refused',
  } as const
  return requirements.flatMap((requirement) => {
    if (requirement.asks.kind !== 'declaration') return []
    const { question } = requirement.asks
    const reason = outcomes.find((outcome) => outcome.requirement === requirement.key)?.reason
    if (!reason || !(reason.code in states)) return []
    const state = states[reason.code as keyof typeof states]
    const own = matters.findLast((matter) => matter.applicationId === applicationId && matter.question === question)
    return [
      {
        title: requirementTitle(requirement),
        state,
        on: 'on' in reason ? reason.on : null,
        reason: state === 'waiting' ? '' : (own?.reason ?? ''),
      },
    ]
  })
}

/** The final papers that are still to come, each once, with the first day one is owed by. */
function owedIn(outcomes: readonly Outcome[]): Status['owed'] {
  const owed = new Map<string, Status['owed'][number]>()
  for (const { reason, claims } of outcomes) {
    const claim = claims[0]
    if (reason.code !== 'met-for-now' || !claim) continue
    const { finalBy } = reason
    if (finalBy < (owed.get(claim)?.finalBy ?? '9999'))
      owed.set(claim, { claim, title: writeValue(reason.claim), finalBy })
  }
  return [...owed.values()]
}

/** Whose step it is, said to the candidate. */
const holderOf = (who: Step['who']): string =>
  ({
    candidate: say('status.you'),
    desk: say('status.us'),
    source: say('status.theSource'),
    employer: say('status.theEmployer'),
    'hiring manager': say('status.us'),
  })[who]

/** A day with its range, as one may plan by it; nothing of what holds it up. */
async function likelyFor(deps: Deps, application: Application, readiness: Readiness): Promise<Status['likely']> {
  const { early, likely, late } = await forecastOf(deps, application, readiness)
  return { early, likely, late }
}

/** What happened, who has the ball, what to do next: the page a candidate comes back to. */
export async function readStatus(deps: Deps, actor: Account, id: string): Promise<Status> {
  const application = await ownApplication(actor, id)
  const readiness = await readinessOf(deps, application)
  const { vacancy, rules, outcomes, requirements, permission, passages, offer, tasks } = readiness
  const names = await namesFor(rules)
  const nameOf = (key: string) => names[key] ?? key
  const trail = await trailOf({ candidateIds: await mergedWith(application.candidateId), applicationId: id })
  const ended = hasEnded(application) || isCleared(application)
  const afterSending = outcomes.filter(({ gate, steps }) => gate !== 'send' || steps.length > 0)
  const line = (outcome: Outcome) => ({ title: requirementTitle(outcome), why: outcomeWords(outcome, nameOf) })
  const theirs = ended ? [] : dueFromCandidate(readiness)
  const reopened = await reopenedParts(rules.form, application, readiness.reopenings)
  const changesToMake = ended
    ? []
    : reopened
        .filter(({ state }) => state === 'open')
        .map(({ id: key, title, reason, dueOn, section }) => ({
          key,
          title: say('status.changeTitle', { title }),
          why: `${reason} ${say('status.pleaseDoSoBy', { day: writeWhen(dueOn) })}`,
          act: 'go' as const,
          target: section,
          label: say('status.changeIt'),
          minutes: null,
        }))
  const toDo = await Promise.all(
    theirs.map((outcome) => {
      const requirement = requirements.find(({ key }) => key === outcome.requirement)!
      return toDoOf(outcome, requirement, rules.form, line(outcome).why)
    }),
  )
  return {
    id,
    reference: application.reference ?? null,
    title: vacancy.title,
    stage: application.stage,
    targetStart: application.targetStart,
    decidesOn: isBeforeOffer(application) ? (vacancy.decidesOn ?? null) : null,
    ball: ballOf(application, toDo.length + changesToMake.length, outcomes),
    likely: ended || isDraft(application) ? null : await likelyFor(deps, application, readiness),
    gates: gates.map((gate) => {
      const passedAt =
        gate === 'send' ? application.sentAt : passages.find((passage) => passage.gate === gate)?.passedAt
      return {
        gate,
        name: gateName(gate),
        state: passedAt ? 'passed' : nextGateOf(application) === gate ? 'next' : 'later',
        passedAt: passedAt?.toISOString() ?? null,
      }
    }),
    toDo: isDraft(application)
      ? [
          {
            key: 'finish',
            title: say('status.finishAndSendYourApplication'),
            why: say('status.thingsAreLeft', { count: (await leftOf(readiness, application)).length }),
            act: 'finish',
            target: id,
            label: say('status.goOnWithTheApplication'),
            minutes: null,
          },
        ]
      : [...changesToMake, ...toDo],
    askedBySources: ended ? [] : askedBySources(requirements, outcomes),
    studies: ended ? [] : await knownStudies(readiness.claims, readiness.sources),
    matters: isDraft(application) ? [] : mattersIn(readiness, id),
    owed: ended || isDraft(application) ? [] : owedIn(outcomes),
    withOthers:
      ended || isDraft(application)
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
    happenings: trail.flatMap((event) => {
      const text = eventWordsForCandidate(event)
      return text ? [{ at: event.at.toISOString(), text }] : []
    }),
    completion: completionOf(deps, application, readiness),
    again: isWithdrawn(application) && isOpen(vacancy, deps.clock.now()) ? vacancy.slug : null,
    today: deps.clock.today().toString(),
  }
}

/** Whose it is at stages the desk does not work on; at the others it goes by what is open. */
const ballAt = {
  'being written': 'status.withYouTheApplicationHas',
  withdrawn: 'status.nobodyYouWithdrewThisApplication',
  declined: 'status.nobodyYouDeclinedTheOffer',
  'turned down': 'status.nobodyWeDecidedToGo',
  'set aside': 'status.setAside',
  cleared: 'status.allDoneSeeYouOn',
  sent: null,
  shortlisted: null,
  offered: null,
} as const satisfies Record<Stage, string | null>

function ballOf({ stage }: Application, toDo: number, outcomes: readonly Outcome[]): string {
  const settled = ballAt[stage]
  if (settled) return say(settled)
  if (toDo > 0) return say('status.withYouThingsToDo', { count: toDo })
  const gate = nextGateOf({ stage })
  const open = gate ? openAt(outcomes, gate) : []
  const source = open.find(({ steps }) => steps[0]?.who === 'source')
  if (source && open.every(({ steps }) => steps[0]?.who === 'source')) return say('status.withASourceWeHave')
  return say('status.withUsNothingIsNeeded')
}

/** One's own applications, with what is left in each. */
export async function myApplications(deps: Deps, actor: Account) {
  const candidate = await candidateOf(deps, actor)
  const vacancies = new Map((await allVacancies()).map((vacancy) => [vacancy.id, vacancy]))
  const own = await applicationsOf(candidate.id)
  return Promise.all(
    own.map(async (application) => {
      const vacancy = vacancies.get(application.vacancyId)!
      const readiness = await readinessOf(deps, application)
      const writing = isDraft(application)
      const left = writing ? (await leftOf(readiness, application)).length : 0
      const reopened = readiness.reopenings.filter(({ state }) => state === 'open').length
      const toDo = isActive(application) ? dueFromCandidate(readiness).length + reopened : 0
      return {
        id: application.id,
        reference: application.reference ?? null,
        title: vacancy.title,
        place: vacancy.place,
        stage: application.stage,
        left,
        ball: ballOf(application, toDo, readiness.outcomes),
        closesAt: vacancy.closesAt.toISOString(),
        timeZone: vacancy.timeZone,
        completion: completionOf(deps, application, readiness),
      }
    }),
  )
}
