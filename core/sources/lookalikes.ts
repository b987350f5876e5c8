import { phoneKey } from '../comparison/keys'
import { editDistance } from '../comparison/measures'
import type { SourceKind } from './source'
import { spellingKey } from './spelling'

/**
 * What is odd about how a source is said to be reached. None refuses anything; each has to be looked at by a person, who
 * makes sure of the contact by another way.
 */
export type ContactFlag =
  | { code: 'near-domain'; domain: string; known: string; source: string }
  | { code: 'other-ending'; domain: string; known: string; source: string }
  | { code: 'free-mail'; domain: string }
  | { code: 'own-mail'; mail: string }
  | { code: 'own-domain'; domain: string }
  | { code: 'own-phone'; phone: string }
  | { code: 'said-by-candidate'; value: string }

export type KnownDomain = { domain: string; source: string }
export type OwnContacts = { mails: readonly string[]; phones: readonly string[] }

const institutions: readonly SourceKind[] = [
  'university',
  'school',
  'licensing body',
  'certifier',
  'insurer',
  'employer',
]

export const domainOf = (mail: string): string => mail.trim().toLowerCase().split('@')[1] ?? ''

/** Characters that are taken for one another when an address is read (a selection of Unicode TR 39, Latin). */
const skeleton = (label: string): string =>
  label
    .replace(/rn/g, 'm')
    .replace(/vv/g, 'w')
    .replace(/cl/g, 'd')
    .replace(/0/g, 'o')
    .replace(/[1|]/g, 'l')
    .replace(/i/g, 'l')
    .replace(/5/g, 's')

const parts = (domain: string) => {
  const labels = domain.split('.')
  return { label: labels.slice(0, -1).join('.'), ending: labels.at(-1) ?? '' }
}

/** How a domain only looks like one that is known, if it does. */
function looksLike(domain: string, known: string): 'near-domain' | 'other-ending' | undefined {
  const [one, other] = [parts(domain), parts(known)]
  if (one.label === '' || other.label === '') return undefined
  if (one.label === other.label) return one.ending === other.ending ? undefined : 'other-ending'
  // Short names are near to many.
  if (Math.min(one.label.length, other.label.length) < 4) return undefined
  const same = skeleton(one.label) === skeleton(other.label) || spellingKey(one.label) === spellingKey(other.label)
  return same || editDistance(one.label, other.label) === 1 ? 'near-domain' : undefined
}

/** By what a domain is found among those it could be taken for; whatever `looksLike` finds shares one with it. */
export function domainKeys(domain: string): string[] {
  const { label } = parts(domain)
  if (label === '') return []
  const shorter = Array.from(label, (_, at) => `d${label.slice(0, at)}${label.slice(at + 1)}`)
  return [...new Set([`d${label}`, ...shorter, `s${skeleton(label)}`, `p${spellingKey(label)}`])]
}

/**
 * The red flags of one contact.
 *
 * @param contact mail and telephone as they are given, empty where not known
 * @param kind of the source; a person may well have a free address, an institution has not
 * @param known domains of sources that are checked
 * @param own how the candidates whose claims name the source are reached themselves
 * @param freeMail domains at which anybody gets an address
 */
export function contactFlags(
  { mail, phone }: { mail: string; phone: string },
  kind: SourceKind,
  known: readonly KnownDomain[],
  own: OwnContacts,
  freeMail: ReadonlySet<string>,
): ContactFlag[] {
  const domain = domainOf(mail)
  const flags: ContactFlag[] = []
  const free = freeMail.has(domain)
  if (domain && !known.some((one) => one.domain === domain)) {
    const like = known
      .map((one) => ({ ...one, code: looksLike(domain, one.domain) }))
      .find(({ code }) => code !== undefined)
    if (like) flags.push({ code: like.code!, domain, known: like.domain, source: like.source })
  }
  if (free && institutions.includes(kind)) flags.push({ code: 'free-mail', domain })
  if (mail && own.mails.some((one) => one.trim().toLowerCase() === mail.trim().toLowerCase()))
    flags.push({ code: 'own-mail', mail })
  else if (domain && !free && own.mails.some((one) => domainOf(one) === domain))
    flags.push({ code: 'own-domain', domain })
  const number = phoneKey(phone)
  if (number.length >= 6 && own.phones.some((one) => phoneKey(one) === number)) flags.push({ code: 'own-phone', phone })
  return flags
}
