import { randomInt } from 'node:crypto'
import { v7 as uuid } from 'uuid'
import type { vouchingRelations } from '#contract/vouching'
import { isActive, isSent } from '#core/hiring/stages'
import { writeReference } from '#core/references/reference'
import { recordEvent } from '../platform/audit/record'
import type { Change } from '../platform/changes'
import { changeWhere } from '../platform/database/compareAndSet'
import { nextNumber } from '../platform/database/counter'
import type { Account, Deps } from '../platform/deps'
import { changedMeanwhile, notFound } from '../platform/errors/problems'
import { countMailTo } from '../platform/http/limits'
import { newToken } from '../platform/http/tokens'
import { queueMail } from '../platform/mail/queueMail'
import { candidateWithMail } from '../records/accounts/candidate'
import { ownApplication } from '../records/applications/find'
import { vacancyById } from '../records/vacancies/vacancies'
import { Vouching, VouchingLink } from '../records/vouching/model'
import { ownVouching, vouchingsOf } from '../records/vouching/vouchings'
import { problems } from './problems'

const referencePrefix = 'VO'
const most = 6
/** Without letters and digits that are taken for one another. */
const symbols = '23456789ABCDEFGHJKMNPQRSTVWXY'
const newCode = () => Array.from({ length: 6 }, () => symbols[randomInt(symbols.length)]).join('')

type Named = { name: string; mail: string; relation: (typeof vouchingRelations)[number] }

/** Names somebody who vouches. With a mail address they are written to; without, the candidate hands over the code. */
export async function nameVoucher(deps: Deps, actor: Account, id: string, named: Named) {
  const application = await ownApplication(actor, id, { lock: true })
  if (isSent(application) && !isActive(application)) throw problems.ended()
  if ((await vouchingsOf([id])).length >= most) throw problems.enough(most)
  const vouching = await Vouching.create({
    id: uuid(),
    applicationId: id,
    reference: writeReference(referencePrefix, await nextNumber(deps, 'vouchings')),
    code: newCode(),
    name: named.name.trim(),
    mail: named.mail.trim(),
    relation: named.relation,
    state: 'asked',
    askedAt: deps.clock.now(),
  })
  const vacancy = await vacancyById(application.vacancyId)
  const person = await candidateWithMail(application.candidateId)
  if (vouching.mail) {
    await countMailTo(deps, vouching.mail)
    await queueMail(deps, {
      to: { name: vouching.name, mail: vouching.mail },
      words: 'vouch',
      values: {
        candidate: person.name,
        vacancy: vacancy.title,
        relation: vouching.relation,
        link: await freshLink(deps, vouching),
      },
      about: application,
    })
  }
  await recordEvent(deps, actor, {
    code: 'voucher-named',
    values: { name: vouching.name, relation: vouching.relation },
    candidateId: application.candidateId,
    applicationId: id,
  })
  return ownVouching(vouching)
}

/** Another link to the same; every link works until somebody has answered. */
export async function freshLink(deps: Deps, vouching: Vouching): Promise<string> {
  const { token, tokenHash } = newToken()
  await VouchingLink.create({ tokenHash, vouchingId: vouching.id, createdAt: deps.clock.now() })
  return `${deps.config.publicUrl}/vouch/${token}`
}

/** Calls off all who have not answered for an application that has ended. */
export async function endVouchings(_deps: Deps, changes: readonly Change[]) {
  const applicationId = changes.flatMap((change) => change.applicationId ?? [])
  await Vouching.update({ state: 'called off' }, { where: { applicationId, state: 'asked' } })
}

export async function callOffVoucher(deps: Deps, actor: Account, id: string, vouchingId: string) {
  const application = await ownApplication(actor, id, { lock: true })
  const vouching = await Vouching.findOne({ where: { id: vouchingId, applicationId: id } })
  if (!vouching) throw notFound()
  if (vouching.state !== 'asked') throw problems.answeredAlready()
  if (!(await changeWhere(vouching, { state: 'asked' }, { state: 'called off' }))) throw changedMeanwhile()
  await recordEvent(deps, actor, {
    code: 'voucher-called-off',
    values: { name: vouching.name },
    candidateId: application.candidateId,
    applicationId: id,
  })
  return { done: true as const }
}
