import * as contract from '#contract/reports'
import { bind, bindFile } from '../platform/http/bind'
import { checkByLink, checkCredential } from './check'
import { listOwnReports, listReports, makeOwnReport, makeReport, readOwnReport, readReport } from './make'
import { revokeReport } from './revoke'

export const reportRoutes = [
  bind(contract.listReports, ({ deps, actor, input }) => listReports(deps, actor, input.params.id)),
  bind(contract.makeReport, ({ deps, actor, input }) => makeReport(deps, actor, input.params.id, input.body)),
  bind(contract.revokeReport, ({ deps, actor, input }) => revokeReport(deps, actor, input.params.id, input.body)),
  bindFile(contract.readReport, ({ deps, actor, input }) => readReport(deps, actor, input.params)),
  bind(contract.listOwnReports, ({ actor, input }) => listOwnReports(actor, input.params.id)),
  bind(contract.makeOwnReport, ({ deps, actor, input }) => makeOwnReport(deps, actor, input.params.id, input.body)),
  bindFile(contract.readOwnReport, ({ deps, actor, input }) => readOwnReport(deps, actor, input.params, input.query)),
  bind(contract.checkCredential, ({ deps, input, address }) => checkCredential(deps, input.body as Buffer, address), {
    transaction: false,
  }),
  bind(contract.checkByLink, ({ deps, input }) => checkByLink(deps, input.params.token), { transaction: false }),
]
