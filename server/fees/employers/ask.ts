import { randomInt } from 'node:crypto'
import { literal, Op, UniqueConstraintError } from 'sequelize'
import { v7 as uuid } from 'uuid'
import { partOfLines } from '#core/fees/split'
import { taxWithinPart } from '#core/money/ledger'
import { say } from '#core/words/say'
import { recordEvent } from '../../platform/audit/record'
import { changeWhere } from '../../platform/database/compareAndSet'
import { forEachRow } from '../../platform/database/forEachRow'
import type { Account, Actor, Deps } from '../../platform/deps'
import { invalidField, notFound } from '../../platform/errors/problems'
import { countAttempt } from '../../platform/http/limits'
import { queueMail } from '../../platform/mail/queueMail'
import { applicationById } from '../../records/applications/find'
import { Employer, employerById, PayerRequest } from '../../records/fees/employers'
import { chargeById } from '../../records/fees/find'
import { FeeCharge } from '../../records/fees/model'
import { titleOf } from '../charge'
import { ownCharge, scheduleOf } from '../pay'
import { problems } from '../problems'
import { decidersOf } from './invoice'

const lettersOfCodes = '34679ACDEFGHJKMNPQRTWXY'
/** Days an employer has to answer, and after how many it is reminded. */
const daysToAnswer = 14
const remindedAfterDays = 5
/** How often somebody may look for employers in an hour: enough to find one's own, too little to go through them all. */
const searches = { most: 60, seconds: 3600 }

export const newCode = () => Array.from({ length: 10 }, () => lettersOfCodes[randomInt(lettersOfCodes.length)]).join('')
/** As somebody reads it to somebody else. */
export const writtenCode = (code: string) => code.replace(/(.{5})(?=.)/, '$1-')
const plain = (code: string) => code.toUpperCase().replace(/[^0-9A-Z]/g, '')

/** Employers that can be asked: by a part of the name, where they let themselves be found, or by their whole code. */
export async function findEmployers(deps: Deps, actor: Account, text: string) {
  await countAttempt(deps, `employers ${actor.id}`, searches)
  const like = `%${text.trim().replace(/[\\%_]/g, '\\$&')}%`
  const named = text.trim().length < 3 ? [] : [{ findable: true, name: { [Op.like]: like } }]
  const found = await Employer.findAll({
    where: { closedAt: null, [Op.or]: [{ code: plain(text) }, ...named] },
    order: ['name', 'id'],
    limit: 10,
  })
  return { employers: found.map(({ id, name, town }) => ({ id, name, town })) }
}

type Wish = { employer: string; code?: string; lines: string[] | null; orderNumber: string }

/** Asks an employer to pay what is owed, or some of its lines. Of two who ask at the same moment one is refused. */
export async function askEmployer(deps: Deps, actor: Account, chargeId: string, wish: Wish) {
  const charge = await ownCharge(deps, actor, chargeId)
  // Written before it is read, so that a payment at the same moment is seen, or sees what is asked here.
  await FeeCharge.update({ version: literal('version + 1') as unknown as number }, { where: { id: chargeId } })
  await charge.reload()
  if (charge.state === 'called off') throw problems.calledOff()
  if (charge.owed <= 0) throw problems.nothingOwed()
  const employer = await employerById(wish.employer)
  // Whom only its code finds is asked by whoever has the code.
  if (!employer.findable && plain(wish.code ?? '') !== employer.code) throw notFound()
  if (employer.closedAt) throw problems.employerClosed()
  if (employer.currency !== charge.currency) throw problems.otherCurrency()
  const known = new Set(charge.quote.lines.map(({ key }) => key))
  if (wish.lines?.some((key) => !known.has(key))) throw invalidField('/body/lines', say('problem.notAnOption'))
  const amount = Math.min(charge.owed, partOfLines(charge.quote, charge.total, wish.lines))
  if (amount <= 0) throw problems.nothingOwed()
  const id = uuid()
  await PayerRequest.create({
    ...{ id, chargeId, employerId: employer.id, activeKey: chargeId, lines: wish.lines, amount },
    ...{ tax: taxWithinPart({ total: charge.total, tax: charge.tax }, { before: 0, now: amount }) },
    ...{ orderNumber: wish.orderNumber.trim(), state: 'asked', askedAt: deps.clock.now() },
    lapsesOn: deps.clock.today().add({ days: daysToAnswer }).toString(),
  }).catch((error: unknown) => {
    throw error instanceof UniqueConstraintError ? problems.askedAlready() : error
  })
  await tellEmployer(deps, employer, 'employerAsked')
  await record(deps, actor, charge, 'payer-asked', { employer: employer.name })
  return { done: true as const }
}

/** Tells those who decide for an employer that it is their turn. */
async function tellEmployer(deps: Deps, employer: Employer, words: 'employerAsked' | 'employerWaited') {
  const link = `${deps.config.publicUrl}/employer`
  for (const to of await decidersOf(employer.id))
    await queueMail(deps, {
      to,
      words,
      values: { employer: employer.name, organisation: deps.organisation.name, link },
    })
}

/** What happened between a candidate and an employer, as the file keeps it: by name, and never an amount. */
export async function record(
  deps: Deps,
  actor: Actor,
  charge: FeeCharge,
  code: 'payer-asked' | 'payer-withdrawn' | 'payer-accepted' | 'payer-declined' | 'payer-lapsed' | 'payer-returned',
  { employer, reason }: { employer: string; reason?: string },
) {
  const [application, schedule] = await Promise.all([applicationById(charge.applicationId), scheduleOf(charge)])
  await recordEvent(deps, actor, {
    code,
    values: { fee: titleOf(schedule), employer },
    about: application.reference ?? undefined,
    ...(reason === undefined ? {} : { details: { reason } }),
    candidateId: charge.candidateId,
    applicationId: charge.applicationId,
  })
}

/** Takes back what was asked and not answered. */
export async function takeRequestBack(deps: Deps, actor: Account, { id, request }: { id: string; request: string }) {
  const charge = await ownCharge(deps, actor, id)
  const asked = await PayerRequest.findOne({ where: { id: request, chargeId: id } })
  if (!asked) throw notFound()
  const over = { state: 'withdrawn' as const, activeKey: null, decidedAt: deps.clock.now() }
  if (!(await changeWhere(asked, { state: 'asked' }, over))) throw problems.requestOver()
  const employer = await employerById(asked.employerId)
  await record(deps, actor, charge, 'payer-withdrawn', { employer: employer.name })
  return { done: true as const }
}

/** Gives what was asked and not answered back to the candidate, who is told. */
export async function lapse(deps: Deps, actor: Actor, request: PayerRequest) {
  const lapsed = { state: 'lapsed' as const, activeKey: null, decidedAt: deps.clock.now() }
  if (!(await changeWhere(request, { state: 'asked' }, lapsed))) return
  const [charge, employer] = await Promise.all([chargeById(request.chargeId), employerById(request.employerId)])
  await record(deps, actor, charge, 'payer-lapsed', { employer: employer.name })
}

/** Reminds employers who have not answered, and gives the ball back to the candidate after two weeks. Gives how many failed. */
export async function lookAfterRequests(deps: Deps): Promise<number> {
  const now = deps.clock.now()
  const today = deps.clock.today().toString()
  const over = await forEachRow(deps, PayerRequest, { state: 'asked', lapsesOn: { [Op.lt]: today } }, (request) =>
    lapse(deps, { kind: 'system' }, request),
  )
  const waited = new Date(now.getTime() - remindedAfterDays * 86_400_000)
  const reminded = await forEachRow(
    deps,
    PayerRequest,
    { state: 'asked', remindedAt: null, askedAt: { [Op.lt]: waited } },
    async (request) => {
      await request.update({ remindedAt: now })
      await tellEmployer(deps, await employerById(request.employerId), 'employerWaited')
    },
  )
  return over + reminded
}
