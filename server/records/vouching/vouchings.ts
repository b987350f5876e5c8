import { rowsOf } from '../../platform/database/rows'
import { Vouching } from './model'

/** Those named for applications, in the order they were named, without those called off. */
export const vouchingsOf = (applicationId: string[]): Promise<Vouching[]> =>
  rowsOf(Vouching, { applicationId, state: ['asked', 'done'] }, ['askedAt', 'id'])

const line = ({ id, name, relation, state, askedAt, doneAt }: Vouching) => ({
  id,
  name,
  relation,
  state,
  askedAt: askedAt.toISOString(),
  doneAt: doneAt?.toISOString() ?? null,
})

/** As the candidate sees it: what to hand over, and never what was said. */
export const ownVouching = (vouching: Vouching) => ({
  ...line(vouching),
  mail: vouching.mail,
  reference: vouching.reference,
  code: vouching.code,
})

export const readVouchingLine = (vouching: Vouching) => ({ ...line(vouching), answer: vouching.answer ?? null })

/** How many were named and how many stand by the candidate; a no counts as said, not as vouched. */
export const vouchingFacts = (vouchings: readonly Vouching[]) => ({
  asked: vouchings.filter(({ state, answer }) => state === 'asked' || answer?.trust !== 'no').length,
  done: vouchings.filter(({ state, answer }) => state === 'done' && answer?.trust !== 'no').length,
})
