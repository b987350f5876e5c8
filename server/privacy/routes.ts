import * as contract from '#contract/privacy'
import { accountWithPassword } from '../accounts/lookAfter'
import { withPassword } from '../accounts/withPassword'
import { bind, bindFile } from '../platform/http/bind'
import { readAccessLog, reveal } from './accessLog'
import { discardDocument } from './discardDocument'
import { eraseMe, requestErasure } from './erase'
import { exportPersonalData } from './exportPersonalData'
import { readKeeping } from './keeping'

export const privacyRoutes = [
  bind(contract.reveal, ({ deps, actor, input }) => reveal(deps, actor, input.params.id, input.body)),
  bind(contract.readAccessLog, ({ input }) => readAccessLog(input.params.candidateId, input.query.before)),
  bind(contract.readKeeping, ({ deps, actor }) => readKeeping(deps, actor)),
  bindFile(contract.exportPersonalData, ({ deps, actor }) => exportPersonalData(deps, actor)),
  withPassword(contract.eraseMe, async ({ deps, actor, input, session }) => {
    await accountWithPassword(actor, input.body.password)
    const erased = await eraseMe(deps, actor)
    session.set(undefined)
    return erased
  }),
  bind(contract.discardDocument, ({ deps, actor, input }) => discardDocument(deps, actor, input.params.id, input.body)),
  bind(contract.erasePerson, async ({ deps, actor, input }) => {
    await requestErasure(deps, actor, input.params.candidateId)
    return { done: true as const }
  }),
]
