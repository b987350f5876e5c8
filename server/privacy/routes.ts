import * as contract from '#contract/privacy'
import { accountWithPassword } from '../accounts/lookAfter'
import { withPassword } from '../accounts/withPassword'
import type { Account } from '../platform/deps'
import { bind, bindFile } from '../platform/http/bind'
import { readSights, reveal } from './accessLog'
import { eraseAtWish, eraseMe } from './erase'
import { takeData } from './exportPersonalData'
import { readKeeping } from './keeping'

export const privacyRoutes = [
  bind(contract.reveal, ({ deps, actor, input }) => reveal(deps, actor as Account, input.params.id, input.body)),
  bind(contract.readSights, ({ input }) => readSights(input.params.candidateId, input.query.before)),
  bind(contract.readKeeping, ({ deps, actor }) => readKeeping(deps, actor as Account)),
  bindFile(contract.takeData, ({ deps, actor }) => takeData(deps, actor as Account)),
  withPassword(contract.eraseMe, async ({ deps, actor, input, session }) => {
    await accountWithPassword(actor as Account, input.body.password)
    const erased = await eraseMe(deps, actor as Account)
    session.set(undefined)
    return erased
  }),
  bind(contract.erasePerson, async ({ deps, actor, input }) => {
    await eraseAtWish(deps, actor, input.params.candidateId)
    return { done: true as const }
  }),
]
