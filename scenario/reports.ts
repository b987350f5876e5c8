import { inTransaction } from '#server/platform/database/connection'
import { Candidate } from '#server/records/accounts/model'
import { Application } from '#server/records/applications/model'
import { reportById } from '#server/records/reports/find'
import { makeReport } from '#server/reports/make'
import { revokeReport } from '#server/reports/revoke'
import { depsAt, type World } from './world'

/** Reports that somebody has made already: one that holds, one for the candidate, and one that was revoked by hand. */
const made = [
  { name: 'Mateo Lindqvist', audience: 'inside', scope: 'file' },
  { name: 'Mateo Lindqvist', audience: 'candidate', scope: 'application' },
  {
    name: 'Mateo Lindqvist',
    audience: 'inside',
    scope: 'application',
    revoked: 'Made for a body that he has not agreed to.',
  },
] as const

export async function makeReports(world: World) {
  for (const [nth, one] of made.entries()) {
    const deps = depsAt(world, -1, 60 + nth)
    const { id: candidateId } = await Candidate.findOne({ where: { name: one.name }, rejectOnEmpty: true })
    const { id } = await Application.findOne({ where: { candidateId }, rejectOnEmpty: true })
    const { audience, scope } = one
    const coordinator = world.desk.coordinator!
    await inTransaction(world.fixed.sequelize, async () => {
      const report = await makeReport(deps, coordinator, id, { language: 'en', scope, audience })
      if (!('revoked' in one)) return
      const { version } = await reportById(report.id)
      await revokeReport(deps, coordinator, report.id, { version, reason: one.revoked })
    })
  }
}
