import * as contract from '#contract/doubles'
import { bind } from '../platform/http/bind'
import { listDoubles, readDouble } from './find'
import { mergeFiles, setApart, undoMerge } from './merge'

export const doublesRoutes = [
  bind(contract.listDoubles, ({ deps }) => listDoubles(deps)),
  bind(contract.readDouble, ({ deps, actor, input }) =>
    readDouble(deps, actor, input.params.oneId, input.params.otherId),
  ),
  bind(contract.setApart, ({ deps, actor, input }) => setApart(deps, actor, input.params.oneId, input.params.otherId)),
  bind(contract.mergeFiles, ({ deps, actor, input }) => mergeFiles(deps, actor, input.params.keptId, input.body)),
  bind(contract.undoMerge, ({ deps, actor, input }) => undoMerge(deps, actor, input.params.id)),
]
