import type { EmployerTerms } from '#contract/employers'
import type { FeeChargeView, FeePaymentLine, OwnFee } from '#contract/fees'
import type { Facts } from '#core/conditions/condition'
import { quote } from '#core/fees/quote'
import type { FeeLine, FeeSchedule } from '#core/fees/schedule'
import type { Requirement } from '#core/requirements/requirement'
import type { Rules } from '#core/rules/rules'
import type { House } from './house'

/** A line of a schedule; 45.00 EUR where nothing else is said. */
export const aLine = (over: Partial<FeeLine> = {}): FeeLine => ({
  ...{ key: 'exam', title: 'Examination', why: 'It takes an examiner a day.', amount: { kind: 'fixed', amount: 4500 } },
  ...over,
})

export const aSchedule = (over: Partial<FeeSchedule> = {}): FeeSchedule => ({
  ...{
    key: 'fees',
    title: 'Examination fee',
    currency: 'EUR',
    facts: [],
    lines: [aLine()],
    taxes: [],
    taxIncluded: true,
  },
  ...{ dueDays: 14, holds: false, surplus: 'given back' },
  ...over,
})

export const asksFee = (schedule = 'fees', waivableBy: Requirement['waivableBy'] = []): Requirement => ({
  ...{ key: `pay-${schedule}`, title: 'Examination fee', why: '', gate: 'shortlist', rung: 'claimed', waivableBy },
  asks: { kind: 'fee', schedule },
})

/** A vacancy of its own whose form only sends, and which costs so much. Gives its address. */
export async function aPaidVacancy(
  house: House,
  schedules: FeeSchedule[],
  title = 'Paid post',
  more: Partial<Rules> = {},
): Promise<string> {
  const desk = await house.staff('coordinator')
  const [first] = await desk.done('deskVacancies')
  const { id } = await desk.done('createVacancy', { body: { title, copyOf: first!.id } })
  const vacancy = await desk.done('readDeskVacancy', { params: { id } })
  const rules = {
    form: vacancy.draft.rules.form.filter(({ holds }) => holds === 'send'),
    requirements: schedules.map(({ key }) => asksFee(key)),
    ...{ onboarding: [], ...(schedules.length > 0 ? { fees: schedules } : {}), ...more },
  }
  await desk.done('saveRulesDraft', { params: { id }, body: { version: vacancy.draft.version, rules } })
  const saved = await desk.done('readDeskVacancy', { params: { id } })
  await desk.done('publishRules', { params: { id }, body: { version: saved.draft.version, note: '' } })
  const ready = await desk.done('readDeskVacancy', { params: { id } })
  await desk.done('saveVacancy', {
    params: { id },
    body: {
      version: ready.version,
      changes: { opensAt: new Date(Date.now() - 3_600_000).toISOString(), closesAt: `${house.day(30)}T16:00:00.000Z` },
    },
  })
  await desk.done('setVacancyState', { params: { id }, body: { version: ready.version + 1, state: 'open' } })
  return ready.slug
}

/** Somebody who has sent an application for a vacancy that costs something. */
export async function whoOwes(house: House, slug: string, name: string) {
  const candidate = await house.applicant(name)
  const { id } = await candidate.done('beginApplication', { params: { slug } })
  const { version } = await candidate.done('readDraft', { params: { id } })
  await candidate.done('sendApplication', { params: { id }, body: { version } })
  const fees = async () => (await candidate.done('listOwnFees', { params: { id } })).fees
  const charge = async () => (await fees())[0]!.charge!
  return { candidate, id, fees, charge }
}

/** Pays at the provider what was begun: with a card, and the notice it sends. */
export async function payAt(
  address: string,
  form: { card?: string; notice?: string; act?: string; code?: string } = {},
) {
  const body = new URLSearchParams({
    ...{ card: '4000 0000 0000 0001', code: '246813', act: 'pay', notice: 'first' },
    ...form,
  })
  return fetch(address, { method: 'POST', body, redirect: 'manual' })
}

const chargeId = '0190a3f0-0000-7000-8000-0000000000c1'

/** A charge as whoever pays it sees it. */
export const aCharge = (over: Partial<FeeChargeView> = {}): FeeChargeView => ({
  ...{ id: chargeId, title: 'Examination fee', currency: 'EUR', state: 'open', total: 4500, takenBack: 0, owed: 4500 },
  ...{ reference: 'RF18539007547034', dueOn: '2026-12-11', late: false, transfer: null, payments: [], documents: [] },
  requests: [],
  ...over,
})

export const aPayment = (over: Partial<FeePaymentLine> = {}): FeePaymentLine => ({
  ...{ id: '0190a3f0-0000-7000-8000-0000000000c2', means: 'card', amount: 4500, state: 'paid', because: null },
  ...{ givenBack: 0, startedAt: '2026-11-29T08:00:00.000Z', settledAt: '2026-11-29T08:01:00.000Z', note: null },
  ...over,
})

/** What an application costs, as its candidate reads it. */
export function aFee(over: Partial<OwnFee> = {}, facts: Facts = {}): OwnFee {
  const schedule = over.schedule ?? aSchedule()
  return {
    ...{ schedule, requirement: 'pay-fees', given: {}, leftOut: [], version: 0, charge: null, surcharges: [] },
    quote: quote(schedule, { facts: { ...facts, 'payment.means': 'none' }, on: '2026-11-28' }),
    ...over,
  }
}

/** What is agreed with an employer who pays. */
export const someTerms = (over: Partial<EmployerTerms> = {}): EmployerTerms => ({
  ...{ name: 'Talwerk Bahnen', currency: 'EUR', limit: null, invoicing: 'each', dueDays: 30, language: 'en' },
  ...{ street: 'Am Speicher 3', postcode: '6020', town: 'Talwerk', receiptMail: '', findable: true },
  ...{ orderNumberNeeded: false },
  ...over,
})
