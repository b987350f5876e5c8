import type { Catalogue, CredentialKind, DocumentKind, Named } from './catalogue'
import { iscedFields, iscedLevels } from './standards'
import { usualScales } from './usualScales'

const usual = { bothSides: false, sensitivity: 'usual', fields: [], leadDays: 30 } as const

const credentials: readonly CredentialKind[] = [
  {
    ...usual,
    key: 'driving-licence',
    name: 'Driving licence',
    claim: 'licence',
    validity: { kind: 'printed' },
    bothSides: true,
    papers: 'both sides of the licence',
    translations: { de: { name: 'Führerschein', papers: 'beide Seiten des Führerscheins' } },
    fields: [
      {
        key: 'classes',
        label: 'Classes',
        kind: 'text',
        required: true,
        translations: { de: { label: 'Klassen' } },
      },
    ],
  },
  {
    ...usual,
    key: 'professional-licence',
    name: 'Licence to practise',
    claim: 'licence',
    validity: { kind: 'printed' },
    leadDays: 60,
    papers: 'the licence',
    translations: { de: { name: 'Berufszulassung', papers: 'die Zulassung' } },
  },
  {
    ...usual,
    key: 'first-aid',
    name: 'First aid at work',
    claim: 'certificate',
    validity: { kind: 'months', months: 24, toEndOfMonth: false },
    papers: 'the certificate',
    translations: { de: { name: 'Erste Hilfe am Arbeitsplatz', papers: 'das Zeugnis' } },
  },
  {
    ...usual,
    key: 'criminal-record',
    name: 'Criminal record certificate',
    claim: 'certificate',
    validity: { kind: 'months', months: 3, toEndOfMonth: false },
    papers: 'the certificate, every page',
    translations: { de: { name: 'Führungszeugnis', papers: 'das Zeugnis, jede Seite' } },
  },
  {
    ...usual,
    key: 'medical-fitness',
    name: 'Medical fitness',
    claim: 'certificate',
    validity: { kind: 'printed' },
    papers: 'the fitness statement, without findings',
    translations: { de: { name: 'Gesundheitliche Eignung', papers: 'die Eignungsbestätigung, ohne Befunde' } },
    sensitivity: 'health',
  },
  {
    ...usual,
    key: 'liability-insurance',
    name: 'Professional liability insurance',
    claim: 'certificate',
    validity: { kind: 'months', months: 12, toEndOfMonth: true },
    papers: 'the confirmation of cover',
    translations: { de: { name: 'Berufshaftpflichtversicherung', papers: 'die Deckungsbestätigung' } },
    fields: [
      {
        key: 'sum-insured',
        label: 'Sum insured',
        kind: 'money',
        unit: 'EUR',
        required: true,
        translations: { de: { label: 'Versicherungssumme' } },
      },
    ],
  },
]

const documents: readonly DocumentKind[] = [
  {
    key: 'letter',
    name: 'Letter of motivation',
    hint: 'One page at most.',
    sensitivity: 'usual',
    translations: { de: { name: 'Motivationsschreiben', hint: 'Höchstens eine Seite.' } },
  },
  {
    key: 'vaccination',
    name: 'Record of vaccinations',
    hint: 'The pages with entries. Only who looks after health at work reads it.',
    sensitivity: 'health',
    translations: {
      de: {
        name: 'Impfausweis',
        hint: 'Die Seiten mit Einträgen. Ihn liest nur, wer für Gesundheit am Arbeitsplatz zuständig ist.',
      },
    },
  },
  {
    key: 'bank-details',
    name: 'Bank details',
    hint: 'A confirmation of your bank or the top of a statement; amounts may be covered.',
    sensitivity: 'money',
    translations: {
      de: {
        name: 'Bankverbindung',
        hint: 'Eine Bestätigung Ihrer Bank oder der Kopf eines Auszugs; Beträge dürfen abgedeckt sein.',
      },
    },
  },
  {
    key: 'residence-permit',
    name: 'Permit to live and work here',
    hint: 'Both sides.',
    sensitivity: 'usual',
    translations: { de: { name: 'Aufenthalts- und Arbeitserlaubnis', hint: 'Beide Seiten.' } },
  },
]

const language = (key: string, name: string, german: string): Named => ({
  key,
  name,
  translations: { de: { name: german } },
})

/** What an organisation begins with that has not said yet what it knows by name. */
export const startingCatalogue: Catalogue = {
  credentials,
  levels: iscedLevels.filter(({ key }) => Number(key) >= 2),
  fields: iscedFields,
  scales: usualScales,
  documents,
  languages: [
    language('en', 'English', 'Englisch'),
    language('de', 'German', 'Deutsch'),
    language('fr', 'French', 'Französisch'),
    language('it', 'Italian', 'Italienisch'),
    language('es', 'Spanish', 'Spanisch'),
    language('pt', 'Portuguese', 'Portugiesisch'),
    language('nl', 'Dutch', 'Niederländisch'),
    language('pl', 'Polish', 'Polnisch'),
    language('hr', 'Croatian', 'Kroatisch'),
    language('tr', 'Turkish', 'Türkisch'),
    language('uk', 'Ukrainian', 'Ukrainisch'),
    language('ar', 'Arabic', 'Arabisch'),
  ],
}
