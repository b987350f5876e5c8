import * as contract from '#contract/enquiries'
import * as letters from '#contract/letters'
import * as reply from '#contract/reply'
import * as texts from '#contract/sourceTexts'
import { bind, bindFile } from '../platform/http/bind'
import { approveCost, escalateEnquiry, logCall, remindEnquiries, withdrawEnquiry } from './acts'
import { checkReply, enterReply } from './answer'
import { checkForward, forwardEnquiry } from './forward'
import { listLetters, markPrinted, readLetters } from './letters'
import { listSourceTexts, resetSourceText, saveSourceText } from './ownTexts'
import { listEnquiries } from './queue'
import { planEnquiries, previewEnquiry, raiseEnquiries, raiseEnquiry } from './raise'
import { readEnquiryAtDesk, readEnquiryPaper } from './read'
import { readReceipt } from './receipt'
import { askRegister } from './register'
import { declineEnquiry, readEnquiry, replyToEnquiry, saveReplyDraft, uploadReplyPaper } from './reply'
import { listToAsk } from './toAsk'

export const enquiryRoutes = [
  bind(contract.previewEnquiry, ({ deps, input: { params, query } }) =>
    previewEnquiry(deps, params.id, query.applicationId, {
      ...query,
      faster: query.faster && query.faster === 'yes',
    }),
  ),
  bind(contract.raiseEnquiry, ({ deps, actor, input: { params, body } }) =>
    raiseEnquiry(deps, actor, params.id, body.applicationId, body),
  ),
  bind(contract.planEnquiries, ({ deps, input }) => planEnquiries(deps, input.body.items)),
  bind(contract.raiseEnquiries, ({ deps, actor, input }) => raiseEnquiries(deps, actor, input.body.items)),
  bind(contract.listToAsk, ({ deps, actor, input }) => listToAsk(deps, actor, input.query)),
  bind(
    contract.askRegister,
    ({ deps, actor, input }) => askRegister(deps, actor, input.params.id, input.body.applicationId),
    { transaction: false },
  ),
  bind(contract.listEnquiries, ({ deps, actor, input }) => listEnquiries(deps, actor, input.query)),
  bind(contract.readEnquiryAtDesk, ({ deps, actor, input }) => readEnquiryAtDesk(deps, actor, input.params.id)),
  bindFile(contract.readEnquiryPaper, ({ input }) => readEnquiryPaper(input.params.id)),
  bind(contract.enterReply, ({ deps, actor, input }) => enterReply(deps, actor, input.params.id, input.body)),
  bind(contract.checkReply, ({ deps, actor, input }) => checkReply(deps, actor, input.params.id, input.body)),
  bind(contract.logCall, ({ deps, actor, input }) => logCall(deps, actor, input.params.id, input.body)),
  bind(contract.remindEnquiries, ({ deps, actor, input }) => remindEnquiries(deps, actor, input.body.ids)),
  bind(contract.escalateEnquiry, ({ deps, actor, input }) => escalateEnquiry(deps, actor, input.params.id, input.body)),
  bind(contract.withdrawEnquiry, ({ deps, actor, input }) =>
    withdrawEnquiry(deps, actor, input.params.id, input.body.version),
  ),
  bind(contract.approveCost, ({ deps, actor, input }) => approveCost(deps, actor, input.params.id, input.body.version)),
  bind(texts.listSourceTexts, () => listSourceTexts()),
  bind(texts.saveSourceText, ({ deps, actor, input }) => saveSourceText(deps, actor, input.params, input.body)),
  bind(texts.resetSourceText, ({ deps, actor, input }) => resetSourceText(deps, actor, input.params)),
  bind(letters.listLetters, ({ deps, actor }) => listLetters(deps, actor)),
  bindFile(letters.readLetters, ({ deps, actor, input }) => readLetters(deps, actor, input.query.batchIds.split(','))),
  bind(letters.markPrinted, ({ deps, actor, input }) => markPrinted(deps, actor, input.body.batchIds)),
  bind(contract.checkForward, ({ deps, actor, input }) =>
    checkForward(deps, actor, input.params.id, input.params.forward, input.body.send),
  ),
  bind(reply.readEnquiry, ({ deps, input }) => readEnquiry(deps, input.params.token, input.query.part)),
  bind(reply.saveReplyDraft, ({ deps, input }) => saveReplyDraft(deps, input.params.token, input.body)),
  bind(reply.replyToEnquiry, ({ deps, input }) =>
    replyToEnquiry(deps, input.params.token, input.body, input.query.part),
  ),
  bind(reply.declineEnquiry, ({ deps, input }) => declineEnquiry(deps, input.params.token, input.body)),
  bind(reply.forwardEnquiry, ({ deps, input }) => forwardEnquiry(deps, input.params.token, input.body)),
  bind(
    reply.uploadReplyPaper,
    ({ deps, input }) => uploadReplyPaper(deps, input.params.token, input.query, input.body as Buffer),
    { transaction: false },
  ),
  bindFile(reply.readReceipt, ({ deps, input }) => readReceipt(deps, input.params.token, input.params.receipt)),
]
