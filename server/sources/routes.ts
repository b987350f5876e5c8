import * as contract from '#contract/sources'
import { bind } from '../platform/http/bind'
import { findSources } from '../records/sources/sources'
import { sourceDirectory } from './directory'
import { checkSource, retireSource, saveSource } from './keep'

export const sourceRoutes = [
  bind(contract.findSources, ({ input }) => findSources(input.query)),
  bind(contract.sourceDirectory, ({ actor }) => sourceDirectory(actor)),
  bind(contract.saveSource, ({ deps, actor, input }) => saveSource(deps, actor, input.params.id, input.body)),
  bind(contract.checkSource, ({ deps, actor, input }) => checkSource(deps, actor, input.params.id, input.body)),
  bind(contract.retireSource, ({ deps, actor, input }) => retireSource(deps, actor, input.params.id, input.body)),
]
