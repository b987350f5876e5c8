import * as desk from '#contract/desk'
import * as lists from '#contract/lists'
import * as status from '#contract/status'
import { bind } from '../platform/http/bind'
import { answerOffer } from './answerOffer'
import { extendOffer, withdrawOffer } from './changeOffer'
import { changeStart } from './changeStart'
import { doTask } from './doTask'
import { passGate } from './passGate'
import { takeUpAgain, turnDown } from './turnDown'
import { waive } from './waive'

export const hiringRoutes = [
  bind(desk.passGate, ({ deps, actor, input }) =>
    passGate(deps, actor, input.params.id, { gate: input.params.gate, ...input.body }),
  ),
  bind(desk.changeStart, ({ deps, actor, input }) => changeStart(deps, actor, input.params.id, input.body)),
  bind(desk.extendOffer, ({ deps, actor, input }) => extendOffer(deps, actor, input.params.id, input.body.answerBy)),
  bind(desk.withdrawOffer, ({ deps, actor, input }) => withdrawOffer(deps, actor, input.params.id, input.body.reason)),
  bind(desk.waive, ({ deps, actor, input }) => waive(deps, actor, input.params.id, input.body)),
  bind(lists.turnDown, ({ deps, actor, input }) => turnDown(deps, actor, input.body)),
  bind(lists.takeUpAgain, ({ deps, actor, input }) => takeUpAgain(deps, actor, input.params.id, input.body.reason)),
  bind(status.answerOffer, ({ deps, actor, input }) => answerOffer(deps, actor, input.params.id, input.body.answer)),
  bind(status.doOnboardingTask, ({ deps, actor, input }) => doTask(deps, actor, input.params.id, input.params.task)),
]
