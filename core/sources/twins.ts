import { domainOf, telephoneKey } from './lookalikes'
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
const fit = (one: SourceKind, other: SourceKind) => one === other || (schools.includes(one) && schools.includes(other))

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
  if (!fit(one.kind, other.kind)) return undefined
  const [there] = rankSources(one.name, [other])
  const [back] = rankSources(other.name, [one])
  const hit = there && back && there.score > back.score ? there : (back ?? there)
  const hitName = hit && hit.why.by !== 'initials' ? hit : undefined
  // A name that answers in one direction only is a part of the other.
  const score = there && back && hitName ? Math.max(there.score, back.score) : 0
  const abroad = one.country !== '' && other.country !== '' && one.country !== other.country
  const name = score - (abroad ? 0.12 : 0)
  const values = (of: (contact: ContactGiven) => string) =>
    one.contacts.map(of).filter((value) => value !== '' && other.contacts.some((contact) => of(contact) === value))
  const domains = values(({ mail }) => domainOf(mail)).filter((domain) => !freeMail.has(domain))
  const phones = values(({ phone }) => telephoneKey(phone)).filter(({ length }) => length >= 6)
  const reasons: TwinReason[] = [
    ...(name >= likely && there
      ? [{ code: 'name' as const, one: back?.why.name ?? one.name, other: there.why.name }]
      : []),
    ...domains.slice(0, 1).map((value) => ({ code: 'domain' as const, value })),
    ...phones.slice(0, 1).map((value) => ({ code: 'phone' as const, value })),
  ]
  if (reasons.length === 0) return undefined
  return { score: Math.max(name, reasons.length > 0 && reasons[0]!.code !== 'name' ? likely : 0), reasons }
}
