import * as contract from '#contract/behalf'
import { bind } from '../platform/http/bind'
import { askToTakeOver, beginFor, listBehalf, readTakenDown, setAsideBehalf, takeOverBehalf } from './behalf'

export const onBehalfRoutes = [
  bind(contract.beginFor, ({ deps, actor, input }) => beginFor(deps, actor, input.body)),
  bind(contract.listBehalf, () => listBehalf()),
  bind(contract.askToTakeOver, ({ deps, actor, input }) => askToTakeOver(deps, actor, input.params.id)),
  bind(contract.setAsideBehalf, ({ deps, actor, input }) => setAsideBehalf(deps, actor, input.params.id)),
  bind(contract.readTakenDown, ({ deps, input }) => readTakenDown(deps, input.params.token)),
  bind(contract.takeOverBehalf, async ({ deps, input, session }) => {
    const taken = await takeOverBehalf(deps, { token: input.params.token, ...input.body })
    session.set(taken.session)
    return { id: taken.id }
  }),
]
