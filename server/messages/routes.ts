import * as contract from '#contract/messages'
import * as notices from '#contract/notices'
import { bind } from '../platform/http/bind'
import { previewMessages, sendMessages } from './bulk'
import { stopGeneralMail } from './generalMail'
import { confirmPhone, readNoticeChoice, readNoticesOf, removePhone, saveNoticeChoice, sendPhoneCode } from './notices'
import { letMessageBe, readOutbox } from './outbox'
import { readMessages, resendMessage } from './read'
import { listSentences, listTemplates, removeTemplate, saveSentences, saveTemplate } from './templates'

export const messageRoutes = [
  bind(notices.readNoticeChoice, ({ actor }) => readNoticeChoice(actor)),
  bind(notices.saveNoticeChoice, ({ deps, actor, input }) => saveNoticeChoice(deps, actor, input.body)),
  // What is counted stays counted, also where the rest is refused.
  bind(notices.sendPhoneCode, ({ deps, actor, input }) => sendPhoneCode(deps, actor, input.body.phone), {
    transaction: false,
  }),
  bind(notices.confirmPhone, ({ deps, actor, input }) => confirmPhone(deps, actor, input.body.code), {
    transaction: false,
  }),
  bind(notices.removePhone, ({ deps, actor }) => removePhone(deps, actor)),
  bind(notices.stopGeneralMail, ({ deps, input }) => stopGeneralMail(deps, input.params.token)),
  bind(notices.readNoticesOf, ({ input }) => readNoticesOf(input.params.id)),
  bind(contract.readMessages, ({ input }) => readMessages(input.params.id)),
  bind(contract.resendMessage, ({ deps, actor, input }) => resendMessage(deps, actor, input.params.id)),
  bind(contract.readOutbox, ({ deps, actor }) => readOutbox(deps, actor)),
  bind(contract.letMessageBe, ({ deps, actor, input }) => letMessageBe(deps, actor, input.params.id)),
  bind(contract.listTemplates, () => listTemplates()),
  bind(contract.saveTemplate, ({ deps, actor, input }) => saveTemplate(deps, actor, input.params.id, input.body)),
  bind(contract.removeTemplate, ({ deps, actor, input }) => removeTemplate(deps, actor, input.params.id)),
  bind(contract.previewMessages, ({ deps, input }) =>
    previewMessages(deps, input.body.written, input.body.applications, input.body.general),
  ),
  bind(contract.sendMessages, ({ deps, actor, input }) =>
    sendMessages(deps, actor, input.body.written, input.body.applications, input.body),
  ),
  bind(contract.listSentences, () => listSentences()),
  bind(contract.saveSentences, ({ deps, actor, input }) => saveSentences(deps, actor, input.params.about, input.body)),
]
