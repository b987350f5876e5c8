import { phoneKey } from '../comparison/keys'
import { domainOf } from './lookalikes'
import { type Named, rankSources } from './rank'
import type { ContactGiven, SourceKind } from './source'

export type TwinFacts = Named & {
  id: string
  kind: SourceKind
  country: string
  contacts: readonly ContactGiven[]
}
export type TwinReason = { code: 'name'; one: string; other: string } | { code: 'domain' | 'phone'; value: string }

const likely = 0.84
const schools: readonly SourceKind[] = ['university', 'school']
const alike = (one: SourceKind, other: SourceKind) =>
  one === other || (schools.includes(one) && schools.includes(other))

/**
 * Whether two entries may be of one source: names that answer each other, in the same country; or one telephone or domain.
 *
 * @param freeMail domains that tell nobody apart
 * @returns 0 to 1, with what speaks for it; nothing where they are two
 */
export function twinOf(
  one: TwinFacts,
  other: TwinFacts,
  freeMail: ReadonlySet<string>,
): { score: number; reasons: TwinReason[] } | undefined {
  if (!alike(one.kind, other.kind)) return undefined
  const [there] = rankSources(one.name, [other])
  const [back] = rankSources(other.name, [one])
  const abroad = one.country !== '' && other.country !== '' && one.country !== other.country
  // A name that answers in one direction only is a part of the other; initials are those of many.
  const both = there && back && there.why.by !== 'initials' && back.why.by !== 'initials'
  const name = both ? Math.max(there.score, back.score) - (abroad ? 0.12 : 0) : 0
  const shared = (of: (contact: ContactGiven) => string) =>
    one.contacts.map(of).find((value) => value !== '' && other.contacts.some((contact) => of(contact) === value))
  const domain = shared(({ mail }) => (freeMail.has(domainOf(mail)) ? '' : domainOf(mail)))
  const phone = shared(({ phone: number }) => (phoneKey(number).length < 6 ? '' : phoneKey(number)))
  const reasons: TwinReason[] = [
    ...(both && name >= likely ? [{ code: 'name' as const, one: back.why.name, other: there.why.name }] : []),
    ...(domain ? [{ code: 'domain' as const, value: domain }] : []),
    ...(phone ? [{ code: 'phone' as const, value: phone }] : []),
  ]
  return reasons.length === 0 ? undefined : { score: Math.max(name, domain || phone ? likely : 0), reasons }
}
