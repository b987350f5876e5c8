import type { Catalogue, CredentialKind, Named } from '#core/catalogue/catalogue'
import { iscedFields, iscedLevels } from '#core/catalogue/standards'
import { startingCatalogue } from '#core/catalogue/starting'

const among = (standard: readonly Named[], ...keys: string[]) => standard.filter(({ key }) => keys.includes(key))

const usual = { validity: { kind: 'printed' }, bothSides: false, sensitivity: 'usual', fields: [] } as const

/** The licences and certificates Vallorne Mountain Lines asks for. */
const credentials: readonly CredentialKind[] = [
  {
    ...usual,
    key: 'hv-switching',
    name: 'High-voltage switching authority',
    claim: 'licence',
    leadDays: 60,
    papers: 'both sides of the card',
    translations: { de: { name: 'Schaltberechtigung für Hochspannung', papers: 'beide Seiten der Karte' } },
    bothSides: true,
    number: { pattern: 'GSB-[1-4]-#####', example: 'GSB-2-57733' },
  },
  {
    ...usual,
    key: 'work-at-height',
    name: 'Work at height certificate',
    claim: 'certificate',
    leadDays: 45,
    papers: 'the certificate',
    translations: { de: { name: 'Zeugnis für Arbeiten in der Höhe', papers: 'das Zeugnis' } },
    number: { pattern: 'HW-##-####', example: 'HW-24-0590' },
  },
  {
    ...usual,
    key: 'first-aid',
    name: 'First aid at work',
    claim: 'certificate',
    leadDays: 30,
    papers: 'the certificate',
    translations: { de: { name: 'Erste Hilfe am Arbeitsplatz', papers: 'das Zeugnis' } },
    number: { pattern: 'FH-#####', example: 'FH-90112' },
  },
  {
    ...usual,
    key: 'medical',
    name: 'Medical fitness for mountain operations',
    claim: 'certificate',
    leadDays: 30,
    papers: 'the fitness statement, without findings',
    translations: {
      de: { name: 'Gesundheitliche Eignung für den Bergbetrieb', papers: 'die Eignungsbestätigung, ohne Befunde' },
    },
    number: { pattern: 'VOH-####', example: 'VOH-5521' },
    sensitivity: 'health',
  },
  {
    ...usual,
    key: 'rope-access',
    name: 'Rope access card',
    claim: 'certificate',
    leadDays: 60,
    papers: 'both sides of the card',
    translations: { de: { name: 'Karte für Seilzugang', papers: 'beide Seiten der Karte' } },
    bothSides: true,
    number: { pattern: 'RG-[1-3]-#####', example: 'RG-3-21560' },
  },
  {
    ...usual,
    key: 'train-driving',
    name: 'Rack-railway driving licence',
    claim: 'licence',
    leadDays: 90,
    papers: 'both sides of the licence',
    translations: { de: { name: 'Führerschein für Zahnradbahnen', papers: 'beide Seiten des Führerscheins' } },
    bothSides: true,
    number: { pattern: 'MRA-D-#####', example: 'MRA-D-20019' },
  },
  {
    ...usual,
    key: 'welding',
    name: 'Welding qualification',
    claim: 'certificate',
    leadDays: 60,
    papers: 'the certificate',
    translations: { de: { name: 'Schweißprüfung', papers: 'das Zeugnis' } },
    number: { pattern: 'HW-W-###', example: 'HW-W-140' },
  },
  {
    ...usual,
    key: 'dispatcher',
    name: 'Control-room dispatcher licence',
    claim: 'licence',
    leadDays: 60,
    papers: 'both sides of the licence',
    translations: { de: { name: 'Lizenz für die Leitstelle', papers: 'beide Seiten des Führerscheins' } },
    bothSides: true,
    number: { pattern: 'MRA-C-#####', example: 'MRA-C-10877' },
  },
  {
    ...usual,
    key: 'blasting',
    name: 'Avalanche blasting permit',
    claim: 'licence',
    leadDays: 90,
    papers: 'the permit',
    translations: { de: { name: 'Sprengbefugnis für Lawinen', papers: 'die Befugnis' } },
    regions: ['Vallorne', 'Hochsattel', 'Lower Arve valley'],
  },
  {
    ...usual,
    key: 'signalling',
    name: 'Signalling works authority',
    claim: 'licence',
    leadDays: 60,
    papers: 'the authority card',
    translations: { de: { name: 'Berechtigung für Arbeiten an Signalen', papers: 'die Berechtigungskarte' } },
    number: { pattern: 'MRA-S-#####', example: 'MRA-S-28817' },
  },
  {
    ...usual,
    key: 'tick-vaccination',
    name: 'Vaccination against tick-borne encephalitis',
    claim: 'certificate',
    leadDays: 60,
    papers: 'the page of the vaccination record, nothing else of it',
    translations: {
      de: { name: 'Impfung gegen Zeckenenzephalitis', papers: 'die Seite des Impfpasses, sonst nichts daraus' },
    },
    sensitivity: 'health',
    series: { steps: 2, gapDays: 28, repeatMonths: 36 },
  },
  {
    ...usual,
    key: 'guide-insurance',
    name: 'Liability insurance for guiding',
    claim: 'certificate',
    leadDays: 30,
    papers: 'the confirmation of cover',
    translations: { de: { name: 'Haftpflichtversicherung für Führungen', papers: 'die Deckungsbestätigung' } },
    validity: { kind: 'months', months: 12, toEndOfMonth: true },
    fields: [
      {
        key: 'sum-insured',
        label: 'Sum insured',
        kind: 'money',
        unit: 'EUR',
        required: true,
        translations: { de: { label: 'Versicherungssumme' } },
      },
      {
        key: 'abroad',
        label: 'Does it hold abroad?',
        kind: 'yes or no',
        required: false,
        translations: { de: { label: 'Gilt sie im Ausland?' } },
      },
    ],
  },
]

/** What Vallorne Mountain Lines knows by name. */
export const vallorneCatalogue: Catalogue = {
  ...startingCatalogue,
  documents: [
    ...startingCatalogue.documents,
    {
      key: 'rescue-dog',
      name: 'Papers of a rescue dog',
      hint: 'The certificate of the last examination, and the vaccinations.',
      sensitivity: 'usual',
      translations: {
        de: { name: 'Papiere eines Rettungshunds', hint: 'Das Zeugnis der letzten Prüfung und die Impfungen.' },
      },
    },
  ],
  credentials,
  levels: among(iscedLevels, '3', '4', '5', '6', '7', '8'),
  fields: among(iscedFields, '0311', '0413', '0532', '0613', '0713', '0714', '0715', '0716', '0732', '1041'),
}
