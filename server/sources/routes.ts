import * as contract from '#contract/sources'
import { bind } from '../platform/http/bind'
import { findSources } from '../records/sources/sources'
import { sourceDirectory } from './directory'

export const sourceRoutes = [
  bind(contract.findSources, ({ input }) => findSources(input.query)),
  bind(contract.sourceDirectory, sourceDirectory),
]
