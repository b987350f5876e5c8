import type { ZoneFault, ZoneReading } from '../identity/machineZone'
import { say } from './say'

/** Why a machine-readable zone cannot be trusted, and what to do; nothing where all its check digits agree. */
export function zoneFaultWords(reading: ZoneReading | ZoneFault): string | undefined {
  if ('code' in reading)
    return reading.code === 'no-zone'
      ? say(
          'No machine-readable lines were found. Lay the paper flat, with its two or three lines of letters in sight.',
        )
      : say('The machine-readable lines were not whole. Take care that no finger or light covers them.')
  if (reading.paper === 'visa')
    return say('This is a visa. It does not show who you are; capture your passport or identity card.')
  if (reading.wrong.length === 0) return undefined
  const names = {
    number: say('the number'),
    born: say('the date of birth'),
    through: say('the last day'),
    whole: say('the whole'),
  }
  return say('The check digits of {{fields}} do not agree: it was misread. Try again with better light.', {
    fields: reading.wrong.map((field) => names[field]).join(', '),
  })
}
