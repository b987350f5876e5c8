import { usualEnquiries } from '#core/enquiries/settings'
import { type Organisation, unnamedOrganisation } from '#core/organisation/organisation'

/** Whose demo it is. */
export const vallorne: Organisation = {
  ...unnamedOrganisation,
  name: 'Vallorne Mountain Lines',
  street: 'Talstation 1',
  postcode: '6800',
  town: 'Vallorne',
  country: 'AT',
  contact: 'applications@vallorne.example',
  phone: '+43 5522 555 0100',
  timeZone: 'Europe/Vienna',
  referencePrefix: 'VM',
  // Digits that no bank gives out, with check digits that are right.
  bank: { holder: 'Vallorne Mountain Lines', iban: 'AT483200000012345864', bic: 'ZZVLAT2X' },
  closedDays: [
    { day: '12-24', name: 'Christmas Eve' },
    { day: '12-31', name: 'New Year’s Eve' },
  ],
  families: ['Electrical', 'Engineering', 'Inspection', 'Operations', 'Rescue', 'Workshop'],
  places: ['Hochsattel', 'Oberfeld', 'Oberfeld depot', 'Vallorne valley station'],
  welcome: { en: 'Work on the mountain', de: 'Arbeiten am Berg' },
  // A former employer may be asked whether they would employ somebody again where the law lets one.
  enquiries: { ...usualEnquiries, costLimit: 4000, againIn: ['AT', 'CH', 'NO'] },
  footer: {
    en: 'Vallorne Mountain Lines, Talstation 1, 6800 Vallorne. If this mail is not meant for you, tell us and delete it.',
    de: 'Vallorne Mountain Lines, Talstation 1, 6800 Vallorne. Wenn diese Nachricht nicht für Sie bestimmt ist, sagen Sie es uns bitte und löschen Sie sie.',
  },
}
