import { inTransaction } from '#server/platform/database/connection'
import { Candidate } from '#server/records/accounts/model'
import { Flag } from '#server/records/redFlags/model'
import { refreshFlags } from '#server/redFlags/refresh'
import { settleFlag } from '#server/redFlags/settle'
import { depsAt, type World } from './world'

/** Red flags that somebody has settled already; the others wait in their queue. */
const settled = [
  {
    name: 'Viktor Halloran',
    kind: 'seller',
    outcome: 'upheld',
    reason: 'Their own pages offer any degree within a week, and no register knows them.',
  },
  {
    name: 'Jonas Brüderlin',
    kind: 'too young',
    outcome: 'dismissed',
    reason: 'He helped in his uncle’s workshop in the school holidays, and says so himself.',
  },
] as const

export async function settleRedFlags(world: World) {
  const deps = depsAt(world, -1, 40)
  for (const { name, kind, outcome, reason } of settled) {
    const { id: candidateId } = await Candidate.findOne({ where: { name }, rejectOnEmpty: true })
    await refreshFlags(deps, { candidateId })
    const { id, version } = await Flag.findOne({ where: { candidateId, kind }, rejectOnEmpty: true })
    await inTransaction(world.fixed.sequelize, () =>
      settleFlag(deps, world.desk.coordinator!, id, { version, outcome, reason }),
    )
  }
}
