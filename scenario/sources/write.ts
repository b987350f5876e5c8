import { v5 as uuidOf } from 'uuid'
import type { Accreditation, Programme, SourceCondition, SourceName } from '#core/sources/source'
import type { NewContact, NewSource } from '#server/records/sources/sources'

/** Ways to write down sources of the demo briefly. */

const namespace = '6f1c2ab0-5b0c-5a34-9d6e-0c6f5d2b7a11'

/** One office that is asked for everything. */
export const office = (mail: string, phone = '', more: NewContact = {}): NewContact => ({ mail, phone, ...more })

export const other = (...names: string[]): SourceName[] => names.map((name) => ({ name, use: 'other' }))
export const short = (...names: string[]): SourceName[] => names.map((name) => ({ name, use: 'short' }))
export const earlier = (name: string, until: number): SourceName => ({ name, use: 'earlier', until })

/** A programme; `since` the year from which it is accredited. */
export function programme(
  title: string,
  award: string,
  level: number,
  field: string,
  language: string,
  accredited?: Partial<Accreditation> & { from: number },
  more: Partial<Programme> = {},
): Programme {
  const accreditations = accredited ? [{ by: '', basis: 'accredited' as const, to: null, ...accredited }] : []
  return { title, award, level, field, language, accreditations, ...more }
}

export const condition = (
  of: string,
  kind: SourceCondition['kind'],
  claims: SourceCondition['claims'],
  reason: string,
): SourceCondition => ({ id: uuidOf(`${of} ${kind}`, namespace), kind, claims, reason })

export const euros = (amount: number): NewSource['cost'] => ({ amount: amount * 100, currency: 'EUR' })
