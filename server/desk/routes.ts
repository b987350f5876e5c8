import * as contract from '#contract/desk'
import * as lists from '#contract/lists'
import { countFeesToDo } from '../fees/queue'
import { countIncomingMails } from '../incoming/mail/incomingMails'
import { countRefused } from '../messages/outbox'
import { bind, bindFile } from '../platform/http/bind'
import { listViews, removeView, saveView } from '../records/views/views'
import { countOpenFlags } from '../redFlags/queue'
import { exportList } from './exportList'
import { readFile, readProof } from './file'
import { listNames, sayOpen, setOwner, watchFile } from './ownership'
import { readCounts, readQueue } from './queue'
import { find } from './search'
import { readTable } from './table'

export const deskRoutes = [
  bind(contract.readQueue, ({ deps, actor, input }) => readQueue(deps, actor, input.params.queue, input.query)),
  bind(contract.readCounts, async ({ deps, actor }) => ({
    counts: await readCounts(deps, actor),
    refusedMails: await countRefused(),
    incomingMails: await countIncomingMails(),
    redFlags: await countOpenFlags(deps),
    fees: actor.rights.includes('money.see') ? await countFeesToDo(deps, actor) : 0,
    today: deps.clock.today().toString(),
  })),
  bind(contract.find, ({ deps, actor, input }) => find(deps, actor, input.query.text.trim())),
  bind(lists.readTable, ({ deps, actor, input }) => readTable(deps, actor, input.query)),
  bindFile(lists.exportList, ({ deps, actor, input }) => exportList(deps, actor, input.params.list, input.query)),
  bind(lists.listViews, ({ actor }) => listViews(actor)),
  bind(lists.saveView, ({ deps, actor, input }) => saveView(deps, actor, input.body)),
  bind(lists.removeView, ({ actor, input }) => removeView(actor, input.params.id)),
  bind(contract.readFile, ({ deps, actor, input }) => readFile(deps, actor, input.params.id)),
  bind(contract.readProof, ({ deps, actor, input }) => readProof(deps, actor, input.params.id, input.params.claimId)),
  bind(contract.setOwner, ({ deps, actor, input }) => setOwner(deps, actor, input.params.id, input.body)),
  bind(contract.watchFile, ({ actor, input }) => watchFile(actor, input.params.id, input.body.watching)),
  bind(contract.sayOpen, ({ actor, input }) => sayOpen(actor, input.params.id, input.body.place)),
  bind(contract.listNames, async () => ({ colleagues: await listNames() })),
]
