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
  'role.heard.our page': 'unsere eigene Seite',
  'role.heard.search': 'eine Suchmaschine',
  'role.heard.job site': 'eine Seite für Stellen',
  'role.heard.fair': 'eine Messe',
  'role.heard.school': 'eine Schule oder Hochschule',
  'role.heard.employment office': 'das Arbeitsamt',
  'role.heard.somebody': 'jemand hat es mir gesagt',
  'role.heard.news': 'Zeitung oder Radio',
  'role.heard.other': 'etwas anderes',
  'role.employer': 'für einen Arbeitgeber, der zahlt',
} satisfies Translated<typeof english>
