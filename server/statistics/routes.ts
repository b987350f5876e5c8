import * as contract from '#contract/statistics'
import { bind, bindFile } from '../platform/http/bind'
import { downloadStatistics, readStatistics } from './read'

export const statisticsRoutes = [
  bind(contract.readStatistics, ({ deps, input }) => readStatistics(deps, input.params.section, input.query)),
  bindFile(contract.downloadStatistics, ({ deps, input }) => downloadStatistics(deps, input.params, input.query)),
]
