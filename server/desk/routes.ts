import * as contract from '#contract/desk'
import type { Account } from '../deps'
import { bind } from '../http/bind'
import { readFile } from './file'
import { find } from './find'
import { readCounts, readQueue } from './queue'

export const deskRoutes = [
  bind(contract.readQueue, ({ input }) => readQueue(input.params.queue, input.query)),
  bind(contract.readCounts, async ({ deps }) => ({ counts: await readCounts(), today: deps.clock.today().toString() })),
  bind(contract.find, ({ input }) => find(input.query.text.trim())),
  bind(contract.readFile, ({ deps, actor, input }) => readFile(deps, actor as Account, input.params.id)),
]
