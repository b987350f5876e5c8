import * as contract from '#contract/redFlags'
import { bind } from '../platform/http/bind'
import { listRedFlags } from './queue'
import { countRedFlags, settleFlag, switchKind } from './settle'

export const redFlagsRoutes = [
  bind(contract.listRedFlags, ({ deps, actor, input }) => listRedFlags(deps, actor, input.query)),
  bind(contract.countRedFlags, ({ deps }) => countRedFlags(deps)),
  bind(contract.settleRedFlag, ({ deps, actor, input }) => settleFlag(deps, actor, input.params.id, input.body)),
  bind(contract.switchRedFlagKind, ({ deps, actor, input }) => switchKind(deps, actor, input.params.kind, input.body)),
]
