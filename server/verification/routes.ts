import * as contract from '#contract/verification'
import { bind } from '../platform/http/bind'
import { decideClaim, undoDecision } from './decide'
import { comparePortrait, seeDocument, sendDocumentBack, unseeDocument } from './documents'

export const verificationRoutes = [
  bind(contract.seeDocument, ({ deps, actor, input }) => seeDocument(deps, actor, input.params.id, input.body)),
  bind(contract.comparePortrait, ({ deps, actor, input }) => comparePortrait(deps, actor, input.params.id, input.body)),
  bind(contract.unseeDocument, ({ deps, actor, input }) => unseeDocument(deps, actor, input.params.id)),
  bind(contract.sendDocumentBack, ({ deps, actor, input }) =>
    sendDocumentBack(deps, actor, input.params.id, input.body),
  ),
  bind(contract.decideClaim, ({ deps, actor, input }) => decideClaim(deps, actor, input.params.id, input.body)),
  bind(contract.undoDecision, ({ deps, actor, input }) => undoDecision(deps, actor, input.params.id)),
]
