import type { OwnFee } from '#contract/fees'
import { faultOfFeeFact } from '#core/fees/facts'
import { quote } from '#core/fees/quote'
import type { FeeSchedule } from '#core/fees/schedule'
import { isSent } from '#core/hiring/stages'
import { schedulesIn } from '#core/rules/rules'
import { answerFaultWords } from '#core/words/form'
import { say } from '#core/words/say'
import { translated } from '#core/words/translations'
import { putVersion } from '../platform/database/compareAndSet'
import type { Account, Deps } from '../platform/deps'
import { invalidField, notFound, requireVersion } from '../platform/errors/problems'
import type { FileToKeep } from '../platform/http/serve'
import { situationOf, surchargeOf } from '../readiness/feeSituation'
import { readinessOf } from '../readiness/readiness'
import { ownApplication } from '../records/applications/find'
import { takeFile } from '../records/documents/inspect'
import { chargesOf } from '../records/fees/find'
import { FeeAnswers, FeeDocument, FeePayment } from '../records/fees/model'
import { documentPdf } from './documents'
import { lookAfterPayment, ownCharge, scheduleOf } from './pay'
import { problems } from './problems'
import { paymentLine, viewsOf } from './view'

/** What an application of one's own costs: reckoned anew while it is being written, as it was charged afterwards. */
export async function listOwnFees(deps: Deps, actor: Account, id: string) {
  const application = await ownApplication(actor, id)
  const readiness = await readinessOf(deps, application)
  const { rules, requirements, outcomes, facts, feeAnswers } = readiness
  const needed = new Set(outcomes.flatMap(({ requirement, state }) => (state === 'not needed' ? [] : [requirement])))
  const charges = await chargesOf(id)
  const charging = new Map(await Promise.all(charges.map(async (one) => [one.id, await scheduleOf(one)] as const)))
  const views = await viewsOf(deps, charges, charging)
  const fees = (rules.fees ?? []).flatMap((schedule): OwnFee[] => {
    const charge = charges.find((one) => one.schedule === schedule.key)
    const asking = requirements.find((one) => schedulesIn(one).includes(schedule.key))
    if (!asking || (!charge && !needed.has(asking.key))) return []
    const answers = feeAnswers.find((one) => one.schedule === schedule.key)
    const own = charge ? charging.get(charge.id)! : schedule
    const situation = situationOf(own, facts, answers)
    return [
      {
        ...{ schedule: own, requirement: asking.key, given: givenOf(answers), leftOut: answers?.leftOut ?? [] },
        ...{ version: answers?.version ?? 0, quote: charge ? charge.quote : quote(own, situation) },
        charge: charge ? views.get(charge.id)! : null,
        surcharges: (['card', 'transfer'] as const).flatMap((means) =>
          surchargeOf(own, situation, means).map(({ key, amount }) => ({
            ...{ means, amount },
            title: titleOfLine(own, key),
          })),
        ),
      },
    ]
  })
  return { fees, sent: isSent(application), cards: deps.payments !== undefined }
}

const titleOfLine = ({ lines }: FeeSchedule, key: string) => {
  const line = lines.find((one) => one.key === key)
  return line ? translated(line).title : say('fees.surcharge')
}

/** What was given, without where its papers lie. */
const givenOf = (answers: FeeAnswers | undefined): OwnFee['given'] =>
  Object.fromEntries(Object.entries(answers?.facts ?? {}).map(([key, { value, proof }]) => [key, { value, proof }]))

type Given = { version: number; facts?: Record<string, string>; leftOut?: string[] }

/** Saves what was given for a fee alone. What has changed asks for its proof anew. */
export async function saveFeeAnswers(
  deps: Deps,
  actor: Account,
  { id, schedule: key }: { id: string; schedule: string },
  { version, facts = {}, leftOut }: Given,
) {
  const { application, readiness, schedule } = await written(deps, actor, id, key)
  const answers = readiness.feeAnswers.find((one) => one.schedule === key)
  requireVersion(version, answers?.version ?? 0, { facts: answers?.facts ?? {}, leftOut: answers?.leftOut ?? [] })
  for (const [name, value] of Object.entries(facts)) {
    const fact = schedule.facts.find((one) => one.key === name)
    if (!fact) throw invalidField(`/body/facts/${name}`, say('problem.thisFormDoesNotAsk'))
    const fault = value === '' ? undefined : faultOfFeeFact(fact, value)
    if (fault) throw invalidField(`/body/facts/${name}`, answerFaultWords(fault))
  }
  const optional = new Set(schedule.lines.flatMap((line) => (line.optional ? [line.key] : [])))
  if (leftOut?.some((line) => !optional.has(line))) throw invalidField('/body/leftOut', say('problem.notAnOption'))
  const before = answers?.facts ?? {}
  const after = { ...before }
  for (const [name, value] of Object.entries(facts)) {
    if (value === '') delete after[name]
    else if (before[name]?.value !== value) after[name] = { value, proof: 'none' }
  }
  await putVersion(FeeAnswers, { applicationId: application.id, schedule: key }, version, {
    ...{ facts: after, leftOut: leftOut ?? answers?.leftOut ?? [] },
    waiting: waitingIn(after),
  })
  return { version: version + 1 }
}

/** Papers that somebody has still to look at. */
export const waitingIn = (facts: FeeAnswers['facts']): number =>
  Object.values(facts).filter(({ proof }) => proof === 'to look at').length

async function written(deps: Deps, actor: Account, id: string, key: string) {
  const application = await ownApplication(actor, id, { lock: true })
  if (isSent(application)) throw problems.sentAlready()
  const readiness = await readinessOf(deps, application)
  const schedule = (readiness.rules.fees ?? []).find((one) => one.key === key)
  if (!schedule) throw notFound()
  return { application, readiness, schedule }
}

/** Adds the paper that shows something; also after sending, where it was refused before. */
export async function addFeeProof(
  deps: Deps,
  actor: Account,
  { id, schedule, fact }: { id: string; schedule: string; fact: string },
  bytes: Buffer,
) {
  const application = await ownApplication(actor, id)
  const readiness = await readinessOf(deps, application)
  const answers = await FeeAnswers.findOne({ where: { applicationId: id, schedule } })
  const own = answers?.facts[fact]
  const asked = readiness.rules.fees?.find(({ key }) => key === schedule)?.facts.find(({ key }) => key === fact)
  if (!own || !asked?.proof) throw notFound()
  if (own.proof === 'accepted' || (isSent(application) && own.proof === 'to look at')) throw problems.notToLookAt()
  const { sha256 } = await takeFile(deps, bytes)
  const facts = { ...answers.facts, [fact]: { value: own.value, proof: 'to look at' as const, sha256 } }
  const changes = { facts, waiting: waitingIn(facts), leftOut: answers.leftOut }
  await putVersion(FeeAnswers, { applicationId: id, schedule }, answers.version, changes)
  return { done: true as const }
}

/** How a payment of one's own stands. Whoever has come back from the provider waits for this. */
export async function readPayment(
  deps: Deps,
  actor: Account,
  { id, payment: paymentId }: { id: string; payment: string },
) {
  await ownCharge(deps, actor, id)
  const payment = await FeePayment.findOne({ where: { id: paymentId, chargeId: id } })
  if (!payment) throw notFound()
  await lookAfterPayment(deps, payment)
  await payment.reload()
  const charge = await ownCharge(deps, actor, id)
  const schedule = await scheduleOf(charge)
  const views = await viewsOf(deps, [charge], new Map([[charge.id, schedule]]))
  return { payment: paymentLine(payment), charge: views.get(charge.id)!, application: charge.applicationId }
}

export async function readOwnFeeDocument(
  deps: Deps,
  actor: Account,
  { id, document: documentId }: { id: string; document: string },
): Promise<FileToKeep> {
  await ownCharge(deps, actor, id)
  return readDocument(deps, id, documentId)
}

export async function readDocument(deps: Deps, chargeId: string, id: string): Promise<FileToKeep> {
  const document = await FeeDocument.findOne({ where: { id, chargeId } })
  if (!document) throw notFound()
  return documentPdf(deps, document)
}
