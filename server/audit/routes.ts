import * as contract from '#contract/audit'
import { candidateNames } from '../accounts/candidate'
import { bind } from '../http/bind'
import { readTrail } from './trail'
import { verifyTrail } from './verify'

export const auditRoutes = [
  bind(contract.readTrail, ({ input }) => readTrail(input.query)),
  bind(
    contract.verifyTrail,
    async ({ input }) => {
      const found = await verifyTrail(input.body.candidateId)
      const names = await candidateNames(found.broken.map(({ chain }) => chain))
      return { ...found, broken: found.broken.map((link) => ({ ...link, person: names.get(link.chain) ?? null })) }
    },
    { transaction: false },
  ),
]
