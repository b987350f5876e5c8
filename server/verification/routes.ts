import * as contract from '#contract/verification'
import { bind } from '../platform/http/bind'
import { askRegister } from './channels/register'
import { decideClaim, undoDecision } from './decide'
import { comparePortrait, seeDocument, sendDocumentBack, unseeDocument } from './documents'
import { previewEnquiry, raiseEnquiry } from './raiseEnquiry'
import { readEnquiry, replyToEnquiry } from './reply'

export const verificationRoutes = [
  bind(contract.seeDocument, ({ deps, actor, input }) => seeDocument(deps, actor, input.params.id, input.body)),
  bind(contract.comparePortrait, ({ deps, actor, input }) => comparePortrait(deps, actor, input.params.id, input.body)),
  bind(contract.unseeDocument, ({ deps, actor, input }) => unseeDocument(deps, actor, input.params.id)),
  bind(contract.sendDocumentBack, ({ deps, actor, input }) =>
    sendDocumentBack(deps, actor, input.params.id, input.body),
  ),
  bind(contract.previewEnquiry, ({ deps, input }) => previewEnquiry(deps, input.params.id, input.query.applicationId)),
  bind(contract.raiseEnquiry, ({ deps, actor, input }) =>
    raiseEnquiry(deps, actor, input.params.id, input.body.applicationId),
  ),
  bind(
    contract.askRegister,
    ({ deps, actor, input }) => askRegister(deps, actor, input.params.id, input.body.applicationId),
    { transaction: false },
  ),
  bind(contract.decideClaim, ({ deps, actor, input }) => decideClaim(deps, actor, input.params.id, input.body)),
  bind(contract.undoDecision, ({ deps, actor, input }) => undoDecision(deps, actor, input.params.id)),
  bind(contract.readEnquiry, ({ deps, input }) => readEnquiry(deps, input.params.token)),
  bind(contract.replyToEnquiry, ({ deps, input }) => replyToEnquiry(deps, input.params.token, input.body)),
]
