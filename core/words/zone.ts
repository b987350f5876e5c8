import type { Mended, ZoneFault, ZoneReading } from '../identity/machineZone'
import type { ZoneAgainst } from '../identity/zoneAgainst'
import { say } from './say'

/** Why a machine-readable zone cannot be trusted, and what to do; nothing where all its check digits agree. */
export function zoneFaultWords(reading: ZoneReading | ZoneFault): string | undefined {
  if ('code' in reading) return say(reading.code === 'no-zone' ? 'zone.none' : 'zone.notWhole')
  if (reading.paper === 'visa') return say('zone.visa')
  if (reading.wrong.length === 0) return undefined
  return say('zone.misread', { fields: reading.wrong.map((field) => say(`zone.the.${field}`)).join(', ') })
}

/** What the fields are called in which characters may have been taken for others. */
export const mendedFieldWords = (field: Mended['field']): string => say(`zone.field.${field}`)

/** How a claim stands against its machine-readable zone, for the desk. */
export function zoneAgainstWords({ readable, wrong, mended, differs }: ZoneAgainst): string {
  if (!readable) return say('zone.unreadable')
  const listed = (fields: readonly (ZoneAgainst['wrong'][number] | ZoneAgainst['differs'][number])[]) => ({
    fields: fields.map((field) => say(`zone.own.${field}`)).join(', '),
  })
  return [
    ...(differs.length > 0 ? [say('zone.differs', listed(differs))] : []),
    ...(wrong.length > 0 ? [say('zone.wrongDigits', listed(wrong))] : []),
    ...(mended.length > 0 ? [say('zone.mended')] : []),
    ...(differs.length + wrong.length + mended.length === 0 ? [say('zone.asInZone')] : []),
  ].join(' ')
}
