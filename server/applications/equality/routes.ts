import * as contract from '#contract/equality'
import { bind } from '../../platform/http/bind'
import { equalityCounts, giveEqualityAnswers } from './equality'

export const equalityRoutes = [
  bind(contract.giveEqualityAnswers, ({ actor, input }) =>
    giveEqualityAnswers(actor, input.params.id, input.body.answers),
  ),
  bind(contract.equalityCounts, ({ input }) => equalityCounts(input.params.id)),
]
