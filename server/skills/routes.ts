import * as contract from '#contract/skills'
import { bind } from '../platform/http/bind'
import { allowResit } from './allowResit'
import { beginSitting, describeCheck, handInSitting, readSitting, saveSittingAnswer } from './sit'

export const skillsRoutes = [
  bind(contract.describeCheck, ({ deps, actor, input }) =>
    describeCheck(deps, actor, input.params.id, input.params.check),
  ),
  bind(contract.beginSitting, ({ deps, actor, input }) =>
    beginSitting(deps, actor, input.params.id, input.params.check),
  ),
  bind(contract.allowResit, ({ deps, actor, input }) => allowResit(deps, actor, input.params.id, input.body)),
  bind(contract.readSitting, ({ deps, actor, input }) => readSitting(deps, actor, input.params.id)),
  bind(contract.saveSittingAnswer, ({ deps, actor, input }) =>
    saveSittingAnswer(deps, actor, input.params.id, input.params.question, input.body.given),
  ),
  bind(contract.handInSitting, ({ deps, actor, input }) => handInSitting(deps, actor, input.params.id)),
]
