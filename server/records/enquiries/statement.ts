import type { ClaimDetails } from '#contract/claims'
import type { FieldReply } from '#contract/reply'
import type { Statement } from '#core/comparison/compareClaim'
import { kindOf } from '../claims/kinds'

export type Person = { name: string; born: string | null }

/** What a person claims, as the values that are compared with document and reply. */
export function claimedStatement(details: ClaimDetails, person: Person): Record<string, string> {
  const common = { name: person.name, ...(person.born ? { born: person.born } : {}) }
  const fields = { ...common, ...kindOf(details).statement(details) }
  return Object.fromEntries(Object.entries(fields).filter(([, value]) => value !== ''))
}

/** What a source said, as values: agreeing repeats what was claimed. */
export function repliedStatement(
  claimed: Readonly<Record<string, string>>,
  fields: Readonly<Record<string, FieldReply>>,
): Statement {
  return Object.fromEntries(
    Object.entries(fields).map(([key, reply]) => {
      if (reply.says === 'agrees') return [key, claimed[key]]
      return [key, reply.says === 'differs' ? reply.value : { cannotSay: true as const }]
    }),
  )
}
