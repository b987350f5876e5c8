import type { Temporal } from 'temporal-polyfill'
import { compareNames } from '../comparison/names'
import { type Mended, readZone } from './machineZone'
import type { ZoneField } from './zoneLayouts'

/** The fields of an identity claim that its machine-readable zone speaks of too. */
export type Claimed = {
  number: string
  issuer: string
  familyName: string
  givenNames: string
  born: string
  through: string
  zone: string
}

/** What a machine-readable zone says of the claim it was captured for; it is read anew, not remembered. */
export type ZoneAgainst = {
  /** False where the lines are no zone at all. */
  readable: boolean
  /** Check digits that do not agree. */
  wrong: ZoneField[]
  /** Characters taken for others that look the same. */
  mended: Mended[]
  /** Fields in which the claim says otherwise than the zone. */
  differs: (keyof Omit<Claimed, 'zone'>)[]
}

const plain = (text: string) => text.toUpperCase().replace(/[^A-Z0-9]/g, '')

/**
 * Holds the claim against its zone. Names are compared as names, since a zone writes them in capitals without accents;
 * a field the zone leaves out does not differ.
 *
 * @param today decides the century, as for `readZone`
 */
export function zoneAgainst(claimed: Claimed, today: Temporal.PlainDate): ZoneAgainst {
  const read = readZone(claimed.zone, today)
  if ('code' in read) return { readable: false, wrong: [], mended: [], differs: [] }
  const alike = {
    number: plain(claimed.number) === plain(read.number),
    issuer: claimed.issuer === '' || claimed.issuer === read.issuer,
    familyName: sameName(claimed.familyName, read.familyName),
    givenNames: sameName(claimed.givenNames, read.givenNames),
    born: !read.born || claimed.born === read.born,
    through: !read.through || claimed.through === read.through,
  }
  return {
    readable: true,
    wrong: read.wrong,
    mended: read.mended,
    differs: Object.entries(alike).flatMap(([field, same]) => (same ? [] : [field as keyof typeof alike])),
  }
}

const sameName = (ours: string, theirs: string) =>
  theirs === '' || ['same', 'equivalent'].includes(compareNames(ours, theirs).verdict)
