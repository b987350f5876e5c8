import * as contract from '#contract/desk'
import * as lists from '#contract/lists'
import { countIncomingMails } from '../incoming/mail/incomingMails'
import { countRefused } from '../messages/outbox'
import { bind, bindFile } from '../platform/http/bind'
import { listViews, removeView, saveView } from '../records/views/views'
import { exportList } from './exportList'
import { readFile, readProof } from './file'
import { readCounts, readQueue } from './queue'
import { find } from './search'
import { readTable } from './table'

export const deskRoutes = [
  bind(contract.readQueue, ({ input }) => readQueue(input.params.queue, input.query)),
  bind(contract.readCounts, async ({ deps }) => ({
    counts: await readCounts(),
    refusedMails: await countRefused(),
    incomingMails: await countIncomingMails(),
    today: deps.clock.today().toString(),
  })),
  bind(contract.find, ({ deps, actor, input }) => find(deps, actor, input.query.text.trim())),
  bind(lists.readTable, ({ deps, input }) => readTable(deps.config.timeZone, input.query)),
  bindFile(lists.exportList, ({ deps, actor, input }) => exportList(deps, actor, input.params.list, input.query)),
  bind(lists.listViews, ({ actor }) => listViews(actor)),
  bind(lists.saveView, ({ deps, actor, input }) => saveView(deps, actor, input.body)),
  bind(lists.removeView, ({ actor, input }) => removeView(actor, input.params.id)),
  bind(contract.readFile, ({ deps, actor, input }) => readFile(deps, actor, input.params.id)),
  bind(contract.readProof, ({ deps, actor, input }) => readProof(deps, actor, input.params.id, input.params.claimId)),
]
