import * as contract from '#contract/operation'
import { bind } from '../platform/http/bind'
import { readOperation, retryJob } from './howItRuns'

export const operationRoutes = [
  bind(contract.readOperation, ({ deps }) => readOperation(deps)),
  bind(contract.retryJob, ({ deps, actor, input }) => retryJob(deps, actor, input.params.id)),
]
