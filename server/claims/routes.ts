import * as contract from '#contract/claims'
import type { Account } from '../deps'
import { documentLine } from '../documents/documents'
import { bind } from '../http/bind'
import { addClaim, changeClaim, removeClaim, removeDocument, renewCredential, uploadDocument } from './change'

export const claimRoutes = [
  bind(contract.addClaim, ({ deps, actor, input }) => addClaim(deps, actor as Account, input.body.details)),
  bind(contract.changeClaim, ({ deps, actor, input }) =>
    changeClaim(deps, actor as Account, input.params.id, input.body.version, input.body.details),
  ),
  bind(contract.removeClaim, ({ deps, actor, input }) =>
    removeClaim(deps, actor as Account, input.params.id, Number(input.query.version)),
  ),
  bind(contract.renewCredential, ({ deps, actor, input }) =>
    renewCredential(deps, actor as Account, input.params.id, input.body),
  ),
  bind(contract.uploadDocument, async ({ deps, actor, input }) =>
    documentLine(
      await uploadDocument(deps, actor as Account, input.params.id, input.query.fileName, input.body as Buffer),
    ),
  ),
  bind(contract.removeDocument, ({ deps, actor, input }) => removeDocument(deps, actor as Account, input.params.id)),
]
