import { readTrail as contract } from '#contract/desk'
import { bind } from '../http/bind'
import { readTrail } from './trail'

export const auditRoutes = [bind(contract, ({ input }) => readTrail(input.query))]
