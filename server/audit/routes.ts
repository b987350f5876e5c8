import * as contract from '#contract/audit'
import { readFingerprint } from '../platform/audit/fingerprint'
import { bind } from '../platform/http/bind'
import { candidateNames } from '../records/accounts/candidate'
import { readTrail } from './trail'
import { type Verification, verifyTrail } from './verify'

export const auditRoutes = [
  bind(contract.readTrail, ({ input }) => readTrail(input.query)),
  bind(contract.verifyTrail, async ({ input }) => withNames(await verifyTrail({ chain: input.body.candidateId })), {
    transaction: false,
  }),
  bind(
    contract.verifySince,
    async ({ input }) => withNames(await verifyTrail({ kept: readFingerprint(input.body as Buffer) })),
    { transaction: false },
  ),
]

async function withNames(found: Verification) {
  const names = await candidateNames(found.broken.map(({ chain }) => chain))
  return { ...found, broken: found.broken.map((link) => ({ ...link, person: names.get(link.chain) ?? null })) }
}
