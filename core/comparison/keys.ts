import anyAscii from 'any-ascii'
import { doubleMetaphone } from 'double-metaphone'

/**
 * What a person is found by. `n` parts of names, folded; `s` how they sound (Philips 2000, "The Double Metaphone Search
 * Algorithm"); `b` birth date; `p` the last nine digits of a phone number; `m` mail; `i` numbers of identity papers; `c`
 * numbers of certificates, licences and degrees.
 */
export type KeyKind = 'n' | 's' | 'b' | 'p' | 'm' | 'i' | 'c'
export type PersonKey = { kind: KeyKind; value: string }

export type KnownPerson = {
  names: readonly string[]
  born: string | null
  phone: string | null
  mails: readonly string[]
  identityNumbers: readonly string[]
  otherNumbers: readonly string[]
}

const longest = 60
const phoneDigits = 9
const fewestNumber = 4

/** The parts of a name in plain letters: `Dréau-Okafor` is `dreau` and `okafor`. */
export const namePartsOf = (name: string): string[] =>
  anyAscii(name.normalize('NFC'))
    .toLowerCase()
    .replace(/['’`]/g, '')
    .split(/[^a-z0-9]+/)
    .filter((part) => part.length > 1)

/** How a part of a name may sound, one or two ways. */
export const soundsOf = (part: string): string[] => [...new Set(doubleMetaphone(part))].filter((sound) => sound !== '')

/** A number without what people put between its characters. */
export const plainNumber = (text: string) =>
  anyAscii(text)
    .replace(/[^a-z0-9]/gi, '')
    .toUpperCase()

export const phoneKey = (text: string) => text.replace(/\D/g, '').slice(-phoneDigits)

/** All that a person is found by, each once. */
export function keysOfPerson(person: KnownPerson): PersonKey[] {
  const parts = person.names.flatMap((name) => {
    const widened = name.replace(/[äöüÄÖÜß]/g, (letter) => wide[letter.toLowerCase()]!)
    return [...namePartsOf(name), ...namePartsOf(widened)]
  })
  const of = (kind: KeyKind, values: readonly string[]) =>
    values.filter((value) => value !== '').map((value) => ({ kind, value: value.slice(0, longest) }))
  const numbers = (texts: readonly string[]) => texts.map(plainNumber).filter(({ length }) => length >= fewestNumber)
  const keys = [
    ...of('n', parts),
    ...of('s', parts.flatMap(soundsOf)),
    ...of('b', person.born ? [person.born] : []),
    ...of('p', person.phone && phoneKey(person.phone).length >= 6 ? [phoneKey(person.phone)] : []),
    ...of(
      'm',
      person.mails.map((mail) => mail.trim().toLowerCase()),
    ),
    ...of('i', numbers(person.identityNumbers)),
    ...of('c', numbers(person.otherNumbers)),
  ]
  return [...new Map(keys.map((key) => [`${key.kind} ${key.value}`, key])).values()]
}

const wide: Record<string, string> = { ä: 'ae', ö: 'oe', ü: 'ue', ß: 'ss' }
