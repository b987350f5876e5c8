import * as contract from '#contract/vouching'
import { bind } from '../platform/http/bind'
import { countAttempt, networkOf } from '../platform/http/limits'
import { callOffVoucher, nameVoucher } from './name'
import { findVouching, readVouching, vouch } from './vouch'

export const vouchingRoutes = [
  bind(contract.nameVoucher, ({ deps, actor, input }) => nameVoucher(deps, actor, input.params.id, input.body)),
  bind(contract.callOffVoucher, ({ deps, actor, input }) =>
    callOffVoucher(deps, actor, input.params.id, input.params.vouching),
  ),
  bind(
    contract.findVouching,
    async ({ deps, address, input }) => {
      await countAttempt(deps, `vouching ${networkOf(address)}`, { most: 20, seconds: 900 })
      await countAttempt(deps, `vouching ${input.body.reference.trim().toUpperCase()}`, { most: 10, seconds: 3600 })
      return findVouching(deps, input.body)
    },
    { transaction: false },
  ),
  bind(contract.readVouching, ({ deps, input }) => readVouching(deps, input.params.token)),
  bind(contract.vouch, ({ deps, input }) => vouch(deps, input.params.token, input.body)),
]
