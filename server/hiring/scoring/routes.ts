import * as contract from '#contract/scoring'
import { bind } from '../../platform/http/bind'
import { readScores, saveScore } from './score'
import { readScoreSheet, saveScoreSheet } from './sheet'

export const scoringRoutes = [
  bind(contract.readScoreSheet, ({ deps, input }) => readScoreSheet(deps, input.params.id)),
  bind(contract.saveScoreSheet, ({ deps, actor, input }) => saveScoreSheet(deps, actor, input.params.id, input.body)),
  bind(contract.readScores, ({ actor, input }) => readScores(actor, input.params.id)),
  bind(contract.saveScore, ({ deps, actor, input }) => saveScore(deps, actor, input.params.id, input.body)),
]
