import type english from './frame.en'
import type { Translated } from './translated'

export default {
  'frame.yourAccount': 'Ihr Konto',
  'frame.toTheDesk': 'Zum Arbeitsplatz',
  'frame.myApplications': 'Meine Bewerbungen',
  'frame.account': 'Konto',
  'frame.signOut': 'Abmelden',
  'frame.signIn': 'Anmelden',
  'frame.yourOrganisation': 'Ihre Organisation',
} satisfies Translated<typeof english>
