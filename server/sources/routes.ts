import * as contract from '#contract/sources'
import { bind } from '../http/bind'
import { sourceDirectory } from './directory'
import { findSources } from './sources'

export const sourceRoutes = [
  bind(contract.findSources, ({ input }) => findSources(input.query)),
  bind(contract.sourceDirectory, sourceDirectory),
]
