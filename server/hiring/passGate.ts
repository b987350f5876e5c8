import { Temporal } from 'temporal-polyfill'
import type { Stage } from '#contract/applications'
import { writeWhen } from '#core/dates/write'
import { openAt } from '#core/requirements/evaluate'
import type { Gate } from '#core/requirements/requirement'
import { outcomeWords } from '#core/words/requirements'
import { recordEvent } from '../platform/audit/record'
import { compareAndSet } from '../platform/database/compareAndSet'
import type { Account, Deps } from '../platform/deps'
import { conflict, invalidField, notAllowed, requireVersion } from '../platform/errors/problems'
import { queueMail } from '../platform/mail/queueMail'
import { nextGate, type Readiness, readinessOf } from '../readiness/readiness'
import { candidateWithMail } from '../records/accounts/candidate'
import { contactMail } from '../records/applications/answers'
import { sentApplication } from '../records/applications/find'
import { GatePassage, Offer, OnboardingTask } from '../records/hiring/model'
import { namesFor } from '../records/rules/versions'
import { requireStartAhead } from './changeOffer'

const stageAfter: Record<Gate, Stage> = { send: 'sent', shortlist: 'shortlisted', offer: 'offered', start: 'cleared' }

type Passing = { gate: Gate; version: number; salary?: number; answerBy?: string }

/**
 * Moves an application through its next gate. Refused, with what is missing, while a requirement up to that gate is
 * unmet or undecided. Passing the offer gate makes the offer; passing the start gate clears the person to start.
 */
export async function passGate(deps: Deps, actor: Account, id: string, { gate, version, salary, answerBy }: Passing) {
  const application = await sentApplication(id, { lock: true })
  requireVersion(version, application.version)
  if (nextGate[application.stage] !== gate)
    throw conflict('not-this-gate', `This application is ${application.stage}; that is not its next gate.`)
  if (gate === 'offer' && !actor.roles.includes('hiring manager') && !actor.roles.includes('administrator')) {
    throw notAllowed('An offer is made by a hiring manager.')
  }
  const readiness = await readinessOf(deps, application)
  await requireReadiness(readiness, gate)
  const person = await candidateWithMail(application.candidateId)
  const to = { ...person, mail: contactMail(application) ?? person.mail }
  const page = `${deps.config.publicUrl}/applications/${id}`
  const title = readiness.vacancy.title
  if (gate === 'offer' || gate === 'start') requireStartAhead(deps, application.targetStart)
  if (gate === 'offer') {
    await makeOffer(deps, actor, id, readiness, { salary, answerBy, startsOn: application.targetStart })
    await queueMail(deps, {
      to,
      subject: `An offer: ${title}`,
      text: `We would like you to join us as ${title} from ${writeWhen(application.targetStart)}. Read the offer and answer it by ${writeWhen(answerBy!)}:\n${page}`,
      about: application,
    })
  } else {
    const news =
      gate === 'shortlist'
        ? `You are on the shortlist for ${title}.`
        : `You are cleared to start as ${title} on ${writeWhen(application.targetStart)}.`
    await queueMail(deps, {
      to,
      subject: news.replace(/\.$/, ''),
      text: `${news} What happens next is on your status page:\n${page}`,
      about: application,
    })
  }
  await compareAndSet(application, version, {
    stage: stageAfter[gate],
    ...(gate === 'start' ? { endedAt: deps.clock.now() } : {}),
  })
  await GatePassage.create({
    applicationId: id,
    gate,
    passedBy: actor.name,
    passedAt: deps.clock.now(),
    readiness: readiness.outcomes,
  })
  await recordEvent(deps, actor, {
    code: `gate-${gate}`,
    what: { shortlist: 'Put on the shortlist', offer: 'Made an offer', start: 'Cleared to start', send: 'Sent' }[gate],
    forCandidate: {
      shortlist: 'You were put on the shortlist.',
      offer: 'We made you an offer.',
      start: 'You are cleared to start.',
      send: '',
    }[gate],
    about: application.reference ?? undefined,
    candidateId: application.candidateId,
    applicationId: id,
  })
  return { stage: application.stage }
}

async function requireReadiness({ outcomes, rules }: Readiness, gate: Gate) {
  const open = openAt(outcomes, gate)
  if (open.length === 0) return
  const names = await namesFor(rules)
  const missing = open.map((outcome) => ({
    requirement: outcome.requirement,
    title: outcome.title,
    why: outcomeWords(outcome, (key) => names[key] ?? key),
  }))
  throw conflict(
    'gate-shut',
    `${open.length === 1 ? 'One requirement is' : `${open.length} requirements are`} still open.`,
    { missing },
  )
}

type Terms = { salary?: number; answerBy?: string; startsOn: string }

async function makeOffer(
  deps: Deps,
  actor: Account,
  applicationId: string,
  { vacancy, rules }: Readiness,
  { salary, answerBy, startsOn }: Terms,
) {
  if (salary === undefined || salary < vacancy.payFrom || salary > vacancy.payTo)
    throw invalidField('/body/salary', 'The pay has to lie within the band of the vacancy.')
  if (!answerBy || Temporal.PlainDate.compare(Temporal.PlainDate.from(answerBy), deps.clock.today()) <= 0)
    throw invalidField('/body/answerBy', 'Give a day after today.')
  await Offer.create({ applicationId, salary, startsOn, answerBy, madeBy: actor.name, madeAt: deps.clock.now() })
  await OnboardingTask.bulkCreate(rules.onboarding.map((task) => ({ applicationId, ...task })))
}
