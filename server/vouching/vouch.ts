import { Op } from 'sequelize'
import type { VouchingAnswer } from '#contract/vouching'
import { partialDate, readPartialDate, spanOf } from '#core/dates/partialDate'
import { readReference, writeReference } from '#core/references/reference'
import { say } from '#core/words/say'
import { recordEvent } from '../platform/audit/record'
import { changeWhere } from '../platform/database/compareAndSet'
import { nextNumber } from '../platform/database/counter'
import type { Deps } from '../platform/deps'
import { invalidField, notFound } from '../platform/errors/problems'
import { hashOf } from '../platform/http/tokens'
import { candidateWithMail } from '../records/accounts/candidate'
import { applicationById } from '../records/applications/find'
import { vacancyById } from '../records/vacancies/vacancies'
import { Vouching, VouchingLink } from '../records/vouching/model'
import { freshLink } from './name'
import { problems } from './problems'

/** The link behind a reference and its code. A wrong one of either says the same. */
export async function findVouching(deps: Deps, given: { reference: string; code: string }) {
  const reading = readReference('VO', given.reference)
  const code = given.code.replace(/\s/g, '').toUpperCase()
  const vouching = reading.ok
    ? await Vouching.findOne({ where: { reference: reading.reference, code, state: { [Op.ne]: 'called off' } } })
    : null
  if (!vouching) throw invalidField('/body/code', say('problem.theReferenceAndTheCode'))
  const link = await freshLink(deps, vouching)
  return { token: link.split('/').at(-1)! }
}

/** What somebody is asked; once it is answered, nothing of the candidate any more. */
export async function readVouching(deps: Deps, token: string) {
  const vouching = await vouchingBehind(token)
  const { name: operator, contact } = deps.organisation
  if (!vouching || vouching.state === 'called off')
    return {
      state: 'called off' as const,
      operator,
      contact,
      candidate: '',
      vacancy: '',
      name: '',
      relation: null,
      doneAt: null,
    }
  const application = await applicationById(vouching.applicationId)
  const open = vouching.state === 'asked'
  return {
    state: vouching.state,
    operator,
    contact,
    candidate: open ? (await candidateWithMail(application.candidateId)).name : '',
    vacancy: open ? (await vacancyById(application.vacancyId)).title : '',
    name: vouching.name,
    relation: vouching.relation,
    doneAt: vouching.doneAt?.toISOString() ?? null,
  }
}

/** Takes what somebody says, once. */
export async function vouch(deps: Deps, token: string, answer: VouchingAnswer) {
  const vouching = await vouchingBehind(token)
  if (vouching?.state === 'done') throw problems.answered()
  if (vouching?.state !== 'asked') throw problems.calledOff()
  requireTimes(answer)
  const now = deps.clock.now()
  if (!(await changeWhere(vouching, { state: 'asked' }, { state: 'done', answer, doneAt: now })))
    throw problems.answered()
  const application = await applicationById(vouching.applicationId)
  await recordEvent(
    deps,
    { kind: 'bearer', name: [answer.respondent, answer.capacity].filter(Boolean).join(', ') },
    {
      code: 'vouched',
      values: { name: vouching.name, trust: { code: `vouch.trust.${answer.trust}` } },
      candidateId: application.candidateId,
      applicationId: application.id,
    },
  )
  return { receivedAt: now.toISOString(), receipt: writeReference('RC', await nextNumber(deps, 'receipts')) }
}

function requireTimes({ knownFrom, knownTo }: VouchingAnswer) {
  if (!readPartialDate(knownFrom).ok) throw invalidField('/body/knownFrom', say('problem.thereIsNoSuchDay'))
  if (knownTo === 'present') return
  if (!readPartialDate(knownTo).ok) throw invalidField('/body/knownTo', say('problem.thereIsNoSuchDay'))
  const days = spanOf(partialDate(knownFrom)).earliest.until(spanOf(partialDate(knownTo)).latest).days
  if (days < 0) throw invalidField('/body/knownTo', say('problem.thisEndsBeforeItBegins'))
}

/** What a link asks; nothing where it was erased with the file of its person. Throws not-found for a link of nobody's. */
async function vouchingBehind(token: string): Promise<Vouching | null> {
  const link = await VouchingLink.findByPk(hashOf(token))
  if (!link) throw notFound()
  return Vouching.findByPk(link.vouchingId)
}
