import * as contract from '#contract/messages'
import { bind } from '../platform/http/bind'
import { previewMessages, sendMessages } from './bulk'
import { letMessageBe, readOutbox } from './outbox'
import { readMessages, resendMessage } from './read'
import { listSentences, listTemplates, removeTemplate, saveSentences, saveTemplate } from './templates'

export const messageRoutes = [
  bind(contract.readMessages, ({ input }) => readMessages(input.params.id)),
  bind(contract.resendMessage, ({ deps, actor, input }) => resendMessage(deps, actor, input.params.id)),
  bind(contract.readOutbox, ({ deps, actor }) => readOutbox(deps, actor)),
  bind(contract.letMessageBe, ({ deps, actor, input }) => letMessageBe(deps, actor, input.params.id)),
  bind(contract.listTemplates, () => listTemplates()),
  bind(contract.saveTemplate, ({ deps, actor, input }) => saveTemplate(deps, actor, input.params.id, input.body)),
  bind(contract.removeTemplate, ({ deps, actor, input }) => removeTemplate(deps, actor, input.params.id)),
  bind(contract.previewMessages, ({ deps, input }) =>
    previewMessages(deps, input.body.written, input.body.applications),
  ),
  bind(contract.sendMessages, ({ deps, actor, input }) =>
    sendMessages(deps, actor, input.body.written, input.body.applications, input.body.alsoByText),
  ),
  bind(contract.listSentences, () => listSentences()),
  bind(contract.saveSentences, ({ deps, actor, input }) => saveSentences(deps, actor, input.params.about, input.body)),
]
