import { v7 as uuid } from 'uuid'
import { type FeeQuote, quote } from '#core/fees/quote'
import type { FeeSchedule } from '#core/fees/schedule'
import { charged } from '#core/money/ledger'
import { creditorReference } from '#core/money/reference'
import { schedulesIn } from '#core/rules/rules'
import { say } from '#core/words/say'
import { translated } from '#core/words/translations'
import { recordEvent } from '../platform/audit/record'
import type { Change } from '../platform/changes'
import { nextNumber } from '../platform/database/counter'
import type { Actor, Deps } from '../platform/deps'
import { inLanguage } from '../platform/http/language'
import { chargeable, situationOf } from '../readiness/feeSituation'
import { readinessOf } from '../readiness/readiness'
import { candidateWithMail } from '../records/accounts/candidate'
import { applicationById } from '../records/applications/find'
import type { Application } from '../records/applications/model'
import { chargesOf } from '../records/fees/find'
import { type DocumentContent, FeeCharge } from '../records/fees/model'
import { issue } from './documents'
import { book } from './ledger'
import { transferOf } from './view'

/**
 * Charges applications that were sent, or moved to newer rules, what their rules ask for: each schedule once, with an invoice where it
 * comes to anything. What was charged already is left as it is.
 */
export async function chargeSent(deps: Deps, changes: readonly Change[]) {
  for (const { actor, applicationId } of changes) {
    const application = await applicationById(applicationId!)
    const { rules, requirements, outcomes, facts, feeAnswers } = await readinessOf(deps, application)
    if (!rules.fees?.length) continue
    const needed = new Set(outcomes.flatMap(({ requirement, state }) => (state === 'not needed' ? [] : [requirement])))
    const asked = new Set(requirements.filter(({ key }) => needed.has(key)).flatMap(schedulesIn))
    const there = new Set((await chargesOf(application.id)).map((one) => one.schedule))
    for (const schedule of rules.fees) {
      if (!asked.has(schedule.key) || there.has(schedule.key)) continue
      const given = feeAnswers.find((one) => one.schedule === schedule.key)
      await charge(deps, actor, application, schedule, quote(schedule, situationOf(schedule, facts, given)))
    }
  }
}

async function charge(deps: Deps, actor: Actor, application: Application, schedule: FeeSchedule, quoted: FeeQuote) {
  const { total, tax } = chargeable(quoted)
  const number = await nextNumber(deps, 'charges')
  const now = deps.clock.now()
  const made = await FeeCharge.create({
    ...{ id: uuid(), applicationId: application.id, candidateId: application.candidateId, schedule: schedule.key },
    ...{ rulesVersion: application.rulesVersion, currency: schedule.currency, quote: quoted, total, tax, owed: 0 },
    reference: creditorReference(`${deps.organisation.referencePrefix}${String(number).padStart(6, '0')}`),
    holds: schedule.holds,
    dueOn: deps.clock.today().add({ days: schedule.dueDays }).toString(),
    ...{ state: total > 0 ? 'open' : 'settled', version: 0, createdAt: now, settledAt: total > 0 ? null : now },
  })
  if (total > 0) await book(deps, actor, made, { cause: `charge ${made.id}`, postings: charged({ total, tax }) })
  await recordEvent(deps, actor, {
    code: 'fee-charged',
    values: { fee: titleOf(schedule) },
    about: application.reference ?? undefined,
    candidateId: application.candidateId,
    applicationId: application.id,
    details: { charge: made.id },
  })
  const account = transferOf(deps, made)
  const transfer = account ? { transfer: account } : {}
  if (total > 0)
    await issue(deps, made, {
      kind: 'invoice',
      cause: `charge ${made.id}`,
      content: await contentOf(
        made,
        schedule,
        () => ({ ...linesOf(schedule, quoted), total, ...transfer }),
        application,
      ),
    })
}

/** What a schedule is called, in whatever language it is read later. */
export const titleOf = ({ title, translations }: FeeSchedule) => ({
  title,
  translations: Object.fromEntries(
    Object.entries(translations ?? {}).flatMap(([language, { title: own }]) =>
      own ? [[language, { title: own }]] : [],
    ),
  ),
})

type Part = Pick<DocumentContent, 'lines' | 'tax' | 'total'> &
  Partial<Pick<DocumentContent, 'transfer' | 'means' | 'of' | 'because'>>

/** The lines of a quote that come to something, as they stand on paper; in the language that is spoken. */
function linesOf(schedule: FeeSchedule, { lines, cap, taxes }: FeeQuote): Omit<Part, 'total'> {
  const named = (key: string) => translated(schedule.lines.find((line) => line.key === key)!).title
  const taxNamed = (key: string) => translated(schedule.taxes.find((one) => one.key === key)!).title
  return {
    lines: [
      ...lines.flatMap(({ key, least }) => (least === 0 ? [] : [{ title: named(key), amount: least }])),
      ...(cap.least === 0 ? [] : [{ title: say('fees.capped'), amount: cap.least }]),
    ],
    tax: taxes.flatMap(({ key, basisPoints, least }) =>
      least === 0 ? [] : [{ title: taxNamed(key), basisPoints, amount: least }],
    ),
  }
}

/** What a paper about a charge says, in the language of whom it is for. */
export async function contentOf(
  { candidateId, currency, reference, dueOn }: FeeCharge,
  schedule: FeeSchedule,
  part: () => Part,
  application: Pick<Application, 'reference'>,
): Promise<DocumentContent> {
  const person = await candidateWithMail(candidateId)
  const language = person.language === 'de' ? 'de' : 'en'
  return inLanguage(language, () => ({
    ...{ title: translated(schedule).title, payer: { name: person.name, mail: person.mail } },
    application: say('fees.document.forFee', {
      fee: translated(schedule).title,
      reference: application.reference ?? '',
    }),
    ...{ currency, reference, taxIncluded: schedule.taxIncluded, dueOn, language, ...part() },
  }))
}
