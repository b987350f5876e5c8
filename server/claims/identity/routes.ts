import * as contract from '#contract/identity'
import { bind } from '../../platform/http/bind'
import { beginCapture, takeCapture } from './captures'

export const identityRoutes = [
  bind(contract.beginCapture, ({ deps, actor, input }) => beginCapture(deps, actor, input.params.id, input.body.what)),
  bind(contract.takeCapture, ({ deps, actor, input }) => takeCapture(deps, actor, input.params.id)),
]
