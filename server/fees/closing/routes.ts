import * as contract from '#contract/closings'
import { bind, bindFile } from '../../platform/http/bind'
import { exportBookkeeping, readBookkeeping, saveBookkeeping } from './bookkeeping'
import { closeDayNow, listClosings, settleClosing } from './close'

export const closingRoutes = [
  bind(contract.listClosings, ({ deps, input }) => listClosings(deps, input.query.after)),
  // The provider is asked before anything is written.
  bind(contract.closeDay, ({ deps, actor, input }) => closeDayNow(deps, actor, input.params.day), {
    transaction: false,
  }),
  bind(contract.settleClosing, ({ deps, actor, input }) =>
    settleClosing(deps, actor, input.params.day, input.body.reason),
  ),
  bind(contract.readBookkeeping, () => readBookkeeping()),
  bind(contract.saveBookkeeping, ({ deps, actor, input }) => saveBookkeeping(deps, actor, input.body)),
  bindFile(contract.exportBookkeeping, ({ deps, actor, input }) => exportBookkeeping(deps, actor, input.query)),
]
