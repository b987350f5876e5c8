import * as contract from '#contract/duplicates'
import { bind } from '../platform/http/bind'
import { listDuplicates, readDuplicate } from './find'
import { mergeFiles, setApart, undoMerge } from './merge'

export const duplicatesRoutes = [
  bind(contract.listDuplicates, ({ deps }) => listDuplicates(deps)),
  bind(contract.readDuplicate, ({ deps, actor, input }) =>
    readDuplicate(deps, actor, input.params.oneId, input.params.otherId),
  ),
  bind(contract.setApart, ({ deps, actor, input }) => setApart(deps, actor, input.params.oneId, input.params.otherId)),
  bind(contract.mergeFiles, ({ deps, actor, input }) => mergeFiles(deps, actor, input.params.keptId, input.body)),
  bind(contract.undoMerge, ({ deps, actor, input }) => undoMerge(deps, actor, input.params.id)),
]
