import * as contract from '#contract/claims'
import { makeSourceSheet, readSourcePaper } from '#contract/coverSheets'
import * as documents from '#contract/documents'
import * as handling from '#contract/handling'
import { askAboutProgramme } from '#contract/programmes'
import { readDocument, readOriginalFile } from '../documents/readDocument'
import { bind, bindFile } from '../platform/http/bind'
import * as programmes from './askAboutProgramme'
import { setAsking } from './askingAbout'
import {
  addClaim,
  attachUpload,
  changeClaim,
  removeClaim,
  removeDocument,
  renewCredential,
  uploadDocument,
} from './change'
import { chooseHandling, listHandlings } from './handling'
import { orderClaims } from './order'
import * as sourcePapers from './sourcePapers'
import { stateAward } from './stateAward'

export const claimRoutes = [
  bind(contract.addClaim, ({ deps, actor, input }) => addClaim(deps, actor, input.body.details)),
  bind(contract.changeClaim, ({ deps, actor, input }) =>
    changeClaim(deps, actor, input.params.id, input.body.version, input.body.details),
  ),
  bind(contract.setAsking, ({ deps, actor, input }) => setAsking(deps, actor, input.params.id, input.body)),
  bind(handling.listHandlings, ({ deps, actor }) => listHandlings(deps, actor)),
  bind(handling.chooseHandling, ({ deps, actor, input }) => chooseHandling(deps, actor, input.params.id, input.body)),
  bind(contract.stateAward, ({ deps, actor, input }) => stateAward(deps, actor, input.params.id, input.body)),
  bind(askAboutProgramme, ({ deps, actor, input }) => programmes.askAboutProgramme(deps, actor, input.params.id)),
  bind(contract.orderClaims, ({ deps, actor, input }) => orderClaims(deps, actor, input.body.claims)),
  bind(contract.removeClaim, ({ deps, actor, input }) =>
    removeClaim(deps, actor, input.params.id, Number(input.query.version)),
  ),
  bind(contract.renewCredential, ({ deps, actor, input }) => renewCredential(deps, actor, input.params.id, input.body)),
  bind(
    documents.uploadDocument,
    ({ deps, actor, input }) => uploadDocument(deps, actor, input.params.id, input.query, input.body as Buffer),
    { transaction: false },
  ),
  bind(
    documents.attachUpload,
    ({ deps, actor, input }) => attachUpload(deps, actor, input.params.id, input.params.upload, input.body),
    { transaction: false },
  ),
  bind(makeSourceSheet, ({ deps, actor, input }) => sourcePapers.makeSourceSheet(deps, actor, input.params)),
  bindFile(readSourcePaper, ({ deps, actor, input }) =>
    sourcePapers.readSourcePaper(deps, actor, input.params, input.query.sheet),
  ),
  bindFile(documents.readDocument, ({ deps, actor, input }) => readDocument(deps, actor, input.params.id)),
  bindFile(documents.readOriginalFile, ({ deps, actor, input }) => readOriginalFile(deps, actor, input.params.id)),
  bind(documents.removeDocument, ({ deps, actor, input }) => removeDocument(deps, actor, input.params.id)),
]
