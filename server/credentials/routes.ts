import * as contract from '#contract/credentials'
import { bind } from '../platform/http/bind'
import { bringCredential, listCredentials } from './bringCredential'

export const credentialRoutes = [
  bind(contract.listCredentials, ({ deps, actor, input }) => listCredentials(deps, actor, input.params.id)),
  bind(
    contract.bringCredential,
    ({ deps, actor, input }) => bringCredential(deps, actor, input.params, input.body as Buffer),
    { transaction: false },
  ),
]
