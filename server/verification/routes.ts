import * as reviews from '#contract/reviews'
import * as unfinished from '#contract/unfinished'
import * as contract from '#contract/verification'
import { bind } from '../platform/http/bind'
import { decideClaim, undoDecision } from './decide'
import { comparePortrait, seeDocument, sendDocumentBack, unseeDocument } from './documents'
import { listMyHearings } from './hearings'
import { readByMachine } from './reading'
import { answerHearing, concludeReview, giveView, withdrawReview } from './reviews'
import { keepUnfinished, readUnfinished } from './unfinished'

export const verificationRoutes = [
  bind(unfinished.readUnfinishedDocument, ({ actor, input }) => readUnfinished(actor, input.params.id)),
  bind(unfinished.keepUnfinishedDocument, ({ actor, input }) =>
    keepUnfinished(actor, input.params.id, input.body.value),
  ),
  bind(unfinished.readUnfinishedClaim, ({ actor, input }) => readUnfinished(actor, input.params.id)),
  bind(unfinished.keepUnfinishedClaim, ({ actor, input }) => keepUnfinished(actor, input.params.id, input.body.value)),
  bind(reviews.giveView, ({ deps, actor, input }) => giveView(deps, actor, input.params.id, input.body)),
  bind(reviews.withdrawReview, ({ deps, actor, input }) => withdrawReview(deps, actor, input.params.id)),
  bind(reviews.concludeReview, ({ deps, actor, input }) => concludeReview(deps, actor, input.params.id, input.body)),
  bind(reviews.listMyHearings, ({ deps, actor }) => listMyHearings(deps, actor)),
  bind(reviews.answerHearing, ({ deps, actor, input }) => answerHearing(deps, actor, input.params.id, input.body)),
  bind(contract.readByMachine, ({ deps, input }) => readByMachine(deps, input.params.id)),
  bind(contract.seeDocument, ({ deps, actor, input }) => seeDocument(deps, actor, input.params.id, input.body)),
  bind(contract.comparePortrait, ({ deps, actor, input }) => comparePortrait(deps, actor, input.params.id, input.body)),
  bind(contract.unseeDocument, ({ deps, actor, input }) => unseeDocument(deps, actor, input.params.id)),
  bind(contract.sendDocumentBack, ({ deps, actor, input }) =>
    sendDocumentBack(deps, actor, input.params.id, input.body),
  ),
  bind(contract.decideClaim, ({ deps, actor, input }) => decideClaim(deps, actor, input.params.id, input.body)),
  bind(contract.undoDecision, ({ deps, actor, input }) => undoDecision(deps, actor, input.params.id)),
]
