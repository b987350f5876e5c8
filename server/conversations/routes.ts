import * as contract from '#contract/conversations'
import { bind } from '../platform/http/bind'
import { answerConversation, closeConversation, reopenConversation } from './answer'
import { askAboutClaim, startConversation, writeInConversation } from './ask'
import { listConversations, listMyConversations } from './read'

export const conversationRoutes = [
  bind(contract.listMyConversations, ({ actor, input }) => listMyConversations(actor, input.params.id)),
  bind(contract.startConversation, ({ deps, actor, input }) =>
    startConversation(deps, actor, input.params.id, input.body),
  ),
  bind(contract.writeInConversation, ({ deps, actor, input }) =>
    writeInConversation(deps, actor, input.params.id, input.body.text),
  ),
  bind(contract.askAboutClaim, ({ deps, actor, input }) =>
    askAboutClaim(deps, actor, input.params.id, input.params.claimId, input.body.text),
  ),
  bind(contract.listConversations, ({ input }) => listConversations(input.params.id)),
  bind(contract.answerConversation, ({ deps, actor, input }) =>
    answerConversation(deps, actor, input.params.id, input.body),
  ),
  bind(contract.closeConversation, ({ deps, actor, input }) =>
    closeConversation(deps, actor, input.params.id, input.body.version),
  ),
  bind(contract.reopenConversation, ({ deps, actor, input }) =>
    reopenConversation(deps, actor, input.params.id, input.body.version),
  ),
]
