import { literal, Op, type WhereOptions } from 'sequelize'
import { type ChargeDetail, type ChargeLine, type FeeQueue, feeQueues } from '#contract/fees'
import type { FeeSchedule } from '#core/fees/schedule'
import { feeOptionWords } from '#core/words/facts'
import { translated } from '#core/words/translations'
import type { Account, Deps } from '../platform/deps'
import { notFound } from '../platform/errors/problems'
import { fileEnding } from '../platform/http/fileEnding'
import type { FileToKeep } from '../platform/http/serve'
import { logAccess } from '../privacy/accessLog'
import { applicationsById } from '../records/applications/find'
import { readBytes } from '../records/documents/bytes'
import { chargeById, entriesOf, refundsOf } from '../records/fees/find'
import { FeeAnswers, FeeCharge } from '../records/fees/model'
import { shownNames } from '../records/people/shownNames'
import { vacancyById } from '../records/vacancies/vacancies'
import { countDifferingDays } from './closing/close'
import { countLateInvoices } from './employers/keep'
import { scheduleOf } from './pay'
import { isLate, viewsOf } from './view'

const pageSize = 50

/** Which charges stand in which queue: the same question for its list and its count. */
function inQueue({ clock }: Deps, queue: FeeQueue): WhereOptions {
  const today = clock.today().toString()
  const waiting = literal(
    `EXISTS (SELECT 1 FROM fee_answers a WHERE a.applicationId = FeeCharge.applicationId
       AND a.schedule = FeeCharge.schedule AND a.waiting > 0)`,
  )
  const odd = literal(`EXISTS (SELECT 1 FROM fee_payments p WHERE p.chargeId = FeeCharge.id AND p.state = 'odd')`)
  switch (queue) {
    case 'owed':
      return { state: 'open', dueOn: { [Op.gte]: today } }
    case 'late':
      return { state: 'open', dueOn: { [Op.lt]: today } }
    case 'proofs':
      return { [Op.and]: [waiting] }
    case 'to give back':
      return { [Op.or]: [{ owed: { [Op.lt]: 0 } }, odd] }
    case 'settled':
      return { state: ['settled', 'called off'], owed: 0 }
  }
}

/** Who sees only the vacancies of their teams sees what those charge. */
const inSight = ({ vacancies }: Pick<Account, 'vacancies'>): WhereOptions =>
  vacancies
    ? {
        applicationId: {
          [Op.in]: literal(
            `(SELECT a.id FROM applications a WHERE a.vacancyId IN (${['', ...vacancies].map((id) => FeeCharge.sequelize!.escape(id)).join(', ')}))`,
          ),
        },
      }
    : {}

/** What a name or a reference finds; a name that is hidden is not found by it. */
function whereFound(text: string): WhereOptions {
  const like = FeeCharge.sequelize!.escape(`%${text.replace(/[\\%_]/g, '\\$&')}%`)
  const named = literal(
    `EXISTS (SELECT 1 FROM application_summaries s WHERE s.applicationId = FeeCharge.applicationId
       AND s.hidesName = FALSE AND s.candidate LIKE ${like})`,
  )
  return { [Op.or]: [{ reference: text.replace(/\s/g, '').toUpperCase() }, { [Op.and]: [named] }] }
}

type Query = { queue: FeeQueue; application?: string; text?: string; after?: string }

/** The charges of a queue, those due first before the others; of one application where that is asked. */
export async function listCharges(deps: Deps, actor: Account, { queue, application, text = '', after }: Query) {
  const seen = inSight(actor)
  const [dueOn, id] = after?.split(' ') ?? []
  const beyond = dueOn && id ? { [Op.or]: [{ dueOn: { [Op.gt]: dueOn } }, { dueOn, id: { [Op.gt]: id } }] } : {}
  const own: WhereOptions = application
    ? { applicationId: application }
    : text.trim()
      ? whereFound(text.trim())
      : inQueue(deps, queue)
  const [rows, lateInvoices, daysToLookAt, ...counted] = await Promise.all([
    FeeCharge.findAll({ where: { [Op.and]: [own, beyond, seen] }, order: ['dueOn', 'id'], limit: pageSize + 1 }),
    countLateInvoices(deps),
    countDifferingDays(),
    ...feeQueues.map((one) => FeeCharge.count({ where: { [Op.and]: [inQueue(deps, one), seen] } })),
  ])
  const shown = rows.slice(0, pageSize)
  const last = shown.at(-1)
  return {
    charges: await linesOf(deps, shown),
    counts: Object.fromEntries(feeQueues.map((one, nth) => [one, counted[nth]!])) as Record<FeeQueue, number>,
    ...{ lateInvoices, daysToLookAt },
    next: rows.length > pageSize && last ? `${last.dueOn} ${last.id}` : null,
  }
}

/** What of all charges somebody has to do something about: those late, to look at, and to give back; invoices to employers that are late, and days that do not agree. */
export async function countFeesToDo(deps: Deps, actor: Account): Promise<number> {
  const counts = await Promise.all([
    FeeCharge.count({
      where: {
        [Op.and]: [
          { [Op.or]: (['late', 'proofs', 'to give back'] as const).map((one) => inQueue(deps, one)) },
          inSight(actor),
        ],
      },
    }),
    countLateInvoices(deps),
    countDifferingDays(),
  ])
  return counts.reduce((sum, count) => sum + count, 0)
}

async function linesOf(deps: Deps, charges: readonly FeeCharge[]): Promise<ChargeLine[]> {
  const [names, applications] = await Promise.all([
    shownNames(charges.map(({ candidateId }) => candidateId)),
    applicationsById(charges.map(({ applicationId }) => applicationId)),
  ])
  return Promise.all(
    charges.map(async (charge) => {
      const application = applications.find(({ id }) => id === charge.applicationId)!
      const [schedule, vacancy] = await Promise.all([scheduleOf(charge), vacancyById(application.vacancyId)])
      const { id, applicationId, candidateId, currency, total, owed, dueOn, state } = charge
      return {
        ...{
          id,
          application: applicationId,
          name: names.get(candidateId) ?? '',
          reference: application.reference ?? '',
        },
        ...{ vacancy: vacancy.title, title: translated(schedule).title, currency, total, owed, dueOn, state },
        late: isLate(deps, charge),
      }
    }),
  )
}

/** One charge with all that led to it. What was given for it alone is read here and nowhere else, and that it was is written down. */
export async function readCharge(deps: Deps, actor: Account, id: string): Promise<ChargeDetail> {
  const charge = await chargeById(id)
  const { applicationId, candidateId, schedule: key } = charge
  const schedule = await scheduleOf(charge)
  const [views, [line], answers, refunds, entries] = await Promise.all([
    viewsOf(deps, [charge], new Map([[id, schedule]])),
    linesOf(deps, [charge]),
    FeeAnswers.findOne({ where: { applicationId, schedule: key } }),
    refundsOf([id]),
    entriesOf(id),
  ])
  if (answers) await logAccess(deps, actor, { candidateId, applicationId, subject: 'file', what: 'file' })
  return {
    ...views.get(id)!,
    ...{ line: line!, schedule, quote: charge.quote, facts: factsOf(schedule, answers) },
    refunds: (refunds.get(id) ?? []).map((one) => ({
      ...{ id: one.id, amount: one.amount, reason: one.reason, state: one.state, askedBy: one.askedBy },
      askedAt: one.askedAt.toISOString(),
    })),
    movements: entries.map(({ cause, at, madeBy, postings }) => ({
      ...{ cause: cause.split(' ')[0]!, at: at.toISOString(), madeBy },
      postings: postings.map(({ account, amount }) => ({ account, amount })),
    })),
    today: deps.clock.today().toString(),
  }
}

const factsOf = (schedule: FeeSchedule, answers: FeeAnswers | null): ChargeDetail['facts'] =>
  schedule.facts.flatMap((fact) => {
    const own = answers?.facts[fact.key]
    if (!own) return []
    const { label, proof = '' } = translated(fact)
    const { value } = own
    return [
      {
        ...{ key: fact.key, label, value: feeOptionWords(fact, value), proof: own.proof, asked: proof },
        hasPaper: Boolean(own.sha256),
      },
    ]
  })

/** The paper that shows something given for a fee. */
export async function readFeeProof(
  deps: Deps,
  actor: Account,
  { id, fact }: { id: string; fact: string },
): Promise<FileToKeep> {
  const { applicationId, candidateId, schedule } = await chargeById(id)
  const answers = await FeeAnswers.findOne({ where: { applicationId, schedule } })
  const sha256 = answers?.facts[fact]?.sha256
  if (!sha256) throw notFound()
  await logAccess(deps, actor, { candidateId, applicationId, subject: 'file', what: 'file' })
  const { bytes, mediaType } = await readBytes(sha256)
  return { fileName: `${fact}.${fileEnding(mediaType)}`, mediaType, body: bytes }
}
