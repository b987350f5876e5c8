import * as contract from '#contract/equality'
import type { Account } from '../../platform/deps'
import { bind } from '../../platform/http/bind'
import { equalityCounts, giveEqualityAnswers } from './equality'

export const equalityRoutes = [
  bind(contract.giveEqualityAnswers, ({ actor, input }) =>
    giveEqualityAnswers(actor as Account, input.params.id, input.body.answers),
  ),
  bind(contract.equalityCounts, ({ input }) => equalityCounts(input.params.id)),
]
