import * as contract from '#contract/originals'
import { bind, bindFile } from '../platform/http/bind'
import { announceOriginal, callOffOriginal } from './announce'
import { compareOriginal, moveOriginal, receiveOriginal, returnOriginal } from './keep'
import { listMyOriginals, listOriginals, readReturnSignature, readSafe } from './read'

export const originalRoutes = [
  bind(contract.listMyOriginals, ({ deps, actor, input }) => listMyOriginals(deps, actor, input.params.id)),
  bind(contract.announceOriginal, ({ deps, actor, input }) =>
    announceOriginal(deps, actor, input.params.id, input.body),
  ),
  bind(contract.callOffOriginal, ({ deps, actor, input }) => callOffOriginal(deps, actor, input.params.id)),
  bind(contract.listOriginals, ({ input }) => listOriginals(input.params.id)),
  bind(contract.receiveOriginal, ({ deps, actor, input }) => receiveOriginal(deps, actor, input.params.id, input.body)),
  bind(contract.moveOriginal, ({ deps, actor, input }) => moveOriginal(deps, actor, input.params.id, input.body)),
  bind(contract.compareOriginal, ({ deps, actor, input }) => compareOriginal(deps, actor, input.params.id, input.body)),
  bind(contract.returnOriginal, ({ deps, actor, input }) => returnOriginal(deps, actor, input.params.id, input.body)),
  bindFile(contract.readReturnSignature, ({ input }) => readReturnSignature(input.params.id)),
  bind(contract.readSafe, ({ deps, actor }) => readSafe(deps, actor)),
]
