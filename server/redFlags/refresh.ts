import { QueryTypes } from 'sequelize'
import { v7 as uuid } from 'uuid'
import { activeStages, isSent } from '#core/hiring/stages'
import { findFlags } from '#core/redFlags/findFlags'
import type { RedFlag } from '#core/redFlags/redFlag'
import { recordEvent } from '../platform/audit/record'
import type { Change } from '../platform/changes'
import { changeWhere } from '../platform/database/compareAndSet'
import { inTransaction } from '../platform/database/connection'
import type { Deps } from '../platform/deps'
import { Candidate } from '../records/accounts/model'
import { applicationsOf } from '../records/applications/find'
import { queueFlags, takeUpFlags } from '../records/redFlags/flags'
import { Flag } from '../records/redFlags/model'
import { factsForFlags } from './facts'

/** With what changes in a file, patterns come and go. */
export async function lookThroughLater(_deps: Deps, changes: readonly Change[]) {
  for (const candidateId of new Set(changes.flatMap((change) => change.candidateId ?? [])))
    await queueFlags(candidateId)
}

/**
 * The job: finds the red flags of a file. What is new is raised, in the other file too; what rests on nothing any more goes by
 * itself while nobody has decided about it, and comes back with its ground. What was decided stays decided.
 */
export async function refreshFlags(deps: Deps, { candidateId }: { candidateId: string }) {
  await takeUpFlags(candidateId)
  if (!(await Candidate.findByPk(candidateId, { attributes: ['id'] }))) return
  // What is still being written may be put right before anybody reads it.
  const sent = (await applicationsOf(candidateId)).some(isSent)
  const facts = sent ? await factsForFlags(deps, candidateId) : undefined
  const found = facts ? findFlags(facts) : []
  const known = await Flag.findAll({ where: { candidateId } })
  const keyed = new Map(known.map((flag) => [keyOf(flag), flag]))
  const now = deps.clock.now()
  await inTransaction(deps.sequelize, async () => {
    for (const flag of found) {
      const before = keyed.get(keyOf(flag))
      keyed.delete(keyOf(flag))
      if (before && before.state !== 'gone') continue
      const isNew = before
        ? await changeWhere(
            before,
            { state: 'gone' },
            { state: 'open', ...columnsOf(flag), version: before.version + 1 },
          )
        : await raise(candidateId, flag, now)
      if (!isNew) continue
      if (flag.other) await queueFlags(flag.other.candidateId)
      await recordEvent(
        deps,
        { kind: 'system' },
        {
          code: 'flag-raised',
          values: { kind: { code: `flags.kind.${flag.kind}` } },
          candidateId,
          ...(flag.at.claimId ? { claimId: flag.at.claimId } : {}),
        },
      )
    }
    for (const gone of keyed.values())
      if (gone.state === 'open') {
        await changeWhere(gone, { state: 'open' }, { state: 'gone', version: gone.version + 1 })
        // It stood in two files.
        if (gone.otherCandidateId) await queueFlags(gone.otherCandidateId)
      }
  })
}

const keyOf = ({ kind, about }: Pick<RedFlag, 'kind' | 'about'>) => `${kind} ${about}`

const columnsOf = ({ at, other, values }: RedFlag) => ({
  ...{ claimId: at.claimId ?? null, documentId: at.documentId ?? null, enquiryId: at.enquiryId ?? null },
  place: at.place ?? null,
  ...{ otherCandidateId: other?.candidateId ?? null, otherClaimId: other?.claimId ?? null },
  ...{ otherDocumentId: other?.documentId ?? null, flagValues: values },
})

/** Two copies that find the same at the same moment raise it once. */
async function raise(candidateId: string, flag: RedFlag, now: Date): Promise<boolean> {
  const id = uuid()
  await Flag.bulkCreate(
    [
      {
        ...{ id, candidateId, kind: flag.kind, about: flag.about, ...columnsOf(flag) },
        ...{ state: 'open', raisedAt: now, version: 1 },
      },
    ],
    { ignoreDuplicates: true },
  )
  return (await Flag.count({ where: { id } })) > 0
}

/** Every night: what is known of sources and of sellers has changed, and so have the days. */
export async function lookThroughNightly(deps: Deps): Promise<number> {
  const running = await deps.sequelize.query<{ candidateId: string }>(
    'SELECT DISTINCT candidateId FROM applications WHERE stage IN (:stages) ORDER BY candidateId',
    { replacements: { stages: [...activeStages] }, type: QueryTypes.SELECT },
  )
  await inTransaction(deps.sequelize, async () => {
    for (const { candidateId } of running) await queueFlags(candidateId)
  })
  return 0
}
