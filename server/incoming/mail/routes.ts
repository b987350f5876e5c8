import * as contract from '#contract/incomingMails'
import { bind } from '../../platform/http/bind'
import { fileIncomingMail, readIncomingMails, readMailsAbout, settleIncomingMail } from './incomingMails'

export const incomingMailRoutes = [
  bind(contract.listIncomingMails, () => readIncomingMails()),
  bind(contract.readMailsAbout, ({ input }) => readMailsAbout(input.params.id)),
  bind(contract.settleIncomingMail, ({ deps, actor, input }) => settleIncomingMail(deps, actor, input.params.id)),
  bind(contract.fileIncomingMail, ({ deps, actor, input }) =>
    fileIncomingMail(deps, actor, input.params.id, input.body.reference),
  ),
]
