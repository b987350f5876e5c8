import { namePartsOf } from '../comparison/keys'
import { domainOf } from '../sources/lookalikes'
import type { Contact } from '../sources/source'

/**
 * Whether an address speaks for a source: it is that of a contact somebody has made sure of, or lies within the same domain. A
 * domain where anybody can have an address speaks for nobody.
 *
 * @param free the domains where anybody can have an address
 */
export function speaksFor(
  mail: string,
  contacts: readonly Pick<Contact, 'mail' | 'checked'>[],
  free: ReadonlySet<string>,
): boolean {
  const address = mail.trim().toLowerCase()
  const domain = domainOf(address)
  if (domain === '') return false
  return contacts
    .filter(({ checked, mail: known }) => checked && known !== '')
    .some(({ mail: known }) => known.toLowerCase() === address || (domainOf(known) === domain && !free.has(domain)))
}

/** Whether a text speaks of a person: every part of their name stands in it, in any order and spelling. */
export function speaksOf(text: string, name: string): boolean {
  const parts = new Set(namePartsOf(text))
  const own = namePartsOf(name)
  return own.length > 0 && own.every((part) => parts.has(part))
}
