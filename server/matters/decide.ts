import { Op } from 'sequelize'
import { v7 as uuid } from 'uuid'
import { type MatterOutcome, tallyOf } from '#core/requirements/matter'
import { coded, say } from '#core/words/say'
import { beginByDesk } from '../conversations/ask'
import { recordEvent } from '../platform/audit/record'
import { putVersion } from '../platform/database/compareAndSet'
import { lockOf } from '../platform/database/connection'
import type { Account, Deps } from '../platform/deps'
import { invalidField, requireVersion } from '../platform/errors/problems'
import { OnboardingTask } from '../records/hiring/model'
import { conditionKey } from '../records/matters/find'
import { DeclaredMatter, type MatterCondition, MatterVote } from '../records/matters/model'
import { decidersOf, openMatter } from './matter'
import { problems } from './problems'

type Decision = { version: number; outcome: MatterOutcome; reason: string; conditions?: MatterCondition[] }

/**
 * Says how a declared matter is decided. Where several decide together it is decided once all have said the same; until then each
 * may say otherwise. A decision may be changed as long as the application goes on.
 *
 * @throws Problem `not-allowed` where others decide, `changed-meanwhile` where one of them has said something since
 */
export async function decideMatter(
  deps: Deps,
  actor: Account,
  applicationId: string,
  key: string,
  { version, outcome, reason, conditions = [] }: Decision,
) {
  const { application, declared } = await openMatter(deps, applicationId, key)
  const { who, together } = await decidersOf(declared.ask)
  if (!who.some(({ id }) => id === actor.id)) throw problems.notDecider(who.map(({ name }) => name).join(', '))
  if ((outcome === 'conditions') !== conditions.length > 0)
    throw invalidField('/body/conditions', say('problem.sayTheConditions'))
  const { requirement, ask, answer, explanation, digest } = declared
  const found = await DeclaredMatter.findOne({ where: { applicationId, requirement: key, digest }, ...lockOf() })
  requireVersion(version, found?.version ?? 0)
  const id = found?.id ?? uuid()
  const now = deps.clock.now()
  const vote = { name: actor.name, outcome, reason: reason.trim(), conditions, votedAt: now }
  const earlier = await MatterVote.findAll({
    where: { matterId: id, accountId: { [Op.ne]: actor.id } },
    order: ['votedAt'],
  })
  const votes = [...earlier, { accountId: actor.id, ...vote }]
  const tally = tallyOf(
    votes.map((one) => ({ by: one.accountId, outcome: one.outcome })),
    who.map((one) => one.id),
    together,
  )
  const agreed = together ? votes.flatMap((one) => one.conditions) : conditions
  const decided = tally.state === 'decided' ? tally.outcome : null
  const kept = decided === 'conditions' ? distinct(agreed) : []
  await putVersion(DeclaredMatter, { id }, version, {
    candidateId: application.candidateId,
    applicationId,
    requirement: key,
    question: ask.question,
    ...{ answer, explanation, digest },
    outcome: decided,
    reason: vote.reason,
    conditions: kept,
    decidedAt: decided ? now : null,
    createdAt: found?.createdAt ?? now,
  })
  await MatterVote.upsert({ matterId: id, accountId: actor.id, ...vote })
  await keepConditions(applicationId, id, kept)
  await recordEvent(deps, actor, {
    code: decided ? 'matter-decided' : 'matter-voted',
    values: { matter: requirement.title, outcome: coded(`state.matter.${outcome}`), reason: vote.reason },
    about: requirement.title,
    candidateId: application.candidateId,
    applicationId,
  })
  return { state: decided ?? (tally.state as 'waiting' | 'split') }
}

/** The conditions that hold, as tasks the candidate accepts; what was accepted already stays accepted. */
async function keepConditions(applicationId: string, matterId: string, conditions: readonly MatterCondition[]) {
  const tasks = conditions.map((condition, nth) => ({ applicationId, key: conditionKey(matterId, nth), ...condition }))
  await OnboardingTask.destroy({
    where: { applicationId, key: { [Op.like]: `condition:${matterId}:%` }, doneAt: null },
  })
  await OnboardingTask.bulkCreate(tasks, { ignoreDuplicates: true })
}

const distinct = (conditions: readonly MatterCondition[]) => [
  ...new Map(conditions.map((condition) => [JSON.stringify([condition.title, condition.text]), condition])).values(),
]

/** Asks the candidate back; what they answer comes into the conversation, and waits there. */
export async function askAboutMatter(deps: Deps, actor: Account, applicationId: string, key: string, text: string) {
  const { application, declared } = await openMatter(deps, applicationId, key)
  await beginByDesk(deps, actor, application, { kind: 'matter', key }, text)
  await recordEvent(deps, actor, {
    code: 'matter-asked-back',
    values: { matter: declared.requirement.title },
    candidateId: application.candidateId,
    applicationId,
  })
  return { done: true as const }
}
