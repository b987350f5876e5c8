import type english from './role.en'
import type { Translated } from './translated'

export default {
  'role.coordinator': 'Koordination',
  'role.reviewer': 'Sichtung',
  'role.assessor': 'Fachprüfung',
  'role.hiring manager': 'Fachbereich',
  'role.administrator': 'Verwaltung',
  'role.candidate': 'Bewerber/in',
  'role.auditor': 'Revision',
  'role.money': 'Geld',
  'role.medical': 'Medizin',
  'role.payroll': 'Lohnverrechnung',
  'role.it': 'IT',
  'role.stores': 'Lager',
} satisfies Translated<typeof english>
