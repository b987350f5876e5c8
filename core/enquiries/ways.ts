import type { ClaimKind } from '../requirements/claimKind'
import { type Channel, type Contact, contactsFor } from '../sources/source'

/** One way of asking a source: by a channel and, but for a register, a contact. */
export type Way = { channel: AskedBy; contactId: string | null }

/** The ways that the desk takes; a credential is brought by its candidate. */
export const askedBy = ['register', 'link', 'letter', 'telephone', 'direct issue'] as const satisfies Channel[]
export type AskedBy = (typeof askedBy)[number]

/** What has to be known of a contact for a way. */
const reachedBy = {
  link: 'mail',
  letter: 'address',
  telephone: 'phone',
  'direct issue': 'mail',
} as const satisfies Record<Exclude<AskedBy, 'register'>, 'mail' | 'phone' | 'address'>

export const reachOf = (channel: Exclude<AskedBy, 'register'>) => reachedBy[channel]

/** Where a source says nothing of how it wants to be asked: what costs it least first. */
const usual: readonly AskedBy[] = ['link', 'letter', 'telephone']

type Source = { contacts: readonly Contact[]; channels: readonly Channel[]; register: string | null }
type Claim = { kind: ClaimKind; number: string }

/**
 * The ways a source can be asked about a claim, best first: in the order it prefers, each by the contact for just that before the
 * others. Whoever nobody has made sure of is no way, a way without what it takes is none, and a contact for disputes is asked by
 * nobody. A register answers for what bears a number.
 */
export function waysFor({ contacts, channels, register }: Source, { kind, number }: Claim): Way[] {
  const wanted = channels.filter((channel): channel is AskedBy => askedBy.some((one) => one === channel))
  const checked = contacts.filter((contact) => contact.checked)
  return (wanted.length > 0 ? wanted : usual).flatMap((channel): Way[] => {
    if (channel === 'register') return register && number ? [{ channel, contactId: null }] : []
    return contactsFor({ contacts: checked }, kind, reachedBy[channel]).map(({ id }) => ({ channel, contactId: id }))
  })
}

const same = (one: Way, other: Way) => one.channel === other.channel && one.contactId === other.contactId

/** The way to take after those that were tried; none where all were. A register that was silent is not a way any more. */
export const nextWay = (ways: readonly Way[], tried: readonly Way[]): Way | undefined =>
  ways.find((way) => !tried.some((one) => same(one, way)))
