import type { Mended, ZoneFault, ZoneReading } from '../identity/machineZone'
import type { ZoneAgainst } from '../identity/zoneAgainst'
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

/** What the fields are called in which characters may have been taken for others. */
export const mendedFieldWords = (field: Mended['field']): string =>
  ({
    issuer: say('Issuer'),
    nationality: say('Nationality'),
    names: say('Names'),
    number: say('Number'),
    born: say('Date of birth'),
    through: say('Valid through'),
    'check digits': say('Check digits'),
  })[field]

/** How a claim stands against its machine-readable zone, for the desk. */
export function zoneAgainstWords({ readable, wrong, mended, differs }: ZoneAgainst): string {
  if (!readable) return 'The machine-readable lines that came with this cannot be read.'
  const names = {
    number: 'number',
    issuer: 'issuer',
    familyName: 'family name',
    givenNames: 'given names',
    born: 'date of birth',
    through: 'last day',
    whole: 'the whole',
  }
  const listed = (fields: readonly (keyof typeof names)[]) => fields.map((field) => names[field]).join(', ')
  return [
    ...(differs.length > 0 ? [`The claim says otherwise than the machine-readable lines: ${listed(differs)}.`] : []),
    ...(wrong.length > 0 ? [`Check digits of the machine-readable lines do not agree: ${listed(wrong)}.`] : []),
    ...(mended.length > 0
      ? ['Characters of the machine-readable lines were taken for others that look the same. Compare them:']
      : []),
    ...(differs.length + wrong.length + mended.length === 0
      ? ['As in its machine-readable lines, of which every check digit agrees.']
      : []),
  ].join(' ')
}
