import type { ChosenRecipient } from '#contract/recipients'
import { questionsOf } from '#core/form/form'
import { opennessOf, type Recipient } from '#core/recipients/choice'
import { permissionState } from '#core/recipients/delivery'
import { allUpTo, evaluate, isOpen } from '#core/requirements/evaluate'
import { factsOfFile } from '#core/requirements/fileFacts'
import type { Requirement } from '#core/requirements/requirement'
import { outcomeWords } from '#core/words/outcomes'
import { requirementTitle } from '#core/words/requirementTitle'
import { translated } from '#core/words/translations'
import type { Deps } from '../platform/deps'
import { type Readiness, readinessOf } from '../readiness/readiness'
import type { Application } from '../records/applications/model'
import { deliveriesBy, reportsSent } from '../records/recipients/find'
import { RecipientPermission } from '../records/recipients/model'
import type { Report, ReportDelivery } from '../records/reports/model'
import { namesFor } from '../records/rules/versions'
import { deliveryLine } from './deliveryLine'

/** The question of an application in which bodies are chosen, if its vacancy has one. */
export const choiceIn = ({ rules }: Pick<Readiness, 'rules'>) =>
  questionsOf(rules.form).find(({ kind }) => kind === 'recipients')

/** Those chosen in an application, by their keys. */
export function chosenKeys({ answers }: Pick<Application, 'answers'>, question: string): readonly string[] {
  const given = answers[question]
  return Array.isArray(given) ? given.map(String) : []
}

/** Where each body stands that can be chosen in an application: open or not, chosen, allowed to be told, and what it received. */
export async function chosenRecipients(deps: Deps, application: Application): Promise<ChosenRecipient[]> {
  const readiness = await readinessOf(deps, application)
  const choice = choiceIn(readiness)
  if (!choice) return []
  const permissions = await RecipientPermission.findAll({
    where: { applicationId: application.id },
    order: [['createdAt', 'DESC']],
  })
  const deliveries = await deliveriesBy(permissions.map(({ id }) => id))
  const reports = await reportsSent(deliveries.map(({ reportId }) => reportId))
  const names = await namesFor(readiness.rules)
  const chosen = chosenKeys(application, choice.key)
  return (choice.recipients ?? []).map((recipient) => {
    const own = permissions.filter(({ recipientKey }) => recipientKey === recipient.key)
    return standOf(deps, {
      ...{ recipient, readiness, names, question: choice.key, reports },
      isChosen: chosen.includes(recipient.key),
      permission: own.find(({ holdsFor }) => holdsFor),
      delivery: deliveries.find(({ permissionId }) => own.some(({ id }) => id === permissionId)),
    })
  })
}

type Standing = {
  recipient: Recipient
  readiness: Readiness
  names: Readonly<Record<string, string>>
  question: string
  isChosen: boolean
  permission: RecipientPermission | undefined
  delivery: ReportDelivery | undefined
  reports: ReadonlyMap<string, Report>
}

function standOf(deps: Deps, standing: Standing): ChosenRecipient {
  const { recipient, readiness, names, question, isChosen, permission, delivery, reports } = standing
  const { key, gate } = recipient
  const { name, about = '' } = translated(recipient)
  const { facts } = readiness
  const openness = opennessOf(recipient, { ...factsOfFile(facts), ...facts.answers }, facts.domains)
  const left = isChosen ? leftFor(readiness, { key, gate, question, names }) : []
  const holds = permission && permissionNow(deps, permission) === 'holds'
  const sent = delivery ? deliveryLine(deps, delivery, reports.get(delivery.reportId)!) : null
  return {
    ...{ key, name, about, gate, chosen: isChosen, left, sent },
    permission: holds ? permission.id : null,
    state: stateOf(openness.state, { isChosen, holds: Boolean(holds), left: left.length, sent: sent !== null }),
    because: openness.state === 'closed' ? openness.because : '',
    deciding: openness.state === 'undecided' ? openness.deciding.map((fact) => names[fact] ?? fact) : [],
  }
}

const permissionNow = ({ clock }: Deps, { through, sha256 }: RecipientPermission) =>
  permissionState({ through, withdrawnAt: null, signed: Boolean(sha256) }, clock.today().toString())

function stateOf(
  openness: 'open' | 'closed' | 'undecided',
  { isChosen, holds, left, sent }: { isChosen: boolean; holds: boolean; left: number; sent: boolean },
): ChosenRecipient['state'] {
  if (!isChosen || openness === 'closed') return openness
  if (!holds) return 'to sign'
  if (sent) return 'sent'
  return left > 0 ? 'being proven' : 'ready'
}

type For = { key: string; gate: Recipient['gate']; question: string; names: Readonly<Record<string, string>> }

/** How everything comes out as if one body alone had been chosen. */
const judgedFor = ({ requirements, facts }: Readiness, { key, question }: Pick<For, 'key' | 'question'>) =>
  evaluate(requirements, { ...facts, answers: { ...facts.answers, [question]: [key] }, authorised: [key] })

/** The kinds of claims that what is asked of a whole history rests on. */
function kindsOfHistory(asks: Requirement['asks'] | undefined): readonly string[] {
  if (asks?.kind === 'history') return asks.of === 'home' ? ['residence'] : ['work', 'study']
  return asks?.kind === 'experience' ? ['work'] : []
}

/**
 * The claims that what a body needs by its gate rests on: of those it is told, and of no others in the file.
 *
 * @returns their identifiers
 */
export async function claimsNeeded(deps: Deps, application: Application, key: string): Promise<Set<string>> {
  const readiness = await readinessOf(deps, application)
  const choice = choiceIn(readiness)
  const recipient = choice?.recipients?.find((one) => one.key === key)
  if (!choice || !recipient) return new Set()
  const { requirements, claims } = readiness
  const needed = allUpTo(judgedFor(readiness, { key, question: choice.key }), recipient.gate).filter(
    ({ state }) => state !== 'not needed',
  )
  return new Set(
    needed.flatMap((outcome) => {
      const kinds = kindsOfHistory(requirements.find(({ key: own }) => own === outcome.requirement)?.asks)
      return [...outcome.claims, ...claims.filter((claim) => kinds.includes(claim.kind)).map(({ id }) => id)]
    }),
  )
}

/** What a body still needs by its gate. */
function leftFor(readiness: Readiness, { key, gate, question, names }: For): ChosenRecipient['left'] {
  const outcomes = allUpTo(judgedFor(readiness, { key, question }), gate)
  return outcomes.filter(isOpen).map((outcome) => ({
    title: requirementTitle(outcome),
    why: outcomeWords(outcome, (fact) => names[fact] ?? fact),
    who: outcome.steps[0]?.who ?? 'desk',
  }))
}
