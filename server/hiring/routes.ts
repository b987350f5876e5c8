import * as applications from '#contract/applications'
import * as desk from '#contract/desk'
import * as lists from '#contract/lists'
import { recordFee as recordFeeContract } from '#contract/rules'
import type { Account } from '../platform/deps'
import { bind } from '../platform/http/bind'
import { answerOffer } from './answerOffer'
import { extendOffer, withdrawOffer } from './changeOffer'
import { changeStart } from './changeStart'
import { doTask } from './doTask'
import { passGate } from './passGate'
import { recordFee } from './recordFee'
import { takeUpAgain, turnDown } from './turnDown'
import { waive } from './waive'

export const hiringRoutes = [
  bind(desk.passGate, ({ deps, actor, input }) =>
    passGate(deps, actor as Account, input.params.id, { gate: input.params.gate, ...input.body }),
  ),
  bind(desk.changeStart, ({ deps, actor, input }) => changeStart(deps, actor as Account, input.params.id, input.body)),
  bind(desk.extendOffer, ({ deps, actor, input }) =>
    extendOffer(deps, actor as Account, input.params.id, input.body.answerBy),
  ),
  bind(desk.withdrawOffer, ({ deps, actor, input }) =>
    withdrawOffer(deps, actor as Account, input.params.id, input.body.reason),
  ),
  bind(recordFeeContract, ({ deps, actor, input }) =>
    recordFee(deps, actor as Account, input.params.id, input.params.requirement, input.body),
  ),
  bind(desk.waive, ({ deps, actor, input }) => waive(deps, actor as Account, input.params.id, input.body)),
  bind(lists.turnDown, ({ deps, actor, input }) => turnDown(deps, actor as Account, input.body)),
  bind(lists.takeUpAgain, ({ deps, actor, input }) =>
    takeUpAgain(deps, actor as Account, input.params.id, input.body.reason),
  ),
  bind(applications.answerOffer, ({ deps, actor, input }) =>
    answerOffer(deps, actor as Account, input.params.id, input.body.answer),
  ),
  bind(applications.doOnboardingTask, ({ deps, actor, input }) =>
    doTask(deps, actor as Account, input.params.id, input.params.task),
  ),
]
