import * as contract from '#contract/recipients'
import { accountWithPassword } from '../accounts/lookAfter'
import { withPassword } from '../accounts/withPassword'
import { bind, bindFile } from '../platform/http/bind'
import { chooseRecipients, listChosen } from './choose'
import { listOwnRecipients, listRecipients, readOwnPermission, readPermission } from './list'
import { addPaper, notePermission, permitRecipient } from './permit'
import { sendOwnRecord, sendRecord } from './send'
import { openShared, readShared } from './shared'
import { endPermission, takeBackOwnRecord, takeBackRecord, withdrawRecipient } from './takeBack'

export const recipientRoutes = [
  bind(contract.listOwnRecipients, ({ deps, actor }) => listOwnRecipients(deps, actor)),
  withPassword(contract.permitRecipient, async ({ deps, actor, input }) => {
    const { password, agreed, ...wish } = input.body
    await accountWithPassword(actor, password)
    return permitRecipient(deps, actor, wish)
  }),
  bind(contract.listChosenRecipients, ({ deps, actor, input }) => listChosen(deps, actor, input.params.id)),
  withPassword(contract.chooseRecipients, async ({ deps, actor, input }) => {
    const { password, agreed, ...choice } = input.body
    await accountWithPassword(actor, password)
    return chooseRecipients(deps, actor, input.params.id, choice)
  }),
  bind(contract.sendOwnRecord, ({ deps, actor, input }) => sendOwnRecord(deps, actor, input.params.id, input.body)),
  bind(contract.withdrawRecipient, ({ deps, actor, input }) => withdrawRecipient(deps, actor, input.params.id)),
  bind(contract.takeBackOwnRecord, ({ deps, actor, input }) => takeBackOwnRecord(deps, actor, input.params.id)),
  bindFile(contract.readOwnRecipientPermission, ({ deps, actor, input }) =>
    readOwnPermission(deps, actor, input.params.id),
  ),
  bind(contract.listRecipients, ({ deps, actor, input }) => listRecipients(deps, actor, input.params.id)),
  bind(contract.noteRecipientPermission, ({ deps, actor, input }) =>
    notePermission(deps, actor, input.params.id, input.body),
  ),
  bind(contract.addRecipientPaper, ({ deps, input }) => addPaper(deps, input.params, input.body as Buffer), {
    transaction: false,
  }),
  bind(contract.sendRecord, ({ deps, actor, input }) => sendRecord(deps, actor, input.params, input.body)),
  bind(contract.endRecipientPermission, ({ deps, actor, input }) =>
    endPermission(deps, actor, input.params, input.body),
  ),
  bind(contract.takeBackRecord, ({ deps, actor, input }) => takeBackRecord(deps, actor, input.params, input.body)),
  bindFile(contract.readRecipientPermission, ({ deps, actor, input }) => readPermission(deps, actor, input.params)),
  bind(contract.openSharedRecord, ({ deps, actor, input }) => openShared(deps, actor, input.params.token), {
    transaction: true,
  }),
  bindFile(contract.readSharedRecord, ({ deps, input }) => readShared(deps, input.params)),
]
